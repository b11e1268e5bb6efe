export const sharedSheet = {
  sharedSheetPage: {
    loadingTheSheet: 'Loading the sheet',
    thisSheetCannotBe: 'This sheet cannot be shown. No se puede mostrar esta hoja.',
    tryAgain: 'Try again',
    itsLinkHasEnded:
      'Its link has ended. Ask the shop for a new one. El enlace ha terminado; pida otro al taller.',
  },
} as const;
