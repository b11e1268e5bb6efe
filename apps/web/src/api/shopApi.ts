import type {
  LiveEvent,
  ArchiveImported,
  AuditPage,
  ChangePerson,
  ChangeSettings,
  CustomerRecord,
  MadeUpYears,
  NewPerson,
  PasswordLink,
  ShopSettings,
  StaffMember,
  SystemState,
} from '@keen/contract';
import {
  archiveImportedSchema,
  auditPageSchema,
  customerRecordSchema,
  madeUpYearsSchema,
  passwordLinkSchema,
  shopSettingsSchema,
  staffListSchema,
  staffMemberSchema,
  systemStateSchema,
} from '@keen/contract';
import { keenApi } from './keenApi.ts';

export type ArchiveProgress = Extract<LiveEvent, { kind: 'archive' }>;

/** The shop's side of the conversation: settings, people, logo, everything as files. */
export const shopApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    saveSettings: build.mutation<ShopSettings, ChangeSettings>({
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
      invalidatesTags: ['Session', 'Audit', 'Insights'],
    }),
    /** How far the demo shop's made-up past is. */
    madeUpYears: build.query<MadeUpYears, void>({
      query: () => 'shop/made-up-years',
      responseSchema: madeUpYearsSchema,
    }),
    staff: build.query<StaffMember[], void>({
      query: () => 'shop/people',
      responseSchema: staffListSchema,
      providesTags: ['Staff'],
    }),
    addPerson: build.mutation<StaffMember, NewPerson>({
      query: (body) => ({ url: 'shop/people', method: 'POST', body }),
      responseSchema: staffMemberSchema,
      invalidatesTags: ['Session', 'Staff', 'Audit'],
    }),
    changePerson: build.mutation<StaffMember, { id: string; change: ChangePerson }>({
      query: ({ id, change }) => ({ url: `shop/people/${id}`, method: 'PUT', body: change }),
      responseSchema: staffMemberSchema,
      invalidatesTags: ['Session', 'Staff', 'Audit'],
    }),
    makePasswordLink: build.mutation<PasswordLink, string>({
      query: (id) => ({ url: `shop/people/${id}/password-link`, method: 'POST' }),
      responseSchema: passwordLinkSchema,
      invalidatesTags: ['Audit'],
    }),
    audit: build.query<AuditPage, number | null>({
      query: (before) => ({ url: 'shop/audit', params: before === null ? {} : { before } }),
      responseSchema: auditPageSchema,
      providesTags: ['Audit'],
    }),
    system: build.query<SystemState, void>({
      query: () => 'system',
      responseSchema: systemStateSchema,
    }),
    customer: build.query<CustomerRecord, string>({
      query: (carId) => `customers/${carId}`,
      responseSchema: customerRecordSchema,
    }),
    eraseCustomer: build.mutation<unknown, string>({
      query: (carId) => ({ url: `customers/${carId}`, method: 'DELETE' }),
      invalidatesTags: ['Visits', 'Visit', 'Photos', 'Links', 'Due'],
    }),
    givePassword: build.mutation<unknown, { id: string; password: string }>({
      query: ({ id, password }) => ({
        url: `shop/people/${id}/password`,
        method: 'PUT',
        body: { password },
      }),
      invalidatesTags: ['Staff'],
    }),
    saveLogo: build.mutation<unknown, Blob | null>({
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
    /** How far an archive of the shop is, as the server tells; null while none is being made. */
    archiveProgress: build.query<ArchiveProgress | null, void>({ queryFn: () => ({ data: null }) }),
    importArchive: build.mutation<ArchiveImported, Blob>({
      query: (zip) => ({
        url: 'shop/archive',
        method: 'POST',
        headers: { 'content-type': 'application/zip' },
        body: zip,
      }),
      responseSchema: archiveImportedSchema,
      invalidatesTags: ['Session', 'Visits', 'Sheets', 'Due'],
    }),
  }),
});

export const {
  useSaveSettingsMutation,
  useMadeUpYearsQuery,
  useStaffQuery,
  useAddPersonMutation,
  useChangePersonMutation,
  useMakePasswordLinkMutation,
  useAuditQuery,
  useSystemQuery,
  useLazyCustomerQuery,
  useEraseCustomerMutation,
  useArchiveProgressQuery,
  useGivePasswordMutation,
  useSaveLogoMutation,
  useImportArchiveMutation,
} = shopApi;
