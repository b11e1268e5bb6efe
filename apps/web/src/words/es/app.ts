import type { Translation } from '@keen/core/screens';
import type { app as english } from '../en/app.ts';

export const app: Translation<typeof english> = {
  crashPage: {
    thisScreenBroke: 'Esta pantalla falló.',
    loadAgain: 'Volver a cargar',
    whatYouTypedIs:
      'Lo que escribió está guardado, aquí y en el servidor. Vuelva a cargar la página; si falla de la misma manera, avise a quien se ocupa de esta instalación.',
  },
  notFoundPage: {
    thereIsNothingAt: 'No hay nada en esta dirección.',
    backToToday: 'Volver a Hoy',
  },
  signedIn: {
    loading: 'Cargando',
    noConnectionToThe: 'No hay conexión con el servidor del taller.',
    tryAgain: 'Reintentar',
  },
};
