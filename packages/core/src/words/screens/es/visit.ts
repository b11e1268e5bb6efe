import type * as english from '../en/visit.ts';
import type { Translation } from '../translation.ts';

const tires = (count: number) =>
  count === 4 ? 'los cuatro neumáticos' : count === 1 ? 'un neumático' : `${count} neumáticos`;

export const lacks: Translation<typeof english.lacks> = {
  drive: {
    what: 'Tracción',
    why: 'se supone delantera; los neumáticos que empujan se gastan antes',
  },
  distance: {
    what: 'Distancia de los neumáticos',
    why: (km) => `se suponen ${km} km; el desgaste rápido y el lento se parecen`,
  },
  newDepth: {
    what: 'Profundidad nueva',
    why: (mm) => `se suponen ${mm} mm; cuánto se ha gastado es una conjetura`,
  },
  pressures: {
    what: 'Presiones encontradas',
    why: 'sin ellas solo el dibujo puede mostrar poca presión',
  },
  placard: {
    what: 'Presión de la placa',
    why: 'no hay con qué comparar las presiones encontradas',
  },
  ribs: {
    what: (left, all) => (left === all ? 'Las profundidades' : `${left} de ${all} bandas`),
    why: 'un borde que nadie leyó no se puede juzgar',
  },
  feather: {
    what: (left) => `El tacto del dibujo en ${tires(left)}`,
    why: 'distingue la convergencia de la caída',
  },
  waves: { what: (left) => `Ondas en ${tires(left)}`, why: 'apuntan a los amortiguadores' },
  play: {
    what: (left) =>
      left === 4 ? 'Holgura en las articulaciones' : `Holgura en ${left} de 4 ruedas`,
    why: 'una alineación sobre piezas flojas no se mantiene',
  },
  decision: {
    what: 'La respuesta del cliente',
    why: 'con ella se guardan el presupuesto y una negativa',
  },
  repeat: {
    what: 'La repetición de tope a tope',
    why: 'si las lecturas no vuelven hay una pieza gastada',
  },
  angles: {
    what: (count) => (count === 1 ? 'Un ángulo' : `${count} ángulos`),
    why: 'un ángulo que no se leyó no se puede ajustar',
  },
  sheet: {
    what: 'La ficha del coche',
    why: 'se usan límites corrientes, no los de este coche',
  },
  closing: {
    what: (count) => (count === 1 ? 'Un punto antes de entregarlo' : `${count} puntos de la lista`),
    why: 'el coche no se entrega antes de contestarlos',
  },
  paper: { what: 'La hoja', why: 'el cliente aún no la tiene' },
  next: { what: 'La próxima revisión', why: 'no hay ningún recordatorio puesto' },
};

export const notes: Translation<typeof english.notes> = {
  noDrive: 'falta la tracción',
  noDistance: 'falta la distancia',
  noNewDepth: 'falta la profundidad nueva',
  of: (done, all) => `${done} de ${all}`,
  notFelt: (count) => `${count} sin palpar`,
  stopped: 'parado: se mueve',
  toSet: (count) => `${count} por ajustar`,
  cannotTell: 'aún sin decidir',
  toClose: (count) => `${count} por cerrar`,
  nothingDue: 'aún nada pendiente',
  noSheet: 'aún sin hoja',
};

export const fittingSources: Translation<typeof english.fittingSources> = {
  legal: '49 CFR 570.9; Directiva 89/459/CEE (de memoria)',
  wearBars: '49 CFR 571.139 S5.4; UN ECE R30 (de memoria)',
  pair: 'la costumbre del taller',
  newAtRear:
    'práctica común, sin fuente: en mojado, la zaga no debe perder agarre antes que el tren delantero',
  matching: 'el límite del fabricante del vehículo; si no se conoce, la costumbre del taller',
  placard: 'la placa; índice de carga y símbolo de velocidad según ISO 4000-1 (de memoria)',
  mixed:
    'Road Vehicles (Construction and Use) Regulations 1986, reg. 26 (de memoria); práctica común en otros sitios',
  winter: 'práctica común, sin fuente: los cuatro iguales; en algunos sitios es ley en invierno',
  age: 'la costumbre del taller; un fabricante de neumáticos puede pedir menos',
  puncture: 'práctica común, sin fuente; decide el fabricante del neumático',
};

const CONSTRUCTIONS = {
  radial: 'radial',
  bias: 'diagonal',
  belted: 'diagonal cinturado',
};

export const broken: Translation<typeof english.broken> = {
  legal: 'gastado hasta el límite legal',
  wearBars: 'se ven sus testigos de desgaste',
  puncture: 'un pinchazo donde no se puede reparar',
  age: (years) => `${years} años o más`,
  pair: 'nuevo junto a uno gastado en su eje',
  matching: (mm) =>
    `el juego quedaría con ${mm} mm de diferencia, más de lo que admite la tracción total`,
  newAtRear: 'los dos nuevos irían delante',
  placardLoad: (index, kg, asked) =>
    `el índice de carga ${index} lleva ${kg} kg, la placa pide ${asked} kg`,
  placardSpeed: (symbol, asked) =>
    `el símbolo de velocidad ${symbol} está por debajo del ${asked} de la placa`,
  mixedAxle: (a, b) => `${CONSTRUCTIONS[a]} y ${CONSTRUCTIONS[b]} en un mismo eje`,
  mixedCar: (rear) => `radiales delante y ${CONSTRUCTIONS[rear]} detrás`,
  winter: 'neumáticos de invierno solo en algunas ruedas',
};

export const keeps: Translation<typeof english.keeps> = {
  newTire: 'ahí, un neumático nuevo',
  pair: 'una pareja',
  matching: 'cuatro nuevos, o los nuevos rebajados a juego',
  newAtRear: 'los nuevos detrás, los traseros de hoy pasan delante',
  placard: (size) => `al menos ${size}`,
  mixedAxle: 'una sola construcción',
  mixedCar: 'radiales también detrás',
  winter: 'neumáticos de invierno en las cuatro ruedas, o en ninguna',
};

export const laws: Translation<typeof english.laws> = {
  places: {
    us: 'Estados Unidos',
    eu: 'Unión Europea',
    uk: 'Reino Unido',
    austria: 'Austria',
    czechia: 'Chequia',
    latvia: 'Letonia',
    finland: 'Finlandia',
    norway: 'Noruega',
    slovenia: 'Eslovenia',
    sweden: 'Suecia',
  },
  nationalLaw: 'ley nacional de tráfico',
};

export const battery: Translation<typeof english.battery> = {
  weak: (percent, below) =>
    `${percent} % de su valor nominal: débil. Por debajo del ${below} % puede fallar una mañana fría; cárguela y pruebe otra vez.`,
  good: (percent) => `${percent} % de su valor nominal: buena.`,
};
