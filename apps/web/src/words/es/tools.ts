import type { Translation } from '@keen/core/screens';
import type { tools as english } from '../en/tools.ts';

export const tools: Translation<typeof english> = {
  toolDialog: {
    notAllNumbersAre: 'Aún no están todos los números.',
  },
  toolField: {
    outwardUp: 'hacia fuera; hacia arriba',
  },
  choices: {
    left: 'Izquierda',
    right: 'Derecha',
    aheadOfTheAxle: 'Delante del eje',
    behindTheAxle: 'Detrás del eje',
    oneThread: 'Una rosca',
    turnbuckle: 'Tensor',
    liftAtTheMakers:
      'Eleve por los puntos del fabricante, sobre borriquetas o un elevador adecuado, con las ruedas calzadas; nunca debajo de un coche sostenido solo por un gato. Deciden el par y el procedimiento del fabricante.',
    wheelsOnFreeTurn:
      'Ruedas sobre platos libres, traseras calzadas, freno sujeto con un prensapedal; manos y pies fuera mientras giran las ruedas.',
  },
  toolInput: {
    lengthsInMm5: 'Longitudes en mm; también se lee 5 1/2 in.',
    aNumberSuchAs: 'Un número, por ejemplo 8.5 o 39 3/8',
    expected: 'Se esperaba {{expected}}',
  },
  tools: {
    measure: 'Medir',
    whatItMeans: 'Qué significa',
    setRight: 'Corregir',
  },
};
