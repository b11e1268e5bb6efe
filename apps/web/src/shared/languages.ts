import type { Language } from '@keen/contract';

/** Languages of the screens and of the customer's papers, each by its own name. */
export const LANGUAGE_OPTIONS: readonly { value: Language; label: string }[] = [
  { value: 'en', label: 'English' },
  { value: 'es', label: 'Español' },
];
