import type { Axle, Cause, Rib, Wheel } from '@keen/contract/words';
import { WHEEL_ORDER, WHEELS_OF_AXLE } from '../engine/case/wheels.ts';
import type { AdviceTexts, ReasonTexts, Texts, VerdictTexts } from './texts.ts';

const causes: Record<Cause, string> = {
  camberTooNegative: 'Caída demasiado negativa',
  camberTooPositive: 'Caída demasiado positiva',
  pressureLow: 'Presión demasiado baja',
  pressureHigh: 'Presión demasiado alta',
  bounce: 'Amortiguador o equilibrado',
  toeTooFarIn: 'Demasiada convergencia',
  toeTooFarOut: 'Demasiada divergencia',
  looseness: 'Articulaciones con holgura',
  hardCornering: 'Curvas tomadas con fuerza',
};

/** Of a wheel, which is feminine. */
const places: Record<Wheel | Axle, string> = {
  lf: 'delantera izquierda',
  rf: 'delantera derecha',
  lr: 'trasera izquierda',
  rr: 'trasera derecha',
  front: 'eje delantero',
  rear: 'eje trasero',
};

const ofTire: Record<Wheel, string> = {
  lf: 'delantero izquierdo',
  rf: 'delantero derecho',
  lr: 'trasero izquierdo',
  rr: 'trasero derecho',
};

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const isAxle = (where: Wheel | Axle): where is Axle => where === 'front' || where === 'rear';
const at = (where: Wheel | Axle) =>
  isAxle(where) ? `en el ${places[where]}` : `en la rueda ${places[where]}`;
const many = (list: readonly unknown[]) => list.length > 1;

function listed(words: readonly string[]): string {
  const last = words.at(-1) ?? '';
  return words.length > 1 ? `${words.slice(0, -1).join(', ')} y ${last}` : last;
}

function placed(list: readonly (Wheel | Axle)[], noun: 'wheel' | 'tire'): string {
  const isWheel = noun === 'wheel';
  if (list.length === WHEEL_ORDER.length) {
    return isWheel ? 'Las cuatro ruedas' : 'Los cuatro neumáticos';
  }
  for (const axle of ['front', 'rear'] as const) {
    if (list.length === 2 && WHEELS_OF_AXLE[axle].every((wheel) => list.includes(wheel))) {
      const which = axle === 'front' ? 'delanter' : 'traser';
      return isWheel ? `Las dos ruedas ${which}as` : `Los dos neumáticos ${which}os`;
    }
  }
  const words = list.map((where) => (isWheel || isAxle(where) ? places[where] : ofTire[where]));
  const noun2 = isWheel
    ? many(list)
      ? 'Las ruedas'
      : 'La rueda'
    : many(list)
      ? 'Los neumáticos'
      : 'El neumático';
  return `${noun2} ${listed(words)}`;
}

function atPlaces(list: readonly (Wheel | Axle)[]): string {
  const [first] = list;
  if (list.length === 1 && first) return at(first);
  return list.some(isAxle) ? 'en los dos ejes' : `en ${lower(placed(list, 'wheel'))}`;
}

