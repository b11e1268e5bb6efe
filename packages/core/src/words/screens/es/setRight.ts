import type { AngleKind, Axle } from '@keen/contract/words';
import type * as english from '../en/setRight.ts';
import type { Translation } from '../translation.ts';

const rodsMove = (_kind: AngleKind, axle: Axle) =>
  axle === 'front'
    ? 'Mueve también el volante, salvo que las dos bieletas se giren igual. Ningún fuelle retorcido, ninguna rótula al límite de tope a tope.'
    : 'Mueve también el empuje, salvo que las dos bieletas se giren igual.';

const moving = (words: { camber: string; caster: string }) => (kind: AngleKind) =>
  kind === 'toe' ? 'Mueve también un poco la caída.' : words[kind];

const TURN_A_CAM = 'Levantar, aflojar, girar, bajar, asentar, medir; par a la altura de marcha.';

export const adjusters: Translation<typeof english.adjusters> = {
  tieRod: { title: 'Bieleta de dirección', how: '', alsoMoves: rodsMove },
  turnbuckle: { title: 'Tensor', how: '', alsoMoves: rodsMove },
  cam: {
    title: 'Tornillo excéntrico',
    how: TURN_A_CAM,
    alsoMoves: moving({
      camber: 'Mueve también la convergencia: mídala después.',
      caster:
        'Mueve también la convergencia, y la rueda: el avance por el brazo inferior la lleva adelante, por el superior atrás. Mire la aleta y el paso de rueda de tope a tope.',
    }),
  },
  twoCams: {
    title: 'Dos excéntricas',
    how: TURN_A_CAM,
    alsoMoves: moving({
      camber:
        'Se giran a la vez. Si no giran igual se mueve también el avance; la convergencia se mueve siempre.',
      caster:
        'Se giran en sentidos opuestos. Más avance lleva la rueda adelante: mire la aleta de tope a tope. La caída se mueve si no giran igual.',
    }),
  },
  hubShim: {
    title: 'Calce en el buje',
    how: '',
    alsoMoves: () =>
      'Ajusta caída y convergencia a la vez. Mire el freno, su latiguillo y la separación del sensor de velocidad con el buje movido.',
  },
  armShims: {
    title: 'Suplementos del brazo',
    how: '',
    alsoMoves: moving({
      camber:
        'Suplementos iguales; si son desiguales mueven el avance. La convergencia también se mueve. Deje rosca suficiente para la tuerca.',
      caster:
        'Suplementos desiguales. Más avance por el brazo superior lleva la rueda atrás: mire el paso de rueda de tope a tope. Deje rosca suficiente para la tuerca.',
    }),
  },
  slots: {
    title: 'Ranuras de la torreta',
    how: '',
    alsoMoves: moving({
      camber:
        'Mueve también la convergencia: mídala después. El neumático se acerca al amortiguador, o a la aleta.',
      caster:
        'Mueve la rueda adelante o atrás en su paso, y un poco la caída si la ranura no es recta.',
    }),
  },
  adjustableArm: {
    title: 'Brazo regulable',
    how: 'Gire el brazo hasta que la lectura sea la buena y bloquéelo; no da más que su rosca.',
    alsoMoves: (kind, axle) =>
      `Mueve también la ${kind === 'toe' ? 'caída' : axle === 'rear' ? 'convergencia trasera' : 'convergencia'}. Después mueva la suspensión por todo su recorrido: ninguna rótula debe llegar a su límite.`,
  },
  none: { title: 'Nada montado', how: '', alsoMoves: () => '' },
};

export const stepTitles: Translation<typeof english.stepTitles> = {
  parts: 'Piezas gastadas',
  camber: 'Caída',
  toe: 'Convergencia',
  totalToe: 'Convergencia total',
  caster: 'Avance',
  steeringWheel: 'Volante',
};

export const stepWhy: Translation<typeof english.stepWhy> = {
  repeatMoves: 'La lectura no volvió: una alineación sobre articulaciones flojas no se mantiene.',
  excessivePlay:
    'Hay demasiada holgura: una alineación sobre articulaciones flojas no se mantiene.',
  out: 'Fuera de sus límites.',
  sidesApart: 'Izquierda y derecha difieren demasiado.',
  allLeft: 'Todo en la rueda izquierda, la que está mal.',
  allRight: 'Todo en la rueda derecha, la que está mal.',
  halfEach: 'La mitad en cada rueda; el volante, al final.',
  sameBoth: 'Las dos al mismo valor: así se quita también el empuje.',
  halfTotal: 'Cada rueda a la mitad del total; el volante, al final.',
  wheelAlone: 'Esta rueda está fuera, el total no.',
  steeringLast: 'Al final: lo que da una bieleta lo quita la otra, y el total se queda.',
  standsLeft: 'Queda a la izquierda: póngalo recto.',
  standsRight: 'Queda a la derecha: póngalo recto.',
  wasMoved: 'Lo que se ajustó lo mueve: mire si está recto.',
  customerSays: 'El cliente dice que está torcido.',
};

