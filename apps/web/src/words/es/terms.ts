import type { english } from '../terms.ts';
import type { Translation } from '../i18n.ts';

export const terms: Translation<typeof english> = {
  side: {
    left: 'izquierda',
    right: 'derecha',
  },
  axle: {
    front: 'delantero',
    rear: 'trasero',
  },
  rib: {
    inner: 'interior',
    centre: 'centro',
    outer: 'exterior',
  },
  angle: {
    camber: 'caída',
    toe: 'convergencia',
  },
  unit: {
    degrees: 'grados',
    minutes: 'minutos',
    inches: 'pulgadas',
  },
};
