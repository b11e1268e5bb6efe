import type * as english from '../en/lab.ts';
import type { Translation } from '../translation.ts';

export const namedTreads: Translation<typeof english.namedTreads> = {
  even: 'Nada fuera',
  saw: 'Sierra en los dos delanteros: convergencia',
  sawInner: 'Sierra interior en los dos delanteros: divergencia',
  innerEdge: 'Un borde interior: un amortiguador doblado',
  rearInner: 'Bordes interiores traseros: un coche rebajado',
  soft: 'Los dos hombros: un juego flojo',
  hard: 'El centro: demasiada presión',
  loaded: 'Hombros traseros: una furgoneta cargada',
  waves: 'Ondas: un amortiguador muerto',
  loose: 'Todas las bandas demasiado deprisa: articulaciones flojas',
  keen: 'Bordes exteriores delante: un conductor rápido',
};

const EDGES = { inner: 'el borde interior', centre: 'el centro', outer: 'el borde exterior' };
const SIDES = { inner: 'interior', outer: 'exterior' };

export const patch: Translation<typeof english.patch> = {
  noToe: (driving) => `La marcha misma desliza ${driving}; la convergencia no añade casi nada.`,
  toe: ({ toe, driving, times, edge }) =>
    `La convergencia arrastra todo el ancho ${toe} de lado en cada vuelta de la rueda. Con los ${driving} que pide la marcha, el trabajo es ${times} veces mayor, y el arrastre aprieta el borde ${SIDES[edge]}, así que ese borde se va primero.`,
  camber: (edge, times, slip) =>
    `La caída apoya la carga en el borde ${SIDES[edge]}: ahí, ${times} veces la presión media. Pero apenas hace deslizar el dibujo, ${slip} en los bordes y nada en el medio, así que gasta mucho menos que una convergencia del mismo tamaño.`,
  soft: (percent) =>
    `Una presión ${percent} % por debajo de lo que pide la carga levanta el centro: los dos hombros cargan más.`,
  hard: (percent) =>
    `Una presión ${percent} % por encima de lo que pide la carga redondea el dibujo: el centro carga más.`,
  play: (wander) =>
    `La holgura deja bailar la rueda ${wander}: desliza otro tanto en ambos sentidos y gasta por igual las tres bandas.`,
  even: 'Así el dibujo se gasta por igual.',
  uneven: (most, times, least) =>
    `Así ${EDGES[most]} se gasta ${times} veces más deprisa que ${EDGES[least]}.`,
};

export const examples: Translation<typeof english.examples> = {
  healthy: 'Dentro de tolerancia',
  toeIn: 'Convergencia, 0.8° en total',
  toeOut: 'Divergencia, 0.8° en total',
  camber: 'Caída −3° en las dos',
  soft: 'Presión 25 % baja',
  hard: 'Presión 25 % alta',
  loose: 'Articulaciones flojas, bailan 0.3°',
  cornering: 'Curvas rápidas, 2.5 veces lo usual',
};

const PRACTICE = 'práctica común, sin fuente publicada';

export const constants: Translation<typeof english.constants> = {
  wearRate: {
    symbol: 'K',
    meaning: 'ritmo de desgaste: mezcla, vía, carga, conductor',
    anchor: 'cerca de 1 mm en 10 000 km en un eje delantero motriz',
  },
  drivingSlipFwd: {
    symbol: 'S₀',
    meaning: 'deslizamiento que pide la marcha, delante / detrás, tracción delantera',
    anchor: '0.25° de convergencia en cada rueda gastan la mitad más deprisa',
  },
  drivingSlipRwd: { symbol: '', meaning: 'lo mismo, tracción trasera', anchor: PRACTICE },
  drivingSlipAwd: { symbol: '', meaning: 'lo mismo, tracción total', anchor: PRACTICE },
  camberShare: {
    symbol: 'parte de caída',
    meaning: 'parte de la presión que un grado de caída lleva a su lado',
    anchor: '2° gastan el lado cargado 1.7 veces más que el otro',
  },
  camberSlip: {
    symbol: 'c',
    meaning: 'deslizamiento que un grado de caída añade fuera del centro',
    anchor: '2° suben la media como una décima parte',
  },
  toeShare: {
    symbol: 'parte de convergencia',
    meaning: 'parte de la presión que un grado de convergencia de una rueda lleva a su lado',
    anchor: '0.5° por rueda gastan el borde cargado 1.6 veces más que el otro',
  },
  pressureShare: {
    symbol: 'parte de presión',
    meaning: 'parte que pasa del centro a los hombros por cada unidad de presión que falta',
    anchor: '20 % baja gasta los hombros 1.35 veces más que el centro',
  },
  pressureRate: {
    symbol: 'f(p)',
    meaning: 'ritmo entero con 20 % menos / 20 % más',
    anchor: 'consejo de fabricantes de neumáticos sobre vida perdida, de memoria',
  },
  corneringShare: {
    symbol: 'parte de curvas',
    meaning: 'lo que gana la banda exterior delantera por cada unidad de curvas rápidas',
    anchor: PRACTICE,
  },
  corneringSlip: {
    symbol: '',
    meaning:
      'S₀² crece con el cuadrado de la fuerza lateral; con el doble de curvas de lo usual, un',
    anchor: PRACTICE,
  },
  depthRate: {
    symbol: 'd',
    meaning: 'un dibujo nuevo se gasta más deprisa que uno al final, un',
    anchor: PRACTICE,
  },
  bounceRate: {
    symbol: 'rebote',
    meaning: 'un neumático que rebota se gasta más deprisa, un',
    anchor: PRACTICE,
  },
};

export const rateUnit: Translation<typeof english.rateUnit> = 'mm por 1000 km y grado²';

export const noise: Translation<typeof english.noise> = {
  tire: 'un neumático se gasta más o menos deprisa que la fórmula, un',
  rib: 'y cada una de sus bandas, un',
  scale: 'ambas cosas son mayores o menores en un coche dado, un',
  axleRate: 'un eje se gasta más o menos deprisa que la fórmula, un',
  crown: 'los cuatro neumáticos son más redondos o más planos, un',
  hand: 'curvas y abombado cargan los neumáticos izquierdos y derechos, un',
  newDepth: 'la profundidad nueva se conoce a',
  reading: 'una lectura a mano, aparte de su redondeo, a',
  oddReading: 'un coche de cada tantos tiene una lectura falsa',
  oddTire: 'un coche de cada tantos tiene un neumático raro',
  otherAge: 'un coche de cada tantos tiene un eje de otra edad que la dicha',
};

export const priors: Translation<typeof english.priors> = {
  wellKept: 'siempre bien cuidado',
  frontToe: 'convergencia delantera fuera de tolerancia',
  rearToe: 'convergencia trasera fuera de tolerancia',
  camber: 'caída de alguna rueda fuera',
  pressure: 'presión de algún neumático fuera',
  bounce: 'un amortiguador o el equilibrado mal',
  looseness: 'articulaciones flojas',
  hardCornering: 'conducido fuerte en curvas',
  toeExcess: 'convergencia más allá de su límite, de media',
  camberExcess: 'caída más allá de su límite, de media',
  pressureExcess: 'presión más allá de su límite, de media',
};
