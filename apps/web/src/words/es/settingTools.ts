import type { Translation } from '@keen/core/screens';
import type { settingTools as english } from '../en/settingTools.ts';

export const settingTools: Translation<typeof english> = {
  none: 'ninguno',
  camberAndToe: 'caída {{camber}}, convergencia {{toe}}',
  leftAndRight: '{{left}} izquierda, {{right}} derecha',
  anticlockwise: 'en sentido antihorario',
  clockwise: 'en sentido horario',
  thickestAt: '{{angle}}°, lo más grueso a {{clock}} ({{degrees}}°)',
  lookingIn: '{{turn}}, mirando hacia dentro',
  steeringArm: 'Brazo de dirección',
  steeringAxisToThe: 'Del eje de pivotamiento a la línea de la bieleta, a escuadra, desde arriba',
  threadPitch: 'Paso de rosca',
  threadsPerInchAs: 'Hilos por pulgada como 16 tpi',
  rack: 'Cremallera',
  rodHas: 'La bieleta tiene',
  leaveIt: 'déjela',
  turns: '{{turns}} vueltas, {{action}}',
  ofCamber: '{{camber}} de caída',
  ofToe: '{{toe}} de convergencia',
  remainingError: 'Error restante',
  tieRod: 'Bieleta',
  howManyTurnsChange: 'Cuántas vueltas cambian la convergencia de una rueda, y en qué sentido.',
  changeOfThisWheel: 'Cambio de esta rueda, convergencia +',
  aQuarterDegreeOn:
    'Un cuarto de grado en un brazo de 140 mm son 0.61 mm, 0.41 vueltas de una rosca de 1.5 mm.',
  turn: 'Gire',
  length: 'Longitud',
  fromTheWheel: 'Desde la rueda',
  lengthSteeringArmSin:
    'longitud = brazo de dirección × sin(cambio); más larga para converger con la cremallera detrás, más corta delante',
  plainGeometryATurnbuckles:
    'Geometría sencilla; las dos roscas de un tensor mueven dos pasos por vuelta. El sentido es para una rosca a derechas en el extremo exterior, de rodillas ante la rueda; al revés si es a izquierdas.',
  freeTheJamNut:
    'Suelte antes la contratuerca, sujete la articulación y apriete después al par; tanta rosca dentro como pida el fabricante.',
  steeringWheelStraight: 'Volante recto',
  theWheelStandsOff:
    'El volante queda torcido yendo recto: lo que una bieleta da, la otra lo quita.',
  standsOffToThe: 'Queda torcido, a la derecha +',
  steeringRatio: 'Relación de dirección',
  offAtIsHalf:
    '8° torcido con 16 : 1 es medio grado por rueda: 0.81 vueltas más larga la izquierda, más corta la derecha.',
  leftRod: 'Bieleta izquierda',
  rightRod: 'Bieleta derecha',
  toeOfEachWheel: 'Convergencia de cada rueda',
  leftOffsetRatioRight:
    'izquierda + torcido / relación, derecha − torcido / relación: la convergencia total se mantiene',
  plainGeometryRearThrust:
    'Geometría sencilla. Primero el empuje trasero: volvería a torcer el volante.',
  lockTheWheelStraight:
    'Bloquee el volante recto mientras se giran las bieletas; compruebe que la cremallera está centrada.',
  rearHubShim: 'Cuña de buje trasero',
  oneTaperedShimFrom:
    'Una cuña de las existencias para la caída y la convergencia de una rueda trasera, y hacia dónde apunta.',
  camberWantedChange: 'Caída deseada, cambio',
  toeWantedChangeToe: 'Convergencia deseada, cambio, convergencia +',
  wheel: 'Rueda',
  tapersInStock: 'Cuñas en existencias',
  apartBySemicolons: 'Separadas por punto y coma',
  aHalfDegreeTaper:
    'Una cuña de medio grado, más gruesa hacia la 1, da ambas a la rueda izquierda.',
  shim: 'Cuña',
  gives: 'Da',
  camberACosC: 'caída = A cos c; convergencia = A sin c a la izquierda, − A sin c a la derecha',
  geometryOfAFull:
    'Geometría de una cuña de contacto completo. Primero se cumple la convergencia, que es lo que más gasta; luego la caída más cercana.',
  takeOldShimsOut:
    '{{liftCaution}} Quite antes las cuñas viejas, limpie ambas caras y apriete en estrella.',
  camBolt: 'Tornillo excéntrico',
  howFarAnEccentric: 'Cuánto debe girar una excéntrica, y si alcanza.',
  changeWanted: 'Cambio deseado',
  boltCentreToCam: 'Centro del tornillo al centro de la excéntrica',
  camToThePoint: 'De la excéntrica al punto en que gira el brazo',
  halfADegreeOn: 'Medio grado en un brazo de 300 mm pide 32° de una excéntrica de 5 mm.',
  turnFromMidTravel: 'Giro desde el centro',
  theSameOnThe: 'Lo mismo en la otra mitad',
  atItsEndStop: 'En su tope',
  itReaches: 'Alcanza',
  changeAtanOffsetSin: 'cambio = atan( excentricidad × sin(giro) / brazo )',
  plainGeometryTwoBolt:
    'Geometría sencilla; dos ángulos del tornillo dan el mismo cambio, se dice el más cercano.',
  clampBoltsFirstCam:
    '{{liftCaution}} Primero los tornillos de apriete, la excéntrica al final y luego comprobar, salvo que el fabricante diga otra cosa.',
  upperArmShims: 'Suplementos del brazo superior',
  thicknessToAddOr:
    'Grosor que añadir o quitar en el tornillo delantero y trasero para caída y avance.',
  casterWantedChange: 'Avance deseado, cambio',
  betweenTheBolts: 'Entre los tornillos',
  boltsToTheBall: 'De los tornillos a la rótula',
  upperJointAboveLower: 'Articulación superior sobre la inferior',
  moreNegativeCamberAnd:
    'Más caída negativa y un grado más de avance: 0.4 mm delante, 3.6 mm detrás.',
  frontBolt: 'Tornillo delantero',
  rearBolt: 'Tornillo trasero',
  inFrontRear2:
    'adentro = (delante + detrás) / 2; adelante = brazo × (delante − detrás) / separación; caída = − atan(adentro / altura), avance = − atan(adelante / altura)',
  plainGeometryForShims:
    'Geometría sencilla, para suplementos que meten el brazo. Donde lo sacan, cambie ambos signos.',
  twoCamsOnOne: 'Dos excéntricas en un brazo',
  aLowerArmOn:
    'Un brazo inferior sobre dos excéntricas: juntas ajustan la caída, una contra otra el avance.',
  betweenTheCams: 'Entre las excéntricas',
  camsToTheBall: 'De las excéntricas a la rótula',
  aLittleCamberAnd: 'Un poco de caída y avance a la vez: gira sobre todo la excéntrica trasera.',
  frontCam: 'Excéntrica delantera',
  rearCam: 'Excéntrica trasera',
  outFrontRear2:
    'afuera = (delante + detrás) / 2; adelante = brazo × (detrás − delante) / separación; caída = − atan(afuera / altura), avance = atan(adelante / altura); cada extremo mueve excentricidad × sin(giro)',
  plainGeometryBothCams:
    'Geometría sencilla, ambas excéntricas desde el centro. La convergencia se mueve con cualquiera: se ajusta después.',
  clampBoltsFirstCams:
    '{{liftCaution}} Primero los tornillos de apriete, las excéntricas al final y luego comprobar, salvo que el fabricante diga otra cosa.',
  outOfReach: 'fuera de alcance',
  outOfReachOut: 'fuera de alcance, {{mm}} mm hacia fuera',
  outOfReachIn: 'fuera de alcance, {{mm}} mm hacia dentro',
  camOut: '{{degrees}}°, {{mm}} mm hacia fuera',
  camIn: '{{degrees}}°, {{mm}} mm hacia dentro',
  leave: 'dejar',
  addMm: 'añadir {{mm}} mm',
  takeOutMm: 'quitar {{mm}} mm',
  fromTo: 'de {{from}} a {{to}}',
};
