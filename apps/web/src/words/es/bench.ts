import type { Translation } from '@keen/core/screens';
import type { bench as english } from '../en/bench.ts';

export const bench: Translation<typeof english> = {
  benchPage: {
    nextTool: 'herramienta siguiente',
    toolBefore: 'herramienta anterior',
    backToToday: 'volver a Hoy',
    bench: 'Banco',
  },
  shimTemplatePage: {
    noShimToDraw: 'Ninguna cuña que dibujar',
    theAddressLacksWhere: 'A la dirección le falta hacia dónde apunta la cuña.',
    workAShimOut: 'Calcular una cuña',
    templateOfTheHub: 'Plantilla de la cuña de buje',
    printItWithoutFitting:
      'Imprímala sin ajustar a la página y mida la línea de 50 mm. Marque las 12 en el buje con el coche sobre sus ruedas; recorte el disco, sosténgalo contra el buje con ARRIBA en la marca y esta cara hacia usted, y pase el extremo grueso.',
    theMarkIsMade:
      'La marca se hace antes de elevar el coche. Eleve por los puntos del fabricante; tuercas de rueda y tornillos de buje al par del fabricante.',
    print: 'Imprimir',
  },
  toolList: {
    wearLab: 'Laboratorio de desgaste',
    practice: 'Práctica',
    tools: 'Herramientas',
    tool: 'Herramienta',
    toLearn: 'Para aprender',
  },
  toolView: {
    noAnswerYetFix: 'Aún sin respuesta: corrija lo marcado. Lo introducido está guardado.',
    numbers: 'Números',
    anExample: 'Un ejemplo. {{exampleWords}}',
    yourNumbers: 'Sus números.',
    backToTheExample: 'Volver al ejemplo',
  },
};
