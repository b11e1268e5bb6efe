import {
  carCodeListSchema,
  carCodeSchema,
  carReceivedSchema,
  chainFiguresSchema,
  chainLeadSchema,
  chainSchema,
  changeChainSchema,
  giveSheetSchema,
  newChainSchema,
  newShopSchema,
  openedShopSchema,
  receiveCarSchema,
  resetToChainSchema,
} from '../chains.ts';
import { shopSettingsSchema } from '../shopSettings.ts';
import { storedSheetListSchema } from '../specSheet.ts';
import { insightQuerySchema } from '../insights.ts';
import type { ApiPath } from './apiPath.ts';

/** Several shops of one house: what they share, how they do, and cars that go from one to another. */
export const CHAIN_PATHS: readonly ApiPath[] = [
  {
    method: 'post',
    path: '/api/chain',
    summary: 'A chain that begins with this shop',
    body: newChainSchema,
    reply: chainSchema,
  },
  {
    method: 'get',
    path: '/api/chain',
    summary: 'The chain as its leads see it',
    reply: chainSchema,
  },
  {
    method: 'put',
    path: '/api/chain',
    summary: 'Settle something for all shops, or leave it to them; what is not named stays',
    body: changeChainSchema,
    reply: chainSchema,
  },
  {
    method: 'post',
    path: '/api/chain/shops',
    summary: 'Open one more shop, with the lead who is to run it',
    body: newShopSchema,
    reply: openedShopSchema,
  },
  {
    method: 'post',
    path: '/api/chain/sheets',
    summary: 'Give a sheet of this shop, as it is now, to all shops',
    body: giveSheetSchema,
  },
  {
    method: 'post',
    path: '/api/sheets/{id}/chains',
    summary: 'Take the chain’s sheet again instead of the shop’s own',
    reply: storedSheetListSchema,
  },
  {
    method: 'put',
    path: '/api/chain/leads',
    summary: 'Make somebody of one of the shops a lead of the chain, or take that back',
    body: chainLeadSchema,
    reply: chainSchema,
  },
  {
    method: 'get',
    path: '/api/chain/figures',
    summary: 'How each shop does: numbers only, and of nobody by name',
    query: insightQuerySchema,
    reply: chainFiguresSchema,
  },
  {
    method: 'post',
    path: '/api/shop/settings/chains',
    summary: 'Take the chain’s values again',
    body: resetToChainSchema,
    reply: shopSettingsSchema,
  },
  {
    method: 'get',
    path: '/api/vehicles/{id}/codes',
    summary: 'Codes by which this car may go to another shop of the chain, and whether it went',
    reply: carCodeListSchema,
  },
  {
    method: 'post',
    path: '/api/vehicles/{id}/codes',
    summary: 'A code for the customer; it is told this once, and the one before ends',
    reply: carCodeSchema,
  },
  {
    method: 'post',
    path: '/api/vehicles/taken',
    summary: 'Take a car with its history from another shop of the chain, by the customer’s code',
    body: receiveCarSchema,
    reply: carReceivedSchema,
  },
];
