import type { Translation } from '@keen/core/screens';
import type { measureTools as english } from '../en/measureTools.ts';

export const measureTools: Translation<typeof english> = {
  formulaOfSquare: 'caída = asin( (abajo − arriba) / separación )',
  leftAndRight: 'izquierda {{left}}, derecha {{right}}',
  toeOutOf: '{{degrees}}° de divergencia',
  toeInOf: '{{degrees}}° de convergencia',
  offBy: 'desviadas {{degrees}}, descontado',
  parallel: 'paralelas',
  aheadOfTheHub: '{{name}}, delante del buje',
  behindIt: '{{name}}, detrás',
  toeByTape: 'Convergencia con cinta',
  twoTapeReadingsBetween:
    'Dos lecturas de cinta entre las mismas marcas, delante del eje y detrás.',
  aheadOfTheAxle: 'Delante del eje',
  fractionsAreRead: 'También vale 39 3/8. Aparte las reglas del abombado del flanco',
  behindTheAxle: 'Detrás del eje',
  alongTheWheelBetween: 'Entre las marcas, a lo largo de la rueda',
  theTiresDiameterAt:
    'El diámetro del neumático a la altura del buje; menos si las marcas están más abajo',
  in: 'Unidad',
  mmNarrowerInFront: '3 mm menos delante en un neumático de 640 mm son 0.27° de convergencia.',
  totalToe: 'Convergencia total',
  asALength: 'Como longitud',
  totalToe2Asin: 'convergencia total = 2 asin( (detrás − delante) / 2 / distancia )',
  plainGeometryATape:
    'Geometría sencilla. Una cinta no sabe dónde es recto: solo se dice el total.',
  marksAtEqualHeight:
    'Marcas a igual altura, el coche asentado rodando; el ayudante con las manos fuera de las ruedas.',
  toeByStrings: 'Convergencia con cuerdas',
  aStringAlongEach:
    'Una cuerda a cada lado, separada de los bujes, y una regla al borde de la llanta.',
  stringToStringFront: 'De cuerda a cuerda, eje delantero',
  stringToStringRear: 'De cuerda a cuerda, eje trasero',
  wheelbase: 'Batalla',
  rimEdgeToRim: 'De borde a borde de llanta, delante',
  betweenTheTwoPoints:
    'Entre los dos puntos medidos: una regla fuera del abombado, o el plato de un soporte de buje',
  rimEdgeToRimEdge: 'De borde a borde de llanta, detrás',
  allIn: 'Unidad',
  strings6MmWider:
    'Unas cuerdas 6 mm más abiertas delante hacen que cada rueda parezca 0.06° más convergente de lo que es.',
  totalToeFront: 'Convergencia total, delante',
  totalToeRear: 'Convergencia total, detrás',
  thrust: 'Empuje',
  eachWheel: 'Cada rueda',
  strings: 'Cuerdas',
  errorAtanGapFront:
    'error = atan( (separación delante − detrás) / batalla ), la mitad en cada cuerda\nconvergencia = asin( (delante − detrás) / llanta ) − error / 2',
  plainGeometryStringsSet:
    'Geometría sencilla. Las cuerdas separadas de los bujes toman la vía como igual a ambos lados.',
  aStringThatSags:
    'Una cuerda que cuelga, o un bulto debajo, falsea una lectura: tense ambas y mire a lo largo.',
  toeByGauges: 'Convergencia con medidores',
  laserOrFlagGauges:
    'Medidores láser o de bandera que leen cada rueda, el eje trasero primero como referencia.',
  theyRead: 'Marcan',
  diameterAtTheScale: 'Diámetro en la escala',
  neededForMillimetresAnd: 'Hace falta para milímetros y pulgadas',
  aWheelWhoseFront: 'Una rueda que apunta hacia dentro por delante marca',
  plus: 'Más',
  minus: 'Menos',
  frontWheelsAreRead: 'Las ruedas delanteras se leen frente a',
  theRearAxle: 'El eje trasero',
  theMiddleOfThe: 'El centro del coche',
  theRearRolls0:
    'El eje trasero rueda 0.10° a la derecha del centro, así que la delantera izquierda converge 0.10° más de lo que marca.',
  toeAsinReadingDiameter:
    'convergencia = ± asin( lectura / diámetro )\nleída frente al eje trasero: izquierda + empuje, derecha − empuje',
  plainGeometryWhetherA:
    'Geometría sencilla. Si un más es convergencia cambia de un fabricante de medidores a otro.',
  aLaserIsNever: 'Nunca se mira a un láser; quédese fuera de su línea, y el cliente también.',
  toeByRearFlags: 'Convergencia con banderas traseras',
  aBeamOrA: 'Un haz o una barra recta desde cada rueda delantera hasta una regla en la trasera.',
  beamToFlagAlong: 'Del haz a la bandera, a lo largo del coche',
  beamOffTheFront: 'Haz separado de la cara de la rueda',
  clearOfTheSidewalls: 'Fuera del abombado del flanco; en un soporte de buje, desde su plato',
  leftFlagShows: 'La bandera izquierda marca',
  rightFlagShows: 'La bandera derecha marca',
  faceToFaceFront: 'De cara a cara, delante',
  faceToFaceRear: 'De cara a cara, detrás',
  mmFurtherOutThan:
    '9 mm más afuera de lo que difieren las vías, en 2.6 m: 0.20° de convergencia, izquierda.',
  toeAtanFlagBeam:
    'convergencia = atan( (bandera − haz − (vía delantera − trasera) / 2) / distancia )',
  plainGeometryEachWheel:
    'Geometría sencilla; cada rueda frente al centro del coche según los bujes traseros. Un empuje del eje trasero no se ve.',
  camberBySquare: 'Caída con escuadra',
  aSquareOnThe: 'Una escuadra en el suelo junto a la rueda, y su hueco a la llanta arriba y abajo.',
  gapAtTheTop: 'Hueco en lo alto de la llanta',
  gapAtTheBottom: 'Hueco en lo bajo de la llanta',
  whereTheSquareTouches: '0 donde toca la escuadra',
  rimEdgeToRim3: 'De borde a borde de llanta',
  mmMoreAtThe: '5 mm más en lo alto de una llanta de 8 pulgadas son 1.4° hacia dentro arriba.',
  camber: 'Caída',
  plainGeometryTopOutward:
    'Geometría sencilla; hacia fuera arriba es positivo (SAE J670). Cuenta que sea igual en ambos lados.',
  camberByLevel: 'Caída con nivel',
  aLevelPhoneOr: 'Un nivel, teléfono o medidor de burbuja contra la rueda, cuente como cuente.',
  reading: 'Lectura',
  theSizeShownWithout: 'Lo que muestra, sin signo',
  anUprightWheelShows: 'Una rueda vertical marca',
  theTopLeans: 'La parte alta se inclina',
  out: 'Hacia fuera',
  wheel: 'Rueda',
  theFloorIsHigh: 'El suelo está alto a la',
  floorSlope: 'Inclinación del suelo',
  noneWhenTheLevel: 'Ninguna si el nivel se puso a cero en este suelo',
  aFloor04: 'Un suelo 0.4° alto a la izquierda hace que una rueda izquierda de −1.1° marque −1.5°.',
  camberSizeShownCorrected:
    'caída = ± lo mostrado, corregido por el suelo: + inclinación en su lado alto, − en el otro',
  plainGeometryTopOutwardIs: 'Geometría sencilla; hacia fuera arriba es positivo (SAE J670).',
};
