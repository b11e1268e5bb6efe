import type { InspectTexts } from '@keen/core/screens';
import * as english from '@keen/core/screens/en/inspect';
import { screensOf } from '../i18n.ts';

export const inspectTexts = screensOf<InspectTexts>('inspect', english);
