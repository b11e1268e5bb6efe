import type {
  CarCode,
  CarCodeState,
  CarTaken,
  Chain,
  ChainFigures,
  ChainLead,
  ChangeChain,
  InsightQuery,
  KeptSheet,
  NewChain,
  NewShop,
  OpenedShop,
  ShopSettings,
} from '@keen/contract';
import {
  carCodeListSchema,
  carCodeSchema,
  carTakenSchema,
  chainFiguresSchema,
  chainSchema,
  keptSheetListSchema,
  openedShopSchema,
  shopSettingsSchema,
} from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** Several shops of one house, and cars that go from one to another. */
const chainApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    chain: build.query<Chain, void>({
      query: () => 'chain',
      responseSchema: chainSchema,
      providesTags: ['Chain'],
    }),
    makeChain: build.mutation<Chain, NewChain>({
      query: (body) => ({ url: 'chain', method: 'POST', body }),
      responseSchema: chainSchema,
      invalidatesTags: ['Session', 'Chain', 'Audit'],
    }),
    changeChain: build.mutation<Chain, ChangeChain>({
      query: (body) => ({ url: 'chain', method: 'PUT', body }),
      responseSchema: chainSchema,
      // At once, so that a second change builds on the first.
      onQueryStarted: async ({ settings }, { dispatch, queryFulfilled }) => {
        const patch = dispatch(
          chainApi.util.updateQueryData('chain', undefined, (chain) => {
            Object.assign(chain.settings, settings);
          }),
        );
        await queryFulfilled.catch(() => patch.undo());
      },
      invalidatesTags: ['Session', 'Chain'],
    }),
    openShop: build.mutation<OpenedShop, NewShop>({
      query: (body) => ({ url: 'chain/shops', method: 'POST', body }),
      responseSchema: openedShopSchema,
      invalidatesTags: ['Session', 'Chain', 'Audit'],
    }),
    setChainLead: build.mutation<Chain, ChainLead>({
      query: (body) => ({ url: 'chain/leads', method: 'PUT', body }),
      responseSchema: chainSchema,
      invalidatesTags: ['Session', 'Chain'],
    }),
    chainFigures: build.query<ChainFigures, InsightQuery>({
      query: (params) => ({ url: 'chain/figures', params }),
      responseSchema: chainFiguresSchema,
      providesTags: ['Chain'],
    }),
    takeChains: build.mutation<ShopSettings, string[]>({
      query: (paths) => ({ url: 'shop/settings/chains', method: 'POST', body: { paths } }),
      responseSchema: shopSettingsSchema,
      invalidatesTags: ['Session', 'Audit', 'Insights'],
    }),
    giveSheet: build.mutation<unknown, string>({
      query: (sheetId) => ({ url: 'chain/sheets', method: 'POST', body: { sheetId } }),
      invalidatesTags: ['Sheets', 'Chain'],
    }),
    followSheet: build.mutation<KeptSheet[], string>({
      query: (sheetId) => ({ url: `sheets/${sheetId}/chains`, method: 'POST' }),
      responseSchema: keptSheetListSchema,
      invalidatesTags: ['Sheets'],
    }),
    carCodes: build.query<CarCodeState[], string>({
      query: (carId) => `vehicles/${carId}/codes`,
      responseSchema: carCodeListSchema,
      providesTags: ['CarCodes'],
    }),
    makeCarCode: build.mutation<CarCode, string>({
      query: (carId) => ({ url: `vehicles/${carId}/codes`, method: 'POST' }),
      responseSchema: carCodeSchema,
      invalidatesTags: ['CarCodes', 'Audit'],
    }),
    takeCar: build.mutation<CarTaken, string>({
      query: (code) => ({ url: 'vehicles/taken', method: 'POST', body: { code } }),
      responseSchema: carTakenSchema,
      invalidatesTags: ['Cars', 'Visits', 'Session', 'Audit'],
    }),
  }),
});

export const {
  useChainQuery,
  useMakeChainMutation,
  useChangeChainMutation,
  useOpenShopMutation,
  useSetChainLeadMutation,
  useChainFiguresQuery,
  useTakeChainsMutation,
  useGiveSheetMutation,
  useFollowSheetMutation,
  useCarCodesQuery,
  useMakeCarCodeMutation,
  useTakeCarMutation,
} = chainApi;