const verdict: VerdictTexts = {
  healthy: 'Este desgaste corresponde a un coche sin nada fuera de medida.',
  seen(seen, isMeasured) {
    const then = isMeasured
      ? 'Hoy los ángulos están bien: mire rótulas y casquillos antes de montar neumáticos nuevos.'
      : 'Lo que lo ha gastado así gastará igual el siguiente: mida la alineación antes de montar.';
    switch (seen.kind) {
      case 'edge':
        return `El neumático ${ofTire[seen.where]} está gastado en el borde ${seen.rib === 'inner' ? 'interior' : 'exterior'} y no destaca ninguna causa. ${then}`;
      case 'saw':
        return `Los dos neumáticos ${seen.where === 'front' ? 'delanteros' : 'traseros'} raspan la mano como una sierra y en el mismo sentido: así empieza el desgaste por convergencia. ${isMeasured ? then : 'Mida la alineación.'}`;
      case 'across':
        return `El neumático ${ofTire[seen.lower]} se ha gastado más que el del otro lado y no destaca ninguna causa. ${then}`;
      case 'shoulders':
        return `El neumático ${ofTire[seen.where]} está gastado en los dos hombros y no destaca ninguna causa. Compruebe la presión y pregunte cómo se conduce.`;
      case 'centre':
        return `El neumático ${ofTire[seen.where]} está gastado en el centro y no destaca ninguna causa. Compruebe la presión.`;
      case 'waves':
        return `El neumático ${ofTire[seen.where]} tiene ondas marcadas: revise su amortiguador y equilibre la rueda.`;
    }
  },
  oddReading: (wheel, rib) =>
    `La lectura ${rib === 'centre' ? 'del centro' : rib === 'inner' ? 'del borde interior' : 'del borde exterior'} del neumático ${ofTire[wheel]} no encaja con las demás. Mídala otra vez antes de decidir.`,
  unread: (wheel, rib) =>
    `Falta la lectura del borde ${rib === 'inner' ? 'interior' : 'exterior'} del neumático ${ofTire[wheel]}, y el resto de ese neumático está desigual. Mídalo antes de decidir: un borde que no se puede medir puede estar gastado del todo.`,
  foundOut:
    'El dibujo no muestra nada fuera de medida, pero un ángulo medido hoy está fuera de sus límites.',
  pulls: (angle, to) =>
    `El dibujo no muestra nada fuera de medida, pero ${angle === 'camber' ? 'la caída delantera medida' : 'el avance medido'} hoy tira del coche hacia la ${to === 'left' ? 'izquierda' : 'derecha'}.`,
  hardlyWorn: 'Los neumáticos se han gastado demasiado poco para saberlo.',
  oneIsOut: 'No destaca ninguna causa, pero es posible que algún ángulo esté fuera de medida.',
  noneStandsOut: 'No destaca ninguna causa.',
  likeliest: (cause, where, chance) =>
    `El fallo más probable es ${lower(causes[cause])} ${at(where)}: ${chance}.`,
  eats: (angle, wheel, rib) =>
    `${angle === 'camber' ? 'La caída' : 'La convergencia'} se está comiendo el borde ${rib === 'inner' ? 'interior' : 'exterior'} del neumático ${ofTire[wheel]}.`,
  outsideLimits: (chance) => `Que esté fuera de sus límites: ${chance}.`,
  unclear: (cause, where) =>
    `Aún no está claro. Lo más probable es ${lower(causes[cause])} ${at(where)}.`,
  happened(cause, list, isOutright) {
    const { what, eating } = said(cause, list);
    if (isOutright) return { what, eating: eating && `Eso está gastando ${eating}.` };
    return {
      what: `Parece que ${lower(what)}`,
      eating: eating && `Eso estaría gastando ${eating}.`,
    };
  },
  scrubs: 'Eso raspa goma de toda la banda de rodadura.',
  carried: (tires) =>
    tires.length === WHEEL_ORDER.length
      ? 'Los neumáticos han cambiado de sitio desde entonces, así que lo llevan los cuatro.'
      : many(tires)
        ? `Los neumáticos que gastó están ahora ${listed(tires.map(at))}.`
        : `El neumático que gastó está ahora ${at(tires[0]!)}.`,
  also: (kinds) =>
    `También es probable: ${kinds
      .map(
        (kind) =>
          `${lower(causes[kind.cause])} (${kind.places.map((where) => places[where]).join(', ')})`,
      )
      .join('; ')}.`,
  toe: (mean, sd, low, high) =>
    `Unos ${mean} en total, con un margen de ${sd}; lo correcto es de ${low} a ${high}.`,
  camber: (mean, sd, low, high) =>
    `Unos ${mean} de caída, con un margen de ${sd}; lo correcto es de ${low} a ${high}.`,
  pressure: (off, sd) =>
    `De media, alrededor de un ${Math.abs(off)} % por ${off < 0 ? 'debajo' : 'encima'} de lo indicado, con un margen del ${sd} %.`,
  took: (part, total, unit) =>
    `Se ha llevado ${part} de los ${total} ${unit === 'mm' ? 'mm' : '32avos de pulgada'} perdidos en la zona más gastada.`,
};

