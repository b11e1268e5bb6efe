import type { Translation } from '@keen/core/screens';
import type { sharedSheet as english } from '../en/sharedSheet.ts';

export const sharedSheet: Translation<typeof english> = {
  sharedSheetPage: {
    loadingTheSheet: 'Cargando la hoja',
    thisSheetCannotBe: 'No se puede mostrar esta hoja. This sheet cannot be shown.',
    tryAgain: 'Reintentar',
    itsLinkHasEnded:
      'El enlace ha terminado; pida otro al taller. Its link has ended. Ask the shop for a new one.',
  },
};
