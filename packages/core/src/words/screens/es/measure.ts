import type * as english from '../en/measure.ts';
import type { Translation } from '../translation.ts';

export const methods: Translation<typeof english.methods> = {
  readout: { title: 'Lectura del equipo', limits: '' },
  gauges: {
    title: 'Medidores láser',
    limits:
      'Los fabricantes de medidores no usan el mismo signo: mire una vez un par de ruedas que claramente cierre por delante y vea cómo lo llama el medidor.',
  },
  tape: {
    title: 'Placas y dos cintas',
    limits:
      'Placas y cintas dan solo el total: no saben dónde está la recta, así que a cada rueda se le da la mitad.',
  },
  helperTape: {
    title: 'Una cinta y un ayudante',
    limits:
      'Una cinta da solo el total, y solo con las dos marcas a la misma altura: la misma ranura a ambos lados, sin comba.',
  },
  strings: {
    title: 'Cuerdas',
    limits: 'Las cuerdas puestas desde los bujes suponen la misma vía a ambos lados.',
  },
  level: {
    title: 'Nivel, teléfono o burbuja',
    limits: 'Un nivel vale lo que se sabe del suelo.',
  },
  square: {
    title: 'Hueco a la escuadra',
    limits: 'Una escuadra se guía por el suelo en que se apoya, y supone la llanta recta.',
  },
  swing: {
    title: 'Giro de avance',
    limits: 'Los platos que no marcan igual aparecen como avance.',
  },
};

const BAR_OF_TOE = 'una barra de convergencia conocida';

export const instruments: Translation<typeof english.instruments> = {
  depth: { title: 'Medidor de profundidad', checkedAgainst: 'un bloque escalonado' },
  readout: {
    title: 'Equipo de alineación',
    checkedAgainst: 'la barra del propio equipo, o una rueda de ángulo conocido',
  },
  gauges: { title: 'Medidores láser', checkedAgainst: BAR_OF_TOE },
  tape: { title: 'Placas y dos cintas', checkedAgainst: BAR_OF_TOE },
  helperTape: { title: 'Cinta', checkedAgainst: BAR_OF_TOE },
  strings: { title: 'Cuerdas', checkedAgainst: BAR_OF_TOE },
  level: {
    title: 'Nivel, teléfono o burbuja',
    checkedAgainst: 'una superficie nivelada, girado de extremo a extremo, o una cuña',
  },
  square: { title: 'Escuadra', checkedAgainst: 'una pared a plomo, o una cuña' },
  swing: {
    title: 'Platos giratorios y medidor de avance',
    checkedAgainst: 'las marcas de los platos giratorios',
  },
};

export const setup: Translation<typeof english.setup> = {
  grease: {
    words: 'Pivotes y rótulas engrasados primero, luego se mira su holgura',
    otherwise: 'una articulación seca esconde su holgura',
    caution: '',
  },
  pressures: {
    words: 'Los cuatro neumáticos a la presión de la placa',
    otherwise: 'un neumático flojo inclina el coche y se lee como caída',
    caution: '',
  },
  load: {
    words: 'Combustible y carga como pide la especificación',
    otherwise: 'un maletero cargado cambia la caída y la convergencia traseras',
    caution: '',
  },
  height: {
    words: 'Suspensión neumática o modo de conducción: a la altura y en el modo que dice la ficha',
    otherwise: 'la caída y la convergencia son las de otra altura',
    caution: '',
  },
  floor: {
    words: 'Suelo nivelado, o su pendiente conocida',
    otherwise: 'un suelo inclinado se lee como caída, un lado contra otro',
    caution: '',
  },
  chocks: {
    words: 'Las ruedas que no se miden, calzadas por ambos lados; nadie dentro',
    otherwise: 'el vehículo puede rodar con alguien agachado al lado',
    caution: 'Antes de que nadie se agache junto a una rueda o se meta debajo.',
  },
  turnPlates: {
    words: 'Ruedas sobre platos aún bloqueados, o sobre chapas engrasadas o pares de cartón',
    otherwise: 'una rueda que agarra da una convergencia falsa',
    caution:
      'Se levanta por los puntos del fabricante, nunca solo con un gato; los platos siguen bloqueados hasta que el coche apoye en ellos.',
  },
  clamps: {
    words: 'Garras en la llanta, ganchos de seguridad a las tres y a las nueve, apretadas',
    otherwise: 'una garra floja se mueve al girar la rueda',
    caution: 'Una garra que cae puede herir: correas de seguridad puestas antes de rodar.',
  },
  runOut: {
    words: 'Alabeo de las llantas compensado; se rueda por la rueda, nunca por la carrocería',
    otherwise: 'una llanta doblada se lee como convergencia y caída',
    caution: '',
  },
  pinsOut: {
    words: 'Pasadores de los platos fuera',
    otherwise: 'un plato bloqueado sujeta la rueda donde se levantó',
    caution: '',
  },
  settled: {
    words: 'Rodado adelante y atrás y asentado delante y detrás',
    otherwise: 'un coche que se ha levantado queda alto y estrecho de vía',
    caution: '',
  },
  oldShims: {
    words: 'Calces viejos del buje fuera antes de la primera lectura trasera',
    otherwise: 'el calce nuevo se elige contra el viejo',
    caution: '',
  },
  brakeHeld: {
    words: 'Freno sujeto con un pisapedal para el giro de avance',
    otherwise: 'una rueda que rueda sobre el plato cambia el giro',
    caution: '',
  },
  wheelStraight: {
    words: 'Volante recto y bloqueado',
    otherwise: 'no se distingue la convergencia izquierda de la derecha',
    caution: '',
  },
  levelZero: {
    words:
      'Nivel o teléfono puesto a cero en este suelo, girado de extremo a extremo para comprobar',
    otherwise: 'su propio error está en cada caída',
    caution: '',
  },
  stringHeight: {
    words: 'Cuerdas a la altura del buje, tensas, sin tocar nada',
    otherwise: 'una cuerda que toca un neumático se dobla ahí',
    caution: '',
  },
};

