export const app = {
  crashPage: {
    thisScreenBroke: 'This screen broke.',
    loadAgain: 'Load again',
    whatYouTypedIs:
      'What you typed is saved, here and on the server. Load the page again; if it breaks the same way, tell the person who runs this server.',
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
} as const;
