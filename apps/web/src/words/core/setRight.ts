import type { SetRightTexts } from '@keen/core/screens';
import * as english from '@keen/core/screens/en/setRight';
import { screensOf } from '../i18n.ts';

export const setRightTexts = screensOf<SetRightTexts>('setRight', english);
