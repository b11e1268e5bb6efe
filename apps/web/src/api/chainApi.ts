import type {
  CarCode,
  CarCodeState,
  CarReceived,
  Chain,
  ChainFigures,
  ChainLead,
  ChangeChain,
  InsightQuery,
  StoredSheet,
  NewChain,
  NewShop,
  OpenedShop,
  ShopSettings,
} from '@keen/contract';
import {
  carCodeListSchema,
  carCodeSchema,
  carReceivedSchema,
  chainFiguresSchema,
  chainSchema,
  storedSheetListSchema,
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
    resetToChain: build.mutation<ShopSettings, string[]>({
      query: (paths) => ({ url: 'shop/settings/chains', method: 'POST', body: { paths } }),
      responseSchema: shopSettingsSchema,
      invalidatesTags: ['Session', 'Audit', 'Insights'],
    }),
    giveSheet: build.mutation<unknown, string>({
      query: (sheetId) => ({ url: 'chain/sheets', method: 'POST', body: { sheetId } }),
      invalidatesTags: ['Sheets', 'Chain'],
    }),
    followSheet: build.mutation<StoredSheet[], string>({
      query: (sheetId) => ({ url: `sheets/${sheetId}/chains`, method: 'POST' }),
      responseSchema: storedSheetListSchema,
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
    receiveCar: build.mutation<CarReceived, string>({
      query: (code) => ({ url: 'vehicles/taken', method: 'POST', body: { code } }),
      responseSchema: carReceivedSchema,
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
  useResetToChainMutation,
  useGiveSheetMutation,
  useFollowSheetMutation,
  useCarCodesQuery,
  useMakeCarCodeMutation,
  useReceiveCarMutation,
} = chainApi;
