import type { LabTexts } from '@keen/core/screens';
import * as english from '@keen/core/screens/en/lab';
import { screensOf } from '../i18n.ts';

export const labTexts = screensOf<LabTexts>('lab', english);
