import type {
  GaugeState,
  ArchiveTaken,
  ChangeSettings,
  ChangeVehicle,
  Photo,
  TireLine,
  Decision,
  DueRow,
  EntriesKept,
  Entry,
  KeptSheet,
  NewDecision,
  NewSheets,
  NewPerson,
  NewSheetLink,
  NewVisit,
  Person,
  Preferences,
  ReaderState,
  RigReading,
  RigState,
  Session,
  Setup,
  SharedSheet,
  SheetLink,
  ShopSettings,
  SignIn,
  VehicleRecord,
  Visit,
  VisitDetail,
  Welcome,
} from '@keen/contract';
import {
  archiveTakenSchema,
  decisionSchema,
  dueListSchema,
  entriesKeptSchema,
  gaugeStateSchema,
  keptSheetListSchema,
  photoListSchema,
  preferencesSchema,
  personSchema,
  readerStateSchema,
  rigReadingSchema,
  rigStateSchema,
  sessionSchema,
  sharedSheetSchema,
  sheetLinkListSchema,
  shopSettingsSchema,
  tireLineListSchema,
  vehicleRecordSchema,
  vehicleListSchema,
  visitDetailSchema,
  visitListSchema,
  visitSchema,
  welcomeSchema,
} from '@keen/contract';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { KEPT_HEADER, noteKept } from './keptAnswers.ts';

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
const askNotingOld: typeof ask = async (args, api, extra) => {
  const result = await ask(args, api, extra);
  if (result.meta?.response?.headers.has(KEPT_HEADER)) noteKept();
  return result;
};

