import type { ArchiveTaken, ChangeSettings, NewPerson, Person, ShopSettings } from '@keen/contract';
import { archiveTakenSchema, personSchema, shopSettingsSchema } from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** The shop's side of the conversation: settings, people, logo, everything as files. */
const shopApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
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
  }),
});

export const {
  useKeepSettingsMutation,
  useAddPersonMutation,
  useGivePasswordMutation,
  useKeepLogoMutation,
  useBringArchiveMutation,
} = shopApi;
