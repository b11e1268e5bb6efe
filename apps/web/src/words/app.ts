import { messagesOf } from './i18n.ts';

export const english = {
  crashPage: {
    thisScreenBroke: 'This screen broke.',
    whatYouTypedIs:
      'What you typed is kept, here and on the server. Load the page again; if it breaks the same way, tell whoever looks after this installation.',
    loadAgain: 'Load again',
  },
  notFoundPage: {
    thereIsNothingAt: 'There is nothing at this address.',
    backToToday: 'Back to today',
  },
  signedIn: {
    loading: 'Loading',
    noConnectionToThe: 'No connection to the shop’s server.',
    tryAgain: 'Try again',
  },
  theme: {
    archivoVariableArchivoHelvetica:
      "'Archivo Variable', 'Archivo', 'Helvetica Neue', Arial, sans-serif",
  },
} as const;

export const t = messagesOf('app', english);
