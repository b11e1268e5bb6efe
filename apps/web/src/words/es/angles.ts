import type { Translation } from '@keen/core/screens';
import type { angles as english } from '../en/angles.ts';

export const angles: Translation<typeof english> = {
  angleLedger: {
    cantTellYet: 'aún no se sabe',
    noLimit: 'sin límite',
    measureAgain: 'medir de nuevo',
    angleLedger: 'Tabla de ángulos',
    angle: 'Ángulo',
    before: 'Antes',
    now: 'Ahora',
    measured: 'Medido',
    limits: 'Límites',
    againstTheLimits: 'Frente a los límites',
    state: 'Estado',
    usualLimits:
      '¹ Límites usuales, ² costumbre del oficio: sirven donde la ficha calla; decide la especificación del fabricante.',
    to: 'de {{words}} a {{words2}}{{fromMarks}}',
    out: 'fuera',
    in: 'dentro',
    isOut: 'fuera',
    hollowBefore: 'Hueco: antes.',
    lineThroughDot:
      'La línea que atraviesa cada punto es el doble de la incertidumbre típica: método, paso del medidor y repeticiones.',
  },
  fromReadings: {
    cancel: 'Cancelar',
    use: 'Usar',
    atThe: 'En',
  },
  measureHere: {
    nowReads: 'Ahora marca',
    measureAgainHereBy: 'Medir aquí de nuevo, con {{title}}',
    setUp: 'Configurar {{title}}',
    save: 'Guardar',
    theGaugesOwnFigures: 'Los datos propios del medidor',
    reads: 'Marca <b>{{angle}}</b>',
  },
  plateReadings: {
    plateStraightAhead: 'Plato, recto',
    plateTurnedAway: 'Plato, girado hacia fuera',
    plateTurnedToward: 'Plato, girado hacia dentro',
    thePlateWasNot: 'El plato no se puso a cero, o los giros no fueron iguales',
    withAllThreeThe: 'Con las tres, el giro se cuenta a partir de ellas.',
    worthAnEvenSwing: 'Equivale a un giro igual de {{swing}}° a cada lado.',
    slopingFloor: 'Un suelo inclinado está en las dos caídas y se anula.',
  },
  readingsField: {
    meanOfReadings: 'media de {{degrees}} en {{length}} lecturas',
    isUsedRead: 'Se usa {{title}} {{degrees}}; {{title2}} leyó {{degrees2}}. ',
    theyAgree: 'Coinciden.',
    apartMoreThanBoth: '◆ Difieren {{apart}}°, más de lo que ambos pueden errar: mida de nuevo.',
    numbersSuchAs0: 'Números, por ejemplo -0.4',
    atMost: 'Como máximo {{mostDeg}}°',
    atMostReadings: 'Como máximo {{mostReadings}} lecturas',
  },
};
