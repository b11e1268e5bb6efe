import type { MeasureTexts } from '@keen/core/screens';
import * as english from '@keen/core/screens/en/measure';
import { screensOf } from '../i18n.ts';

export const measureTexts = screensOf<MeasureTexts>('measure', english);
