import type * as english from '../en/practice.ts';
import type { Translation } from '../translation.ts';

export const lessons: Translation<typeof english.lessons> = {
  softSet: {
    title: 'Un juego flojo',
    about: 'Cuatro neumáticos de una misma edad, gastados igual. El sencillo para empezar.',
    said: [
      'Los dos hombros bajos y el centro alto en todos los neumáticos es presión, no ángulos.',
      'Ponga el manómetro antes de vender una alineación: son tres minutos.',
      'Si la presión está bien hoy, pregunte desde cuándo.',
    ],
  },
  saw: {
    title: 'Una sierra',
    about: 'Algo en el eje delantero. Pase la mano.',
    said: [
      'Los dos neumáticos de un eje gastados en el mismo borde, y la mano engancha en un sentido: eso es convergencia.',
      'El eje comparte su convergencia, así que la muestran los dos neumáticos, sea cual sea la bieleta.',
      'Bordes exteriores y engancha hacia fuera es convergencia; bordes interiores y engancha hacia dentro es divergencia.',
    ],
  },
  innerEdge: {
    title: 'Un borde',
    about: 'Un neumático no es como su vecino.',
    said: [
      'Un solo neumático en un borde, y liso al tacto: caída, o una pieza doblada.',
      'La convergencia no hace eso: el vecino también lo mostraría.',
      'La caída se lleva el borde cargado y deja el centro cerca del otro.',
    ],
  },
  waves: {
    title: 'Arriba y abajo',
    about: 'Las bandas por sí solas no se lo dirán.',
    said: [
      'Pase la mano alrededor del neumático, no solo a lo ancho.',
      'Las ondas son un amortiguador o una rueda desequilibrada; una alineación no las cura.',
      'Las bandas solo parecen algo más gastadas que las del vecino.',
    ],
  },
  keenDriver: {
    title: 'Un conductor rápido',
    about: 'Puede que este coche no tenga nada.',
    said: [
      'Los dos bordes exteriores delanteros, lisos al tacto y con buena presión: curvas rápidas.',
      'No hay nada fuera, así que no hay nada que ajustar; dígalo, y que se rote más a menudo.',
      'La convergencia engancharía al tacto.',
    ],
  },
  rotated: {
    title: 'Rotados por el camino',
    about: 'Los neumáticos se han rotado. Piense dónde ha estado cada uno.',
    said: [
      'El desgaste de los traseros se hizo delante: pregunte primero dónde ha estado un neumático.',
      'El filo se borra en pocos miles de kilómetros; habla del eje en que está ahora.',
      'Los dos ejes gastados en los mismos bordes después de una rotación es un fallo, no dos.',
    ],
  },
  twoCauses: {
    title: 'Dos a la vez',
    about: 'Hay más de una cosa mal.',
    said: [
      'Hombros bajos y encima una pendiente: reste la presión y mire lo que queda.',
      'Pida la presión y el tacto: cada uno decide una de las dos.',
      'Arregle las dos; una sola hace volver al cliente.',
    ],
  },
  fixedArm: {
    title: 'Bordes interiores traseros',
    about: 'La parte trasera, donde nadie mira desde fuera.',
    said: [
      'Bordes interiores traseros son caída y convergencia juntas; ahí asoman las cuerdas mientras por fuera parece nuevo.',
      'Muchos ejes traseros no tienen ajuste de caída: primero va un brazo regulable o un calce, así que presupuéstelo.',
      'La convergencia se ajusta al final: es lo que más gasta y se mueve con todo lo demás.',
    ],
  },
  falseToe: {
    title: 'Una rótula que parece convergencia',
    about: 'Algo delante gasta deprisa. ¿Es un ángulo?',
    said: [
      'Las tres bandas de los dos delanteros demasiado deprisa, y nada engancha: la convergencia baila con una articulación gastada.',
      'Medida en parado puede salir dentro; sacuda la rueda antes de medir.',
      'Una alineación sobre piezas flojas no se mantiene.',
    ],
  },
  mixedAges: {
    title: 'Edades distintas',
    about: 'Dos neumáticos son más jóvenes que los otros dos. Las distancias son correctas.',
    said: [
      'Una profundidad distinta delante y detrás no es un fallo si las distancias difieren.',
      'Calcule el ritmo: milímetros por cada 10.000 km, no milímetros.',
      'Nada fuera también es una respuesta, y el cliente recordará quién se la dio.',
    ],
  },
  wrongReading: {
    title: 'Una lectura falsa',
    about: 'Una de las doce cifras no encaja.',
    said: [
      'Una banda que no sigue a ninguna de sus vecinas es una lectura que se toma otra vez.',
      'Ningún ángulo gasta una banda de un neumático y deja las de al lado.',
      'Una segunda lectura cuesta diez segundos; una alineación que nadie necesitaba cuesta un cliente.',
    ],
  },
  free: {
    title: 'Cualquier coche',
    about: 'Como entran los coches: puede no tener nada, una cosa o varias.',
    said: [
      'Casi todos los coches tienen poco mal: una duda dicha como duda vale más que una apuesta.',
      'Pida la comprobación que podría cambiar lo que hace; deje las demás.',
      'Compare sus probabilidades con la mejor respuesta, no solo con la verdad.',
    ],
  },
};

