import { messagesOf } from './i18n.ts';

export const english = {
  useDiagnosis: {
    theDiagnosisStopped: 'The diagnosis stopped',
  },
} as const;

export const t = messagesOf('workers', english);