export const measureAgain: Translation<typeof english.measureAgain> = (because) =>
  `Medir otra vez: ${because}.`;

export const reachParts: Translation<typeof english.reachParts> = {
  toeArm: 'un tirante de convergencia más largo con la excéntrica anulada',
  tieRods: 'bieletas de dirección más largas o más cortas',
  offsetBushings: 'casquillos descentrados o un brazo regulable para el avance',
  camberArm:
    'un brazo de caída regulable, puesto de modo que se alcance su ajuste con la rueda montada',
  offsetBolts: 'tornillos excéntricos en el amortiguador, o un brazo regulable',
  armsForHeight: (mm) =>
    `brazos superiores hechos para una carrocería ${mm > 0 ? 'elevada' : 'rebajada'} ${Math.abs(mm)} mm`,
};

export const reachOtherwise: Translation<typeof english.reachOtherwise> = {
  scrub: 'los dos neumáticos del eje siguen arrastrando',
  drift: 'sigue yéndose de lado, o volviendo mal',
  inner: 'el borde interior se sigue gastando, también en el neumático nuevo',
  outer: 'el borde exterior se sigue gastando, también en el neumático nuevo',
};

const ROWS: Record<english.RowKind, string> = {
  camber: 'caída',
  caster: 'avance',
  crossCamber: 'diferencia de caída',
  crossCaster: 'diferencia de avance',
  sai: 'SAI',
  included: 'ángulo incluido',
  toe: 'convergencia',
  totalToe: 'convergencia total',
  thrust: 'empuje',
  setback: 'retraso',
  toeOut: 'divergencia en curva',
};
const WHERE = {
  front: ' delante',
  rear: ' detrás',
  lf: ' delante a la izquierda',
  rf: ' delante a la derecha',
  lr: ' detrás a la izquierda',
  rr: ' detrás a la derecha',
};

export const state: Translation<typeof english.state> = {
  row: (kind, at) => `${ROWS[kind]}${at === null ? '' : WHERE[at]}`,
  list: (names) =>
    names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} y ${names.at(-1)}`,
  partsFirst: 'Primero las piezas gastadas.',
  out: (names) => `${names}: fuera de medida.`,
  alsoStale: (names) => `Hay que medir otra vez: ${names}.`,
  alsoClose: (names) => `Demasiado justo para decidir: ${names}.`,
  measureAgain: (names) => `Medir otra vez: ${names}.`,
  because: (why) => `${why.charAt(0).toUpperCase()}${why.slice(1)}.`,
  cannotTell: (names) => `Aún no se puede decidir: ${names}.`,
  closeAdvice:
    'Demasiado cerca de un límite para este método. Mida otra vez, o con uno más fino, o déjelo como está.',
  steering: 'Los ángulos están bien. Ahora el volante.',
  atTarget: (names, _count, by) =>
    `${names}: en el valor buscado, hasta donde se puede ver (${by}).`,
  theReading: 'la lectura',
  left: (names) => `Se deja como está: ${names}.`,
  notMeasured: (names) => `Sin medir: ${names}.`,
  restIn: 'Todo lo demás está dentro.',
  measuredIn: 'Lo que se midió está dentro.',
  allIn: 'Todos los ángulos están dentro.',
};

export const closing: Translation<typeof english.closing> = {
  points: {
    finalReading:
      'Todos los ángulos leídos otra vez con todo apretado y el alabeo compensado de nuevo',
    torque: 'Todo lo que se aflojó, a su par y a la altura de marcha',
    lockToLock:
      'Girado de tope a tope: nada roza, ningún fuelle retorcido, contratuercas apretadas',
    clampsOff: 'Garras fuera de las cuatro ruedas',
    brakeFree: 'Pisapedal y bloqueo del volante fuera del coche',
    turnPlates: 'Platos bloqueados antes de que ruede',
    sensorReset:
      'Sensor de ángulo de dirección puesto a cero si lo tiene, ayudas a la conducción revisadas',
    roadTest: 'Prueba en carretera: recto, volante nivelado',
  },
  cartReading: 'Todo leído otra vez, rodado y asentado',
  readLast: 'Al apretar se mueven los ángulos: cuenta lo que se lee al final.',
  noTorque: 'Los pares del fabricante no están en la ficha: búsquelos.',
  cameras: 'Las cámaras y radares que miran por la línea de empuje pueden necesitar calibración.',
  handsClear: 'Manos y pies lejos de las ruedas.',
  roadCaution:
    'Solo un vehículo seguro, donde sea legal y con un conductor con permiso; tuercas de rueda a su par antes.',
};