function said(
  cause: Cause,
  list: readonly (Wheel | Axle)[],
): { what: string; eating: string | null } {
  const axle = list[0] === 'rear' ? 'traser' : 'delanter';
  const edges = (which: string) => (many(list) ? `los bordes ${which}es` : `el borde ${which}`);
  switch (cause) {
    case 'toeTooFarIn':
      return {
        what: `Las ruedas ${axle}as han rodado con demasiada convergencia.`,
        eating: 'los dos bordes exteriores',
      };
    case 'toeTooFarOut':
      return {
        what: `Las ruedas ${axle}as han rodado con demasiada divergencia.`,
        eating: 'los dos bordes interiores',
      };
    case 'camberTooNegative':
      return {
        what: `${placed(list, 'wheel')} se ${many(list) ? 'inclinan' : 'inclina'} hacia dentro por arriba.`,
        eating: edges('interior'),
      };
    case 'camberTooPositive':
      return {
        what: `${placed(list, 'wheel')} se ${many(list) ? 'inclinan' : 'inclina'} hacia fuera por arriba.`,
        eating: edges('exterior'),
      };
    case 'pressureLow':
      return {
        what: `${placed(list, 'tire')} ${many(list) ? 'han' : 'ha'} rodado con poca presión.`,
        eating: 'los dos hombros',
      };
    case 'pressureHigh':
      return {
        what: `${placed(list, 'tire')} ${many(list) ? 'han' : 'ha'} rodado con demasiada presión.`,
        eating: 'el centro',
      };
    case 'bounce':
      return {
        what: `${placed(list, 'tire')} ${many(list) ? 'han' : 'ha'} rebotado. Un amortiguador gastado o un mal equilibrado dejan ondas.`,
        eating: null,
      };
    case 'looseness':
      return {
        what: `Algo del eje ${axle}o tiene holgura y deja que las ruedas se desvíen.`,
        eating: null,
      };
    case 'hardCornering':
      return {
        what: 'Las curvas tomadas con fuerza gastan los hombros exteriores delanteros. Es la forma de conducir, no un fallo del coche.',
        eating: null,
      };
  }
}

const EDGES: Record<Rib, string> = { inner: 'interior', centre: 'central', outer: 'exterior' };
const other = (edge: Rib) => (edge === 'outer' ? EDGES.inner : EDGES.outer);
const wheelSays = (wheel: Wheel) => `El neumático ${ofTire[wheel]}`;
const PLAY = {
  none: 'Sin holgura',
  some: 'Algo de holgura',
  excessive: 'Demasiada holgura',
} as const;
const WAVES = {
  none: 'No se notan ondas',
  some: 'Se notan ondas',
  heavy: 'Se notan ondas fuertes',
} as const;

const reasons: ReasonTexts = {
  ranThere: (place, now) => `El neumático ${ofTire[place]} está ahora ${at(now)}.`,
  edgeLower: (edge, by) => `El borde ${EDGES[edge]} está ${by} más bajo que el ${other(edge)}.`,
  edgeNotLower: (edge) =>
    `El borde ${EDGES[edge]} no está claramente más bajo que el ${other(edge)}.`,
  neighbourDiffers:
    'El neumático del otro lado no está gastado igual, y la convergencia se vería en los dos.',
  neighbourAlike: 'El neumático del otro lado está gastado igual, como lo dejaría la convergencia.',
  feathered: 'Las bandas enganchan como una sierra, y la caída sola no lo produce.',
  smoothSlope: 'La pendiente es lisa al tacto, sin filo.',
  camberMeasured: (value, low, high) =>
    `Caída medida: ${value}°; lo correcto es de ${low}° a ${high}°.`,
  standsLower: 'El coche está más bajo que de origen, y eso hace la caída negativa.',
  bothEdgesLower: (edge, left, right) =>
    `Los dos bordes ${EDGES[edge]}es están más bajos: ${left} a la izquierda y ${right} a la derecha.`,
  edgesNotBoth: (edge) =>
    `Los bordes ${EDGES[edge]}es no están más bajos los dos, y la convergencia se ve en ambos neumáticos.`,
  catches: (wheel, isOut) =>
    `${wheelSays(wheel)} engancha al pasar la mano hacia ${isOut ? 'fuera' : 'dentro'}.`,
  isSmooth: (wheel) => `${wheelSays(wheel)} es liso al tacto.`,
  catchesOther: (wheel) => `${wheelSays(wheel)} engancha al revés.`,
  toeMeasured: (value, low, high) =>
    `Convergencia total medida: ${value}°; lo correcto es de ${low}° a ${high}°.`,
  crownLower: (isHigh, by) =>
    isHigh
      ? `El centro está ${by} más bajo que los hombros.`
      : `Los hombros están ${by} más bajos que el centro.`,
  crownNotLower: (isHigh) =>
    isHigh
      ? 'El centro no está claramente más bajo que los hombros.'
      : 'Los hombros no están claramente más bajos que el centro.',
  atPlacard: 'Se encontró con la presión indicada.',
  offPlacard: (off) =>
    `Se encontró un ${Math.abs(off)} % por ${off < 0 ? 'debajo' : 'encima'} de la presión indicada.`,
  play: (wheel, finding) => `${PLAY[finding]} en la rueda ${places[wheel]}.`,
  woreFast: (own, rest) =>
    `Los dos neumáticos del eje se gastan deprisa: ${own} cada 10 000 km, frente a ${rest} en el otro eje.`,
  saysWanders: 'El conductor dice que el coche se desvía.',
  toeStandsIn:
    'La convergencia medida es correcta, así que lo que parece convergencia puede ser holgura.',
  waves: (cupping) => `${WAVES[cupping]} a lo largo de la banda.`,
  placesDiffer: (by) => `Alrededor del neumático hay diferencias de ${by}.`,
  reports: (complaint) =>
    `El conductor nota ${complaint === 'vibration' ? 'vibraciones' : 'ruido'}.`,
  bothFrontOuterLower: 'Los dos bordes exteriores delanteros están más bajos que los interiores.',
  smoothSoNotToe: 'Son lisos al tacto, así que no ha sido la convergencia.',
  frontOuterNotBoth: 'Los bordes exteriores delanteros no están más bajos los dos.',
  usedFor: (use) => `El coche se usa ${use === 'track' ? 'en circuito' : 'para derrapar'}.`,
};