export const skipped: Translation<typeof english.skipped> = (words, reason, otherwise, also) => {
  const why = reason === '' ? '' : ` (${reason})`;
  const more = also.length > 0 ? ` También afecta a: ${also.join('; ').toLowerCase()}.` : '';
  return `Omitido: ${words.toLowerCase()}${why}; ${otherwise}.${more}`;
};

export const stale: Translation<typeof english.stale> = {
  turned: 'se ha ajustado desde entonces',
  casterMovedCamber: 'se ha ajustado el avance desde entonces, y mueve la caída',
  casterMovedToe: 'se ha ajustado el avance desde entonces, y mueve la convergencia',
  camberMovedToe: 'se ha ajustado la caída desde entonces, y mueve la convergencia',
  rearMovedFront:
    'se ha ajustado el eje trasero desde entonces, y el delantero se ajusta hacia donde apunta',
  camberWillMoveToe: 'primero se ajusta la caída, y mueve la convergencia',
};

export const toeOutIn: Translation<typeof english.toeOutIn> = {
  left: 'Divergencia girando a la izquierda',
  right: 'Divergencia girando a la derecha',
};

const sides = { left: 'izquierda', right: 'derecha' };

export const bent: Translation<typeof english.bent> = {
  because: ({ side, against, camber, sai, included }) =>
    `rueda delantera ${sides[side]} contra ${against === 'sheet' ? 'la ficha' : 'el otro lado'}: caída ${camber}, SAI ${sai}, ángulo incluido ${included}`,
  parts: {
    axisOut:
      'brazo inferior doblado, o torreta empujada hacia fuera: todo el eje de dirección se inclina hacia fuera',
    axisIn:
      'brazo superior doblado, o torreta empujada hacia dentro: todo el eje de dirección se inclina hacia dentro',
    upright: 'mangueta o amortiguador doblado: el eje de dirección está bien, la rueda sobre él no',
    both: 'dos piezas: el eje de dirección se inclina y la rueda asienta mal en él, así que un brazo o la torreta y la mangueta o el amortiguador',
  },
};