export const checks: Translation<typeof english.checks> = {
  stroke: 'Pasar la mano por los cuatro dibujos',
  waves: 'Palpar los neumáticos alrededor buscando ondas',
  pressure: 'Manómetro en los cuatro',
  complaints: 'Preguntar al cliente',
  play: 'Sacudir las articulaciones, en el elevador',
  angles: 'Medir los ángulos en el equipo',
};

export const skills: Translation<typeof english.skills> = {
  toe: 'Convergencia',
  camber: 'Caída',
  pressure: 'Presión',
  parts: 'Piezas gastadas y equilibrado',
  driving: 'Curvas rápidas',
};

export const drillKinds: Translation<typeof english.drillKinds> = {
  tape: 'Leer una cinta',
  sign: 'Signos',
  rod: 'Bieletas',
  shim: 'Suplementos',
};

const SIDES = { left: 'izquierda', right: 'derecha' };

export const drill: Translation<typeof english.drill> = {
  signs: { plus: 'más', minus: 'menos' },
  rods: {
    'left.longer': 'bieleta izquierda más larga',
    'left.shorter': 'bieleta izquierda más corta',
    'right.longer': 'bieleta derecha más larga',
    'right.shorter': 'bieleta derecha más corta',
  },
  shims: (mm, isMore) => `${mm} mm ${isMore ? 'más' : 'menos'}`,
  whyTape: (sixteenths, inches, right) =>
    `La marca está ${sixteenths} dieciseisavos más allá de ${inches}: ${right} in.`,
  whySign: (angle, isOut, sign) =>
    angle === 'toe'
      ? `Vista desde arriba, la parte delantera de la rueda apunta hacia ${isOut ? 'fuera' : 'el coche'}: ${sign}.`
      : `Vista desde atrás, la parte alta de la rueda se inclina hacia ${isOut ? 'fuera' : 'el coche'}: ${sign}.`,
  whyRod: (side, needsIn, rack) =>
    `La rueda ${SIDES[side]} necesita ${needsIn ? 'convergencia' : 'divergencia'}; la otra está bien. ${
      rack === 'behind'
        ? 'Detrás del eje, una bieleta más larga empuja hacia fuera la parte trasera de la rueda, y así su parte delantera hacia dentro.'
        : 'Delante del eje, una bieleta más larga empuja hacia fuera la parte delantera de la rueda.'
    }`,
  whyShim: (isIn, armHeight, change, mm) =>
    `La rótula tiene que ir hacia ${isIn ? 'dentro' : 'fuera'} la altura entre rótulas por la tangente: ${armHeight} × tan ${change}° = ${mm} mm, en los dos tornillos para que el avance se quede.`,
};