const advice: AdviceTexts = {
  cause: (cause, list, chance) => `${causes[cause]} ${atPlaces(list)}: probable en un ${chance}.`,
  partsFirst: 'Primero las piezas: una alineación sobre articulaciones flojas no se mantiene.',
  lookUnder:
    'Los ángulos medidos hoy están en orden, así que busque qué los mueve en marcha: rótulas, casquillos, rodamientos, un brazo doblado.',
  dampersFirst:
    'Amortiguadores y equilibrado antes de alinear: un amortiguador nuevo mueve la caída.',
  alignedLately:
    'El coche se alineó después de la mayor parte de este desgaste. Cuatro de cada cinco alineaciones se mantienen, así que probablemente sus ángulos están otra vez en orden.',
  bentFirst:
    'Empezó tras un bordillo o un bache: busque una llanta, un brazo o un amortiguador doblado antes de ajustar nada.',
  playFound: (wheels) =>
    `Holgura excesiva ${listed(wheels.map(at))}: no es seguro circular hasta que se repare.`,
  somePlay: (wheels) =>
    `Algo de holgura ${listed(wheels.map(at))}: compárela con el límite del fabricante.`,
  wavesFelt: (wheels) =>
    `Se notan ondas ${listed(wheels.map(at))}, pero no bastan para culpar a un amortiguador: vuelva a palpar en la próxima visita.`,
  pressureFound: (wheels) =>
    `Presión fuera de lo indicado hoy: ${wheels.map((wheel) => ofTire[wheel]).join(', ')}. Póngala bien y, si está baja, busque una fuga.`,
  handling: 'El dibujo no explica lo que el conductor nota al conducir: mida la alineación.',
  shaking:
    'El conductor nota una vibración y los neumáticos pueden seguir: primero equilibre las ruedas y busque una llanta doblada, un plano en el dibujo o un amortiguador flojo.',
  pull: (angle, by, to) =>
    `${angle === 'camber' ? 'La caída delantera' : 'El avance'} difiere en ${by}° de un lado a otro, y eso tira del coche hacia la ${to === 'left' ? 'izquierda' : 'derecha'}: iguale los dos lados.`,
  unexplained: {
    pull: 'El conductor nota que tira, pero los ángulos medidos hoy están en orden: intercambie los dos neumáticos delanteros. Si el tirón cambia de lado, es un neumático; si no, revise los frenos.',
    wheelOff:
      'Los ángulos medidos hoy están en orden, pero el volante está torcido: enderécelo con las dos barras de dirección.',
    wander:
      'El conductor dice que el coche se desvía, pero los ángulos medidos hoy están en orden: revise articulaciones, casquillos y avance.',
    noReturn:
      'El conductor dice que la dirección no vuelve, pero caída y convergencia están hoy en orden: revise el avance y busque una articulación o un soporte de amortiguador agarrotado.',
  },
  hardlyWorn:
    'Los neumáticos apenas se han gastado, así que el dibujo dice poco: léalo otra vez en la próxima visita.',
  foundOut:
    'Un ángulo medido hoy está fuera de sus límites, pero el dibujo no lo muestra: mídalo otra vez antes de ajustar nada.',
  foundOutLately:
    'Un ángulo medido hoy está fuera de sus límites. Aún no ha gastado el dibujo, pero lo hará: ajústelo.',
  unsafe: (wheels) =>
    `No es seguro circular con: ${wheels.map((wheel) => ofTire[wheel]).join(', ')}.`,
  atLimit: (wheels) =>
    `En el límite legal o por debajo: ${wheels.map((wheel) => ofTire[wheel]).join(', ')}.`,
  oneIsOut: (chance) =>
    `Ningún ángulo destaca por sí solo, pero que alguno esté fuera es probable en un ${chance}.`,
  oneIsLoose: (chance) =>
    `Que haya una articulación floja en uno de los ejes es probable en un ${chance}: revíselas primero, porque una alineación sobre articulaciones flojas no se mantiene.`,
  heightChanged:
    'El coche está más alto o más bajo que de fábrica, así que sus ángulos se han movido: alinéelo.',
  heightLookFirst:
    'Mire primero qué más se ha movido: rótulas y palieres en un ángulo más pronunciado, topes, latiguillos de freno, y sitio para las ruedas con la dirección a tope y todo el recorrido.',
  newParts:
    'Piezas de suspensión nuevas desde la última alineación: los ángulos se han movido, así que alinéelo.',
  leftAlone:
    'No es tan probable como para pagar un trabajo ahora: vuelva a medir el dibujo en la próxima visita.',
  nothingToSet: 'Los ángulos medidos hoy están en orden, así que no hay nada que ajustar.',
  nothingOut: 'El dibujo parece el de un coche sin nada fuera de medida.',
  parts: {
    looseness: 'Rótulas, casquillos y rodamientos',
    bounce: 'Amortiguador o equilibrado',
  },
  partWhy: (chance) => `probable en un ${chance}, por el dibujo`,
  chance: {
    under: 'menos de 1 %',
    over: 'más de 99 %',
    range: (low, high) => `${low} a ${high}`,
  },
};

