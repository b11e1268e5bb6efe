import type { Translation } from '@keen/core/screens';
import type { turnTools as english } from '../en/turnTools.ts';

export const turnTools: Translation<typeof english> = {
  turns: '{{turns}} vueltas',
  insideAndOutside: 'interior {{inside}}, exterior {{outside}}',
  casterBySwing: 'Avance por giro',
  camberReadWithThe:
    'La caída leída con la rueda girada hacia fuera y hacia dentro, el mismo ángulo a cada lado.',
  camberFrontTurnedAway: 'Caída, delante girada hacia fuera del coche',
  camberFrontTurnedToward: 'Caída, delante girada hacia el coche',
  turnedByEachWay: 'Girada, a cada lado',
  ofCamberBetweenOut: '3.4° de caída entre 20° hacia fuera y 20° hacia dentro son 4.97° de avance.',
  caster: 'Avance',
  casterTurnedOutTurned: 'avance = (hacia fuera − hacia dentro) / (2 sin ángulo)',
  theCasterSwingLinear:
    'El giro de avance: lineal por naturaleza, con menos de 0.05° hasta 8° de avance. Positivo se inclina hacia atrás.',
  camberInATurn: 'Caída en una curva',
  whatCasterAndSai: 'Qué hacen el avance y el SAI con la caída de una rueda delantera al girarla.',
  camberStraightAhead: 'Caída en recta',
  steeringAxisInclinationSai: 'Inclinación del eje de pivotamiento (SAI, KPI)',
  steeredToFrontToward: 'Girada a, delante hacia el coche +',
  at20OfSteer: 'A 20° de giro la rueda exterior está a −1.57°, la interior a +1.17°.',
  camberThen: 'Caída entonces',
  theSpinAxisTurned:
    'el eje de giro rotado sobre el eje de pivotamiento (Rodrigues) hasta apuntar como se gira',
  rigidRotationExactThe: 'Rotación rígida, exacta; la rueda parte de convergencia 0.',
  bothWheelsInA: 'Ambas ruedas en una curva',
  camberOfEachFront:
    'La caída de cada rueda delantera a su propio ángulo, y qué esquina levanta el giro.',
  camber: 'Caída, {{side}}',
  casterOfSide: 'Avance, {{side}}',
  sai: 'SAI, {{side}}',
  turning: 'Girando a la',
  insideWheelSteers: 'La rueda interior gira',
  outsideWheelSteers: 'La rueda exterior gira',
  steeringRatio: 'Relación de dirección',
  tireLoadedRadius: 'Neumático, radio con carga',
  withTheScrubRadius: 'Con el radio de pivotamiento, para la elevación',
  scrubRadius: 'Radio de pivotamiento',
  plusTheAxisMeets: 'Más: el eje corta el suelo por dentro del centro del neumático',
  muchCasterSwingsThe:
    'Mucho avance lleva la rueda interior de −2.25° a más de +2° en un giro del volante.',
  insideWheel: 'Rueda interior',
  outsideWheel: 'Rueda exterior',
  steeringWheel: 'Volante',
  bodyAtTheCorners: 'Carrocería en las esquinas',
  eachSpinAxisTurned:
    'cada eje de giro rotado sobre su eje de pivotamiento; elevación = cuánto más bajo queda el centro de la rueda respecto a la carrocería',
  rigidRotationTheSteering:
    'Rotación rígida. El volante gira la media de ambas ruedas por la relación; el eje se toma por el centro de la rueda visto de lado.',
  asItWas: 'como estaba',
  up: '{{mm}} mm arriba',
  down: '{{mm}} mm abajo',
};
