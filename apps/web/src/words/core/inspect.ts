import type { InspectTexts } from '@keen/core/screens';
import * as english from '@keen/core/screens/en/inspect';
import { screensOf } from '../i18n.ts';
import { papers } from '../pageTexts.ts';

export const inspectTexts = screensOf<InspectTexts>('inspect', english);

/** What is found at a stop is called as on the papers. */
export const FOUND = { ...papers, walk: inspectTexts.walk };
