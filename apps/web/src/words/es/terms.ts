import type { Translation } from '@keen/core/screens';
import type { terms as english } from '../en/terms.ts';

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
    caster: 'avance',
  },
  unit: {
    degrees: 'grados',
    minutes: 'minutos',
    inches: 'pulgadas',
    in32: '32avos',
  },
  role: { advisor: 'asesor', technician: 'técnico', lead: 'responsable' },
};
