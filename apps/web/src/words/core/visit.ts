import type { VisitTexts } from '@keen/core/screens';
import * as english from '@keen/core/screens/en/visit';
import { screensOf } from '../i18n.ts';

export const visitTexts = screensOf<VisitTexts>('visit', english);