export const SPANISH: Texts = {
  language: 'es',
  locale: 'es',
  causes,
  places,
  ribs: { inner: 'interior', centre: 'centro', outer: 'exterior' },
  sides: { left: 'izquierda', right: 'derecha' },
  sure: [
    'Casi seguro',
    'Muy probable',
    'Probable',
    'Tan probable como no',
    'Posible',
    'Poco probable',
    'Muy poco probable',
  ],
  inHundred: {
    under: 'menos de 1 de cada 100',
    over: 'más de 99 de cada 100',
    of: (n) => `${n} de cada 100`,
  },
  actions: {
    fitOnly: 'Montar los neumáticos nuevos; no hace falta nada más',
    checkAlignment: 'Medir la alineación antes de montar neumáticos nuevos',
    align: 'Alinear antes de montar neumáticos nuevos',
    partsThenAlign: 'Primero las piezas gastadas, después alinear y luego los neumáticos nuevos',
    inflateAndWatch: 'Poner las presiones y vigilarlas',
    balanceOrDampers:
      'Equilibrar las ruedas y mirar los amortiguadores antes de montar neumáticos nuevos',
  },
  actionsAlone: {
    fitOnly: 'De momento no hace falta nada',
    checkAlignment: 'Medir la alineación',
    align: 'Alinear las ruedas',
    partsThenAlign: 'Primero las piezas gastadas, después alinear',
    inflateAndWatch: 'Poner las presiones y vigilarlas',
    balanceOrDampers: 'Equilibrar las ruedas y mirar los amortiguadores',
  },
  dampersThen: {
    checkAlignment: 'Primero los amortiguadores y el equilibrado, después medir la alineación',
    align: 'Primero los amortiguadores y el equilibrado, después alinear',
    partsThenAlign: 'Primero las piezas gastadas y los amortiguadores, después alinear',
  },
  thenTires: ' y luego los neumáticos nuevos',
  verdict,
  reasons,
  advice,
};
