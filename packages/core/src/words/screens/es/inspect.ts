import type * as english from '../en/inspect.ts';
import type { Translation } from '../translation.ts';

export const partsThen: Translation<typeof english.partsThen> = {
  outerTieRod:
    'la convergencia baila con cada bache: desgaste en pluma que vuelve después de una buena alineación',
  innerTieRod:
    'la convergencia baila con cada bache: desgaste en pluma que vuelve después de una buena alineación',
  rackMount:
    'se mueve toda la cremallera: el coche divaga y el volante no se queda donde se ajustó',
  ballJoint: 'la caída y la convergencia no se mantienen, y puede soltarse',
  armBushing: 'la convergencia y el avance cambian al frenar y al acelerar',
  wheelBearing: 'la rueda se inclina en su rodamiento: la caída y la convergencia no se mantienen',
  damper: 'el neumático salta: huecos y ondas, ruido como de rodamiento',
  spring: 'la esquina se hunde: la caída y la convergencia se mueven con la altura',
  stabilizer: 'golpea y balancea; la alineación se mantiene',
  rearLink: 'la caída y la convergencia traseras no se mantienen',
  toeLink: 'la convergencia trasera baila: se empluman los dos traseros y la zaga puede irse',
  bentArm: 'la rueda se inclina o gira por su cuenta; ningún ajuste la devuelve a su sitio',
  rim: 'vibra, y toda lectura tomada en ella es falsa',
};

const sides = { left: 'izquierda', right: 'derecha' };

export const walk: Translation<typeof english.walk> = {
  heights: (taken) => `${taken} de 4 tomadas`,
  heelToe: 'diente de sierra',
  noDamage: 'sin daños',
  playWhenShaken: (how) => `holgura al sacudir: ${how}`,
  allOk: 'todo bien',
  someOk: (count) => `${count} bien`,
  crookedWheel: (side) => `rueda delantera ${sides[side]} torcida`,
  moreThread: (side) => `más rosca a la ${sides[side]}`,
  steeringBinds: 'la dirección se agarrota',
  alike: 'iguales',
  answered: (count) => `${count} de 3 respondidas`,
};
