import type {
  ChangeVehicle,
  Photo,
  TireLine,
  Decision,
  EntriesSaved,
  Entry,
  StoredSheet,
  Learned,
  NewDecision,
  NewSheets,
  NewVisit,
  Preferences,
  Session,
  Setup,
  SignIn,
  VehicleRecord,
  Visit,
  VisitDetail,
  VisitPage,
  Welcome,
} from '@keen/contract';
import {
  decisionSchema,
  entriesSavedSchema,
  storedSheetListSchema,
  learnedListSchema,
  photoListSchema,
  preferencesSchema,
  sessionSchema,
  tireLineListSchema,
  vehicleRecordSchema,
  vehicleListSchema,
  visitDetailSchema,
  visitPageSchema,
  visitSchema,
  welcomeSchema,
} from '@keen/contract';
import { current } from '@reduxjs/toolkit';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { KEPT_HEADER, noteStale } from './staleCache.ts';
import { mergeNewer, mergeNewerRows } from './mergeEntries.ts';
import { clearSignedOut, isMarkedSignedOut, noteSignedIn } from './signOutMark.ts';
import { t } from '../words/api.ts';

/** A session that a sign-in answers with is the current one, without asking again. */
async function enterWith(
  answer: Promise<{ data: Session }>,
  enter: (session: Session) => void,
): Promise<void> {
  try {
    enter((await answer).data);
  } catch {
    // The form that asked shows why.
  }
}

const ask = fetchBaseQuery({ baseUrl: new URL('/api', window.location.origin).href });
const NOBODY: FetchBaseQueryError = {
  status: 401,
  data: {
    type: 'urn:keen-groove:problem:unauthenticated',
    title: 'Sign in first',
    status: 401,
    code: 'unauthenticated',
  },
};
/** Questions of the front door, which need nobody; a sign-in replaces whatever session there was. */
const DOOR = new Set([
  'welcome',
  'setUp',
  'signIn',
  'signInDemo',
  'signOut',
  'passwordLink',
  'choosePassword',
]);

/** Tells the server of a sign-out that it has not heard of. @returns whether it has by now */
async function settleSignOut(...[, api, extra]: Parameters<typeof ask>): Promise<boolean> {
  if (!isMarkedSignedOut()) return true;
  const result = await ask({ url: 'session', method: 'DELETE' }, api, extra);
  if (result.error) return false;
  clearSignedOut();
  return true;
}

const askNotingStale: typeof ask = async (args, api, extra) => {
  if (!DOOR.has(api.endpoint) && isMarkedSignedOut()) {
    // The cookie may still be good; the person at the tablet is not signed in all the same.
    await settleSignOut(args, api, extra);
    return { error: NOBODY };
  }
  const result = await ask(args, api, extra);
  if (ENTERING.has(api.endpoint) && !result.error) noteSignedIn();
  // The session has ended since: asked for once more, it leads to the front door.
  if (result.error?.status === 401 && !DOOR.has(api.endpoint) && api.endpoint !== 'session') {
    api.dispatch(keenApi.util.invalidateTags(['Session']));
  }
  if (result.meta?.response?.headers.has(KEPT_HEADER)) noteStale();
  return result;
};

/** What signs somebody in; the session before is over with it. */
const ENTERING = new Set(['setUp', 'signIn', 'signInDemo']);

/** A visit that is opened is asked for again unless it was asked for within so many seconds. */
export const VISIT_FRESH_S = 5;

