import type { FieldNames } from '@keen/core/screens';
import * as english from '@keen/core/screens/en/fields';
import { screensOf } from '../i18n.ts';

export const fieldsTexts = screensOf<FieldNames>('fields', english);
