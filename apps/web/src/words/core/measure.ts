import type { MeasureTexts } from '@keen/core/screens';
import * as english from '@keen/core/screens/en/measure';
import { screensOf } from '../i18n.ts';
import { papers } from '../pageTexts.ts';

export const measureTexts = screensOf<MeasureTexts>('measure', english);

/** What rows of the ledger are called, on paper as on the screen. */
export const ROW_NAMES = { angles: papers.angles, toeOutIn: measureTexts.toeOutIn };
