import type * as english from '../en/inspect.ts';
import type { Translation } from '../translation.ts';

export const parts: Translation<typeof english.parts> = {
  outerTieRod: {
    title: 'Rótula exterior de dirección',
    then: 'la convergencia baila con cada bache: desgaste en pluma que vuelve después de una buena alineación',
  },
  innerTieRod: {
    title: 'Rótula interior de dirección',
    then: 'la convergencia baila con cada bache: desgaste en pluma que vuelve después de una buena alineación',
  },
  rackMount: {
    title: 'Soportes de la cremallera',
    then: 'se mueve toda la cremallera: el coche divaga y el volante no se queda donde se ajustó',
  },
  ballJoint: {
    title: 'Rótula de suspensión',
    then: 'la caída y la convergencia no se mantienen, y puede soltarse',
  },
  armBushing: {
    title: 'Casquillo del brazo',
    then: 'la convergencia y el avance cambian al frenar y al acelerar',
  },
  wheelBearing: {
    title: 'Rodamiento de rueda',
    then: 'la rueda se inclina en su rodamiento: la caída y la convergencia no se mantienen',
  },
  damper: {
    title: 'Amortiguador, probado a rebote',
    then: 'el neumático salta: huecos y ondas, ruido como de rodamiento',
  },
  spring: {
    title: 'Muelle',
    then: 'la esquina se hunde: la caída y la convergencia se mueven con la altura',
  },
  stabilizer: {
    title: 'Barra estabilizadora y bieletas',
    then: 'golpea y balancea; la alineación se mantiene',
  },
  rearLink: {
    title: 'Tirante trasero',
    then: 'la caída y la convergencia traseras no se mantienen',
  },
  toeLink: {
    title: 'Tirante de convergencia trasero',
    then: 'la convergencia trasera baila: se empluman los dos traseros y la zaga puede irse',
  },
  bentArm: {
    title: 'Brazo doblado',
    then: 'la rueda se inclina o gira por su cuenta; ningún ajuste la devuelve a su sitio',
  },
  rim: {
    title: 'Llanta doblada o rajada',
    then: 'vibra, y toda lectura tomada en ella es falsa',
  },
};

export const feather: Translation<typeof english.feather> = {
  none: 'liso',
  catchesOutward: 'engancha hacia fuera',
  catchesInward: 'engancha hacia dentro',
};

export const waves: Translation<typeof english.waves> = {
  none: 'sin ondas',
  some: 'algunas ondas',
  heavy: 'ondas fuertes',
};

export const damage: Translation<typeof english.damage> = {
  cords: 'cuerdas a la vista',
  bulge: 'bulto',
  cut: 'corte',
  puncture: 'pinchazo',
  sidewallCrack: 'grietas',
  flatSpot: 'zona plana',
};

export const zones: Translation<typeof english.zones> = {
  outerSidewall: 'flanco exterior',
  outer: 'banda exterior',
  centre: 'centro',
  inner: 'banda interior',
  innerSidewall: 'flanco interior',
};

export const play: Translation<typeof english.play> = {
  none: 'ninguna',
  some: 'algo',
  excessive: 'demasiada',
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