/** The server's side of the conversation; the schema that checks it there checks it here. */
export const keenApi = createApi({
  reducerPath: 'keenApi',
  baseQuery: askNotingStale,
  tagTypes: [
    'Session',
    'Visits',
    'Visit',
    'Welcome',
    'Sheets',
    'Rig',
    'Gauge',
    'Practice',
    'Photos',
    'Lines',
    'Links',
    'Due',
    'Cars',
    'Gauges',
    'Learning',
    'Insights',
    'Staff',
    'Audit',
    'OwnSessions',
    'Keys',
    'Batches',
    'Chain',
    'CarCodes',
  ],
  catchSchemaFailure: (): FetchBaseQueryError => ({
    status: 'CUSTOM_ERROR',
    error: t('keenApi.notUnderstood'),
  }),
  endpoints: (build) => ({
    welcome: build.query<Welcome, void>({
      query: () => 'welcome',
      responseSchema: welcomeSchema,
      providesTags: ['Welcome'],
    }),
    session: build.query<Session, void>({
      query: () => 'session',
      responseSchema: sessionSchema,
      providesTags: ['Session'],
    }),
    setUp: build.mutation<Session, Setup>({
      query: (body) => ({ url: 'setup', method: 'POST', body }),
      responseSchema: sessionSchema,
      onQueryStarted: (_arg, { dispatch, queryFulfilled }) =>
        enterWith(queryFulfilled, (session) => {
          void dispatch(keenApi.util.upsertQueryData('session', undefined, session));
        }),
    }),
    signIn: build.mutation<Session, SignIn>({
      query: (body) => ({ url: 'session', method: 'POST', body }),
      responseSchema: sessionSchema,
      onQueryStarted: (_arg, { dispatch, queryFulfilled }) =>
        enterWith(queryFulfilled, (session) => {
          void dispatch(keenApi.util.upsertQueryData('session', undefined, session));
        }),
    }),
    signInDemo: build.mutation<Session, string>({
      query: (personId) => ({ url: 'session/demo', method: 'POST', body: { personId } }),
      responseSchema: sessionSchema,
      onQueryStarted: (_arg, { dispatch, queryFulfilled }) =>
        enterWith(queryFulfilled, (session) => {
          void dispatch(keenApi.util.upsertQueryData('session', undefined, session));
        }),
    }),
    changeShop: build.mutation<Session, string>({
      query: (shopId) => ({ url: 'session/shop', method: 'PUT', body: { shopId } }),
      responseSchema: sessionSchema,
    }),
    signOut: build.mutation<unknown, void>({
      query: () => ({ url: 'session', method: 'DELETE' }),
    }),
    savePreferences: build.mutation<Preferences, Preferences>({
      query: (body) => ({ url: 'session/preferences', method: 'PUT', body }),
      responseSchema: preferencesSchema,
      // Shown at once; taken back should the server refuse.
      async onQueryStarted(preferences, { dispatch, queryFulfilled }) {
        const patch = dispatch(
          keenApi.util.updateQueryData('session', undefined, (session) => {
            session.preferences = preferences;
          }),
        );
        await queryFulfilled.catch(() => patch.undo());
      },
    }),
    vehicles: build.query<VehicleRecord[], string>({
      query: (q) => ({ url: 'vehicles', params: { q } }),
      responseSchema: vehicleListSchema,
    }),
    openVisits: build.query<VisitPage, void>({
      query: () => 'visits',
      responseSchema: visitPageSchema,
      providesTags: ['Visits'],
      merge: (known, answer) => mergeNewerRows(current(known), answer),
    }),
    /** All visits that fit every word, page by page, latest first. */
    searchVisits: build.infiniteQuery<VisitPage, string, number | null>({
      query: ({ queryArg: words, pageParam: before }) => ({
        url: 'visits',
        params: {
          all: 'true',
          ...(words === '' ? {} : { words }),
          ...(before === null ? {} : { before }),
        },
      }),
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: ({ before }) => before ?? undefined,
      },
      // What was loaded further down is fetched again when it is asked for again.
      keepUnusedDataFor: 5,
      responseSchema: visitPageSchema,
      providesTags: ['Visits'],
    }),
    visit: build.query<VisitDetail, string>({
      query: (id) => `visits/${id}`,
      responseSchema: visitDetailSchema,
      merge: (known, answer) => mergeNewer(current(known), answer),
      providesTags: (_result, _error, id) => [{ type: 'Visit', id }],
    }),
    startVisit: build.mutation<Visit, NewVisit>({
      query: (body) => ({ url: 'visits', method: 'POST', body }),
      responseSchema: visitSchema,
      invalidatesTags: ['Visits'],
    }),
    importVisit: build.mutation<Visit, unknown>({
      query: (body) => ({ url: 'visits/import', method: 'POST', body }),
      responseSchema: visitSchema,
      invalidatesTags: ['Visits'],
    }),
    appendEntries: build.mutation<EntriesSaved, { visitId: string; entries: Entry[] }>({
      query: ({ visitId, entries }) => ({
        url: `visits/${visitId}/entries`,
        method: 'POST',
        body: { entries },
      }),
      responseSchema: entriesSavedSchema,
      invalidatesTags: (_result, _error, { entries }) =>
        entries.some(({ path }) => path === 'visit.handOver.next') ? ['Due'] : [],
    }),
    decide: build.mutation<Decision, { visitId: string; decision: NewDecision }>({
      query: ({ visitId, decision }) => ({
        url: `visits/${visitId}/decisions`,
        method: 'POST',
        body: decision,
      }),
      responseSchema: decisionSchema,
      invalidatesTags: (_result, _error, { visitId }) => ['Visits', { type: 'Visit', id: visitId }],
    }),
    changeVehicle: build.mutation<VehicleRecord, { id: string; change: ChangeVehicle }>({
      query: ({ id, change }) => ({ url: `vehicles/${id}`, method: 'PUT', body: change }),
      responseSchema: vehicleRecordSchema,
      invalidatesTags: ['Visits', 'Visit'],
    }),
    tireLines: build.query<TireLine[], void>({
      query: () => 'tire-lines',
      responseSchema: tireLineListSchema,
      providesTags: ['Lines'],
    }),
    photos: build.query<Photo[], string>({
      query: (visitId) => `visits/${visitId}/photos`,
      responseSchema: photoListSchema,
      providesTags: (_result, _error, id) => [{ type: 'Photos', id }],
    }),
    savePhoto: build.mutation<
      Photo[],
      { visitId: string; id: string; subject: string; picture: Blob }
    >({
      query: ({ visitId, id, subject, picture }) => ({
        url: `visits/${visitId}/photos/${id}`,
        method: 'PUT',
        params: { subject },
        headers: { 'content-type': picture.type },
        body: picture,
      }),
      responseSchema: photoListSchema,
      invalidatesTags: (_result, _error, { visitId }) => [{ type: 'Photos', id: visitId }],
    }),
    removePhoto: build.mutation<unknown, { visitId: string; id: string }>({
      query: ({ id }) => ({ url: `photos/${id}`, method: 'DELETE' }),
      invalidatesTags: (_result, _error, { visitId }) => [{ type: 'Photos', id: visitId }],
    }),
    sheets: build.query<StoredSheet[], void>({
      query: () => 'sheets',
      responseSchema: storedSheetListSchema,
      providesTags: ['Sheets'],
    }),
    sheetTurns: build.query<Learned[], string>({
      query: (id) => `sheets/${id}/turns`,
      responseSchema: learnedListSchema,
    }),
    saveSheets: build.mutation<StoredSheet[], NewSheets['sheets']>({
      query: (sheets) => ({ url: 'sheets', method: 'POST', body: { sheets } }),
      responseSchema: storedSheetListSchema,
      onQueryStarted: async (_arg, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => null);
        if (answer) void dispatch(keenApi.util.upsertQueryData('sheets', undefined, answer.data));
      },
    }),
    setClosed: build.mutation<Visit, { visitId: string; closed: boolean }>({
      query: ({ visitId, closed }) => ({
        url: `visits/${visitId}/closed`,
        method: 'PUT',
        body: { closed },
      }),
      responseSchema: visitSchema,
      invalidatesTags: (_result, _error, { visitId }) => ['Visits', { type: 'Visit', id: visitId }],
    }),
  }),
});

export const {
  useWelcomeQuery,
  useSessionQuery,
  useSetUpMutation,
  useSignInMutation,
  useSignInDemoMutation,
  useSignOutMutation,
  useChangeShopMutation,
  useSavePreferencesMutation,
  useVehiclesQuery,
  useOpenVisitsQuery,
  useSearchVisitsInfiniteQuery,
  useVisitQuery,
  useStartVisitMutation,
  useImportVisitMutation,
  useDecideMutation,
  useSetClosedMutation,
  useChangeVehicleMutation,
  useTireLinesQuery,
  usePhotosQuery,
  useSavePhotoMutation,
  useRemovePhotoMutation,
  useSheetsQuery,
  useSheetTurnsQuery,
  useSaveSheetsMutation,
  useAppendEntriesMutation,
} = keenApi;
