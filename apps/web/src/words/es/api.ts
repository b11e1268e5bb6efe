import type { Translation } from '@keen/core/screens';
import type { api as english } from '../en/api.ts';

export const api: Translation<typeof english> = {
  problem: {
    theServerIsNot:
      'El servidor no responde. Lo que escribió está guardado en este dispositivo y se envía cuando vuelva.',
    expected: '{{text}}: se esperaba {{expected}}',
    somethingWentWrongNothing: 'Algo salió mal; no se cambió nada',
  },
  keenApi: {
    notUnderstood: 'El servidor respondió algo que esta página no entiende; vuelva a cargarla',
  },
};