export const meaning: Translation<typeof english.meaning> = {
  crossCamber: (size, to) =>
    `Diferencia de caída de ${size}: el coche se va a la ${sides[to]}, hacia la rueda más positiva.`,
  crossCaster: (size, to) =>
    `Diferencia de avance de ${size}: el coche se va a la ${sides[to]}, hacia el lado con menos.`,
  pullUnexplained:
    'Tira, y ni la caída ni el avance dicen por qué: cambie de lado los dos neumáticos delanteros; si el tirón cambia de lado, es un neumático. Una carretera abombada lleva cualquier coche a su lado bajo.',
  thrust: (size, to) =>
    `Empuje de ${size} a la ${sides[to]}: el coche va de lado. Primero el eje trasero.`,
  wheelOff: (degrees, to, ratio, isAssumed) =>
    `El volante queda unos ${degrees} a la ${sides[to]} en recta (relación ${ratio} : 1${isAssumed ? ', supuesta' : ''}).`,
  littleCaster:
    'Poco avance: la dirección vuelve mal y el coche divaga más; más avance hace la dirección más dura.',
  casterEnough:
    'La dirección no vuelve y hay avance suficiente: busque una rótula apretada con pistola o un soporte de torreta agarrotado.',
  frontToeOut: 'Divergencia delante: el coche se desvía con cada bache.',
  turnScrub: (side) =>
    `Girando a la ${sides[side]} las ruedas no siguen sus círculos: arrastran, y puede haber un brazo de dirección doblado.`,
  setback: (side, mm) =>
    `Retraso: la rueda delantera ${sides[side]} está ${mm} mm más atrás; busque un brazo o una cuna doblados.`,
  lockUneven: (degrees, more) =>
    `Gira ${degrees} más a la ${sides[more]}: la cremallera está descentrada. Céntrela antes de girar las bieletas y ajuste el volante después.`,
  totalToe: (size, isIn, axle) =>
    `${isIn ? 'Convergencia' : 'Divergencia'} total de ${size} ${axle === 'front' ? 'delante' : 'detrás'}: los dos neumáticos arrastran.${axle === 'rear' && !isIn ? ' La divergencia detrás puede hacer trompear el coche.' : ''}`,
  camber: (size, axle, side, edge) =>
    `Caída de ${size} en la rueda ${axle === 'front' ? 'delantera' : 'trasera'} ${sides[side]}: gasta el borde ${edge === 'inner' ? 'interior' : 'exterior'}.`,
  height: (front, rear) => {
    const words = (mm: number, end: string) =>
      mm === 0 ? [] : `${Math.abs(mm)} mm ${mm > 0 ? 'más alta' : 'más baja'} ${end}`;
    const changed = [words(front, 'delante'), words(rear, 'detrás')].flat();
    return `La carrocería está ${changed.join(' y ')}: la caída y la convergencia se movieron con ella. Se ajusta a la altura a la que se conduce.`;
  },
  tooClose: (count) =>
    `${count === 1 ? 'Un ángulo está' : `${count} ángulos están`} demasiado cerca de un límite para decidirlo con este método: léalo otra vez, o con uno más fino.`,
};

const CLOSED =
  'Solo para circuito cerrado: en la calle estos ajustes gastan neumáticos y pueden ser ilegales.';

export const startingPoints: Translation<typeof english.startingPoints> = {
  source: 'Costumbre del oficio, sin fuente publicada; manda la ficha del fabricante del vehículo',
  sheets: {
    'street-fwd-in': {
      name: 'Calle, tracción delantera, un poco de convergencia',
      note: 'Por estabilidad. Otros ponen un poco de divergencia, pues la tracción cierra las ruedas.',
    },
    'street-fwd-out': {
      name: 'Calle, tracción delantera, un poco de divergencia',
      note: 'La tracción cierra las ruedas. Otros ponen un poco de convergencia por estabilidad.',
    },
    'street-rwd': {
      name: 'Calle, tracción trasera',
      note: 'La calzada abre las ruedas delanteras; un poco de convergencia lo compensa.',
    },
    'street-awd': {
      name: 'Calle, tracción total',
      note: 'Se ajusta como el eje que más empuja.',
    },
    towing: {
      name: 'Remolque y carga',
      note: 'Se ajusta con la carga con que se conduce, si la lleva la mayor parte del tiempo.',
    },
    lifted: {
      name: 'Elevado, neumáticos mayores',
      note: 'Convergencia lo más cerca posible de cero; se alinea justo después de elevarlo.',
    },
    track: {
      name: 'Circuito',
      note: `Delante 1/16 in de divergencia, detrás 1/8 in de convergencia. ${CLOSED}`,
    },
    autocross: {
      name: 'Autocross',
      note: `La divergencia detrás hace entrar el coche en la curva, y trompear. ${CLOSED}`,
    },
    drag: { name: 'Aceleración', note: `Todo cerca de cero. ${CLOSED}` },
    drift: { name: 'Derrape', note: `Aún más caída negativa delante. ${CLOSED}` },
    cart: {
      name: 'Carrito',
      note: 'De 1/16 a 1/8 in de convergencia; lo que cuenta es la misma caída a ambos lados. Algunos fabricantes piden más.',
    },
    'cart-more': {
      name: 'Carrito, con la convergencia mayor de un fabricante',
      note: '3/8 in de convergencia, como dice el libro de un fabricante. Demasiada hace que el carrito patine sobre el suelo.',
    },
  },
};

export const frontLayouts: Translation<typeof english.frontLayouts> = {
  strut: 'Torreta (amortiguador portante)',
  longArms: 'Dos brazos, el superior más corto',
  truckArms: 'Camioneta, brazos inclinados hacia abajo',
};
