import type { PracticeTexts } from '@keen/core/screens';
import * as english from '@keen/core/screens/en/practice';
import { screensOf } from '../i18n.ts';

export const practiceTexts = screensOf<PracticeTexts>('practice', english);
