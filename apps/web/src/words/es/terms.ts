import type { terms as english } from '../en/terms.ts';
import type { Translation } from '../messages.ts';

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
