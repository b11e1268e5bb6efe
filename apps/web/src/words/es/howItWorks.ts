import type { Translation } from '@keen/core/screens';
import type { howItWorks as english } from '../en/howItWorks.ts';

export const howItWorks: Translation<typeof english> = {
  factTables: {
    whatItIs: 'Qué es',
    value: 'Valor',
    mayBeOffBy: 'Puede errar en',
    setBy: 'Fijado por',
  },
  formula: {
    placeOfTheRib: 'lugar de la banda: −1 interior, 0 centro, +1 exterior',
    itsShareOfThe:
      'su parte de la presión de contacto: la caída carga el lado hacia el que se inclina, la convergencia las bandas exteriores, la presión baja ambos hombros, las curvas las exteriores delanteras; una banda puede despegarse, y las partes dan siempre una media de uno',
    whatRunningPressureDoes: 'lo que la presión en marcha hace a todo el ritmo',
    slipThatDrivingItself:
      'deslizamiento que exige la propia conducción; más en ejes motrices y directrices',
    halfTheAxlesTotal:
      'la mitad del total del eje: el conductor dirige el par, así que ambos neumáticos lo comparten',
    whatLooseJointsAdd: 'lo que añaden las articulaciones flojas, aunque el alineador lea bien',
    cambersOwnSlipNone:
      'el deslizamiento propio de la caída: nada en el centro, máximo en los bordes',
    wearRateEqualsK:
      'el ritmo de desgaste es K por P de y por f de p por la suma de S cero al cuadrado, convergencia al cuadrado, variación al cuadrado y c y caída al cuadrado, en milímetros por cada 1000 km',
    mmPer1000Km: 'mm por 1000 km',
    lossesAddUpOver:
      'Las pérdidas se suman en los lugares que ha tenido un neumático: se recorre cada rotación. El dibujo nuevo se gasta más rápido que el gastado, según d.',
  },
  howItWorksPage: {
    howItWorks: 'Cómo funciona',
    back: '← Atrás',
    fromAnglesToTread: 'De los ángulos al dibujo, y de vuelta',
    aFormulaSaysWhat:
      'Una fórmula dice qué dejan en doce bandas unos ángulos, presiones y conducción dados. Al revés, dice a cuáles de ellos apuntan sus doce lecturas, y con qué seguridad. Toda cifra de esta página sale del código que da las respuestas.',
    forwardWhatWearsA: 'Hacia delante: qué gasta una banda',
    itsConstants: 'Sus constantes',
    backFromTreadTo: 'Hacia atrás: del dibujo a las causas',
    someFortyUnknownsAt:
      'Unas cuarenta incógnitas a la vez: cuatro caídas, dos convergencias, cuatro presiones en marcha, ritmo de desgaste, curvas, holgura, rebote, cuánto se dispersan los neumáticos de este coche, una lectura que puede estar mal, y las propias constantes. De los coches que suelen llegar se extraen miles que habrían dejado justo estas lecturas; la probabilidad de una causa es la parte de ellos que la tiene. Convergencia frente a holgura, caída frente a conducción hacia un lado, presión baja frente a curvas: donde encajan dos explicaciones, ambas conservan su parte.',
    whatIsToldOn:
      'También cuenta lo dicho al llegar: un bordillo o una elevación hacen más probables los ángulos fuera, y los ángulos de hoy dicen menos de lo que gastó el dibujo; una alineación anterior a casi todo el desgaste hace más probables las articulaciones gastadas; neumáticos de distinta marca o edad pueden gastarse a ritmos distintos.',
    theCarsThatCome: 'Los coches que llegan (práctica común, sin fuente)',
    howFarTheFormula: 'Cuánto se confía en la fórmula y en la mano',
    fromCausesToAdvice: 'De las causas al consejo',
    someCoursesAreLeft:
      'Algunas opciones se descartan primero: montar neumáticos nuevos donde el dibujo está claramente desigual, ajustar ángulos que nadie ha medido, piezas por sospecha. Las demás se valoran con los precios del taller durante la vida de un juego, para cada coche extraído: el trabajo y los neumáticos gastados. Se recomienda la más barata de media. Una comprobación vale lo que ahorra decidir después de ella; la que no cambiaría nada no se pide.',
    sources: 'Fuentes',
    wearGoesWithThe:
      'El desgaste va con el trabajo de la fricción: Archard (1953); Schallamach y Turner (1960).',
    workGoesWithSlip:
      'El trabajo va con el deslizamiento al cuadrado mientras es pequeño: Pacejka, Tire and Vehicle Dynamics.',
    drawsMetropolisEtAl:
      'Extracciones: Metropolis et al. (1953); aceptación diferida, Christen y Fox (2005); diferencias de extracciones pasadas, ter Braak y Vrugt (2008).',
    whatACheckWould:
      'Lo que diría una comprobación: Lindley (1956), información esperada de un experimento.',
    whatItIsWorth:
      'Lo que vale en dinero: Raiffa y Schlaifer (1961), valor esperado de la información muestral.',
    theFormulaIsNot:
      'La fórmula no es la verdad, y lo sabe: para eso está la dispersión de arriba. Deciden los datos del fabricante, la ley local y un técnico autorizado.',
    whatThatLeaves: 'Lo que eso deja en un eje delantero tras 20 000 km, profundidades en {{unit}}',
  },
};