/** The server's side of the conversation; the schema that checks it there checks it here. */
export const keenApi = createApi({
  reducerPath: 'keenApi',
  baseQuery: askNotingOld,
  tagTypes: [
    'Session',
    'Visits',
    'Visit',
    'Welcome',
    'Sheets',
    'Rig',
    'Gauge',
    'Photos',
    'Lines',
    'Links',
    'Due',
  ],
  catchSchemaFailure: (): FetchBaseQueryError => ({
    status: 'CUSTOM_ERROR',
    error: 'The server answered something this page does not understand; reload it',
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
    signOut: build.mutation<unknown, void>({
      query: () => ({ url: 'session', method: 'DELETE' }),
    }),
    keepPreferences: build.mutation<Preferences, Preferences>({
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
    visits: build.query<Visit[], { all: boolean }>({
      query: ({ all }) => ({ url: 'visits', params: all ? { all: 'true' } : {} }),
      responseSchema: visitListSchema,
      providesTags: ['Visits'],
    }),
    visit: build.query<VisitDetail, string>({
      query: (id) => `visits/${id}`,
      responseSchema: visitDetailSchema,
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
    appendEntries: build.mutation<EntriesKept, { visitId: string; entries: Entry[] }>({
      query: ({ visitId, entries }) => ({
        url: `visits/${visitId}/entries`,
        method: 'POST',
        body: { entries },
      }),
      responseSchema: entriesKeptSchema,
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
    keepPhoto: build.mutation<
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
    sheets: build.query<KeptSheet[], void>({
      query: () => 'sheets',
      responseSchema: keptSheetListSchema,
      providesTags: ['Sheets'],
    }),
    keepSheets: build.mutation<KeptSheet[], NewSheets['sheets']>({
      query: (sheets) => ({ url: 'sheets', method: 'POST', body: { sheets } }),
      responseSchema: keptSheetListSchema,
      onQueryStarted: async (_arg, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => null);
        if (answer) void dispatch(keenApi.util.upsertQueryData('sheets', undefined, answer.data));
      },
    }),
    keepSettings: build.mutation<ShopSettings, ChangeSettings>({
      query: (body) => ({ url: 'shop/settings', method: 'PUT', body }),
      responseSchema: shopSettingsSchema,
      // At once, so that a second change builds on the first.
      onQueryStarted: async (change, { dispatch, queryFulfilled }) => {
        const patch = dispatch(
          keenApi.util.updateQueryData('session', undefined, (session) => {
            Object.assign(session.shop.settings, change);
          }),
        );
        await queryFulfilled.catch(() => patch.undo());
      },
      invalidatesTags: ['Session'],
    }),
    addPerson: build.mutation<Person, NewPerson>({
      query: (body) => ({ url: 'shop/people', method: 'POST', body }),
      responseSchema: personSchema,
      invalidatesTags: ['Session'],
    }),
    givePassword: build.mutation<unknown, { id: string; password: string }>({
      query: ({ id, password }) => ({
        url: `shop/people/${id}/password`,
        method: 'PUT',
        body: { password },
      }),
    }),
    keepLogo: build.mutation<unknown, Blob | null>({
      query: (picture) =>
        picture
          ? {
              url: 'shop/logo',
              method: 'PUT',
              headers: { 'content-type': picture.type },
              body: picture,
            }
          : { url: 'shop/logo', method: 'DELETE' },
      invalidatesTags: ['Session'],
    }),
    bringArchive: build.mutation<ArchiveTaken, Blob>({
      query: (zip) => ({
        url: 'shop/archive',
        method: 'POST',
        headers: { 'content-type': 'application/zip' },
        body: zip,
      }),
      responseSchema: archiveTakenSchema,
      invalidatesTags: ['Session', 'Visits', 'Sheets', 'Due'],
    }),
    links: build.query<SheetLink[], string>({
      query: (visitId) => `visits/${visitId}/links`,
      responseSchema: sheetLinkListSchema,
      providesTags: (_result, _error, id) => [{ type: 'Links', id }],
    }),
    makeLink: build.mutation<SheetLink[], { visitId: string; link: NewSheetLink }>({
      query: ({ visitId, link }) => ({
        url: `visits/${visitId}/links`,
        method: 'POST',
        body: link,
      }),
      responseSchema: sheetLinkListSchema,
      invalidatesTags: (_result, _error, { visitId }) => [{ type: 'Links', id: visitId }],
    }),
    endLink: build.mutation<unknown, { visitId: string; id: string }>({
      query: ({ id }) => ({ url: `links/${id}`, method: 'DELETE' }),
      invalidatesTags: (_result, _error, { visitId }) => [{ type: 'Links', id: visitId }],
    }),
    sharedSheet: build.query<SharedSheet, string>({
      query: (token) => `shared/${encodeURIComponent(token)}`,
      responseSchema: sharedSheetSchema,
    }),
    due: build.query<DueRow[], void>({
      query: () => 'due',
      responseSchema: dueListSchema,
      providesTags: ['Due'],
    }),
    rig: build.query<RigState, void>({
      query: () => 'devices/rig',
      responseSchema: rigStateSchema,
      providesTags: ['Rig'],
    }),
    playRig: build.mutation<RigState, RigState>({
      query: (body) => ({ url: 'devices/rig', method: 'PUT', body }),
      responseSchema: rigStateSchema,
      // What is played shows at once; the server's answer is the same.
      onQueryStarted: async (state, { dispatch, queryFulfilled }) => {
        const patch = dispatch(keenApi.util.updateQueryData('rig', undefined, () => state));
        await queryFulfilled.catch(() => patch.undo());
      },
    }),
    gauge: build.query<GaugeState, void>({
      query: () => 'devices/gauge',
      responseSchema: gaugeStateSchema,
      providesTags: ['Gauge'],
    }),
    playGauge: build.mutation<GaugeState, Omit<GaugeState, 'n'>>({
      query: (body) => ({ url: 'devices/gauge', method: 'PUT', body }),
      responseSchema: gaugeStateSchema,
      invalidatesTags: ['Gauge'],
    }),
    pressGauge: build.mutation<GaugeState, number>({
      query: (mm) => ({ url: 'devices/gauge/press', method: 'POST', body: { mm } }),
      responseSchema: gaugeStateSchema,
      invalidatesTags: ['Gauge'],
    }),
    reader: build.query<ReaderState, void>({
      query: () => 'devices/reader',
      responseSchema: readerStateSchema,
    }),
    playReader: build.mutation<ReaderState, ReaderState>({
      query: (body) => ({ url: 'devices/reader', method: 'PUT', body }),
      responseSchema: readerStateSchema,
      onQueryStarted: async (state, { dispatch, queryFulfilled }) => {
        const patch = dispatch(keenApi.util.updateQueryData('reader', undefined, () => state));
        await queryFulfilled.catch(() => patch.undo());
      },
    }),
    passReader: build.mutation<ReaderState, void>({
      query: () => ({ url: 'devices/reader/pass', method: 'POST' }),
      responseSchema: readerStateSchema,
    }),
    rigReading: build.query<RigReading, void>({
      query: () => 'devices/rig/reading',
      responseSchema: rigReadingSchema,
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
  useKeepPreferencesMutation,
  useVehiclesQuery,
  useVisitsQuery,
  useVisitQuery,
  useStartVisitMutation,
  useImportVisitMutation,
  useDecideMutation,
  useSetClosedMutation,
  useChangeVehicleMutation,
  useTireLinesQuery,
  usePhotosQuery,
  useKeepPhotoMutation,
  useRemovePhotoMutation,
  useSheetsQuery,
  useKeepSheetsMutation,
  useKeepSettingsMutation,
  useAddPersonMutation,
  useGivePasswordMutation,
  useKeepLogoMutation,
  useBringArchiveMutation,
  useLinksQuery,
  useMakeLinkMutation,
  useEndLinkMutation,
  useSharedSheetQuery,
  useDueQuery,
  useAppendEntriesMutation,
  useReaderQuery,
  usePlayReaderMutation,
  usePassReaderMutation,
  useRigQuery,
  useGaugeQuery,
  usePlayGaugeMutation,
  usePressGaugeMutation,
  usePlayRigMutation,
  useRigReadingQuery,
} = keenApi;
