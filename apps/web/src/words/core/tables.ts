import type { TableTexts } from '@keen/core/screens';
import { tables as english } from '@keen/core/screens/en/tables';
import { screensOf } from '../i18n.ts';

export const tablesTexts = screensOf<TableTexts>('tables', english);
