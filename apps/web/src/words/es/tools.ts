import type { english } from '../tools.ts';
import type { Translation } from '../i18n.ts';

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
  floorTools: {
    floorAcrossTheCar: 'El suelo de lado a lado',
    howFarTheFloor: 'Cuánto se aparta el suelo del nivel, y qué va bajo las ruedas bajas.',
    overTheTrack: 'En un ancho de, la vía',
    allIn: 'Todo en',
    riseOverIt: 'Subida en ese ancho',
    byAWaterHose: 'Con una manguera de agua, o un taco bajo un extremo de un nivel largo',
    highOnThe: 'Más alto a la',
    orALevelAcross: 'O un nivel de lado a lado marca, izquierda alta +',
    theSameTurnedEnd: 'El mismo dado la vuelta, izquierda alta +',
    tellsTheFloorFrom: 'Distingue el suelo del error del propio nivel',
    mmOverAM: '6 mm en una vía de 1.5 m son 0.23°: toda caída se lee mal en eso.',
    slope: 'Inclinación',
    theLevelsOwnError: 'El error del propio nivel',
    slopeAtanRiseTrack:
      'inclinación = atan( subida / vía ), o (primera − vuelta) / 2; error = (primera + vuelta) / 2',
    plainGeometryReversingA:
      'Geometría sencilla; dar la vuelta al nivel es la manera usual de comprobarlo. Dentro de 1/16 in de lado a lado donde importan décimas de grado (práctica común, sin fuente).',
    tilesUnderWheelsMust:
      'Las placas bajo las ruedas no deben resbalar ni romperse: calce ambos lados, nadie en el coche.',
    axlesByTwoTapes: 'Ejes con dos cintas',
    hubToHubOn: 'De buje a buje por ambos lados a la vez: si los ejes están a escuadra entre sí.',
    wheelbaseLeft: 'Batalla, izquierda',
    wheelbaseRight: 'Batalla, derecha',
    track: 'Vía',
    mmLongerOnThe:
      '10 mm más a la izquierda en una vía de 1.5 m: el eje trasero apunta 0.38° a la izquierda.',
    rearAxleAgainstThe: 'Eje trasero frente al delantero',
    difference: 'Diferencia',
    plainGeometryTheTapes:
      'Geometría sencilla. Las cintas dicen que los ejes no están a escuadra, no cuál está torcido: un retraso delantero se ve igual.',
    frontWheelsStraightAhead:
      'Ruedas delanteras rectas; ambas cintas a la misma altura, tensadas igual. Nadie en el coche.',
    underRight: 'Bajo las ruedas derechas',
    underLeft: 'Bajo las ruedas izquierdas',
    square: 'a escuadra',
    toTheRight: '{{degrees}}° a la derecha',
    toTheLeft: '{{degrees}}° a la izquierda',
    highOnLeft: '{{degrees}}°, alto a la izquierda',
    highOnRight: '{{degrees}}°, alto a la derecha',
  },
  meaningTools: {
    toeInOtherUnits: 'Convergencia en otras unidades',
    oneWheelsToeBetween:
      'La convergencia de una rueda entre grados, minutos, milímetros y pulgadas.',
    toeOfOneWheel: 'Convergencia de una rueda',
    from: 'De',
    to: 'A',
    diameterItIsMeasured: 'Diámetro al que se mide',
    neededBetweenAnAngle: 'Hace falta entre un ángulo y una longitud',
    onOneWheelIs: '0.15° en una rueda son 1.66 mm en el borde de un neumático de 635 mm.',
    theDefinitionOfToe:
      'La definición de convergencia como longitud. Para un total, convierta la mitad y doble.',
    sidewaysDrag: 'Arrastre lateral',
    howFarToeDrags:
      'Cuánto arrastra de lado la convergencia a un neumático en un kilómetro o una milla.',
    ofToeDragsA: '0.15° de convergencia arrastran un neumático 2.6 m de lado en cada kilómetro.',
    inAKilometre: 'En un kilómetro',
    inAMile: 'En una milla',
    plainGeometryTheTrades:
      'Geometría sencilla. Los 28 ft por milla del oficio para 1/8 in en un neumático de 24 in cuentan ambas ruedas.',
    thrust: 'Empuje',
    whereTheRearAxle: 'Hacia dónde apunta el eje trasero, y cuánto gira eso el volante.',
    toeLeftRear: 'Convergencia, trasera izquierda',
    toeRightRear: 'Convergencia, trasera derecha',
    steeringRatio: 'Relación de dirección',
    forTheSteeringWheel: 'Para el volante; se puede omitir',
    moreToeInOn:
      'Más convergencia en la trasera izquierda empuja a la derecha: el volante queda 1.6° a la derecha.',
    totalToeRear: 'Convergencia total, detrás',
    steeringWheelStands: 'El volante queda',
    thrustLeftRight2: 'empuje = (izquierda − derecha) / 2; volante = empuje × relación',
    aCarThatCrabs:
      'Un coche que va cruzado lleva las ruedas delanteras por la línea de empuje. El empuje se ve en el volante, no en el desgaste.',
    tireSize: 'Medida del neumático',
    whatASizeOn: 'Qué significa en milímetros la medida del flanco.',
    asMouldedOnThe: 'Como está moldeada en el flanco',
    sizeHint: '205/55R16 91V, 33x12.50R15LT, 18x8.50-8',
    mmWideASidewall:
      '205 mm de ancho, un flanco del 55 % de eso, en una llanta de 16 pulgadas: 632 mm de diámetro.',
    diameter: 'Diámetro',
    sectionWidth: 'Ancho de sección',
    sidewall: 'Flanco',
    rim: 'Llanta',
    turnsAKmUnloaded: 'Vueltas por km, sin carga',
    sizeDesignationsOfIso:
      'Denominaciones de ISO 4000-1 y del manual de normas ETRTO. Con carga, un neumático da un 3 % más de vueltas.',
    changedRideHeight: 'Altura cambiada',
    whatLiftingOrLowering:
      'Qué hace elevar o rebajar con la caída y la convergencia de una rueda, a partir de sus articulaciones.',
    bodyUpOrDown: 'Carrocería arriba (+) o abajo (−)',
    lowerArmInnerJoint: 'Brazo inferior, punto interior',
    lowerArmOuterJoint: 'Brazo inferior, punto exterior',
    upperArmInnerJoint: 'Brazo superior, punto interior',
    upperArmOuterJoint: 'Brazo superior, punto exterior',
    orStrutTop: 'o cabeza del amortiguador',
    tieRodInnerEnd: 'Bieleta, extremo interior',
    tieRodOuterEnd: 'Bieleta, extremo exterior',
    steeringArm: 'Brazo de dirección',
    rack: 'Cremallera',
    thisStrutLoweredBy:
      'Esta suspensión, rebajada 30 mm, gana 0.5° de caída negativa y 0.28° de convergencia por rueda.',
    camberChangesBy: 'La caída cambia',
    toeOfThisWheel: 'La convergencia de esta rueda',
    jointsOnTheirArcs:
      'articulaciones en sus arcos, la mangueta y la bieleta tan largas como antes; convergencia = asin(d / brazo de dirección)',
    planeGeometryOfThe:
      'Geometría plana de la vista frontal. Los puntos son hacia fuera; hacia arriba, desde el centro del coche y el suelo.',
    theMakersRideHeight:
      'Decide la altura del fabricante; las piezas que la cambian necesitan su propia homologación.',
    casterAfterAChange: 'Avance tras un cambio de altura',
    whatLiftingOrLoweringDoes: 'Qué hace elevar o rebajar con el avance, visto de lado.',
    casterBefore: 'Avance antes',
    aboveTheLowerArm: 'Sobre el brazo inferior',
    aStrut: 'Un McPherson',
    anUpperArm: 'Un brazo superior',
    strutTopOrUpper: 'Cabeza o articulación superior por encima de la inferior',
    lowerArmsAxisRises: 'El eje del brazo inferior sube hacia delante',
    levelWhereNobodyKnows: 'Nivelado si nadie lo sabe',
    upperArmsAxisRises: 'El eje del brazo superior sube hacia delante',
    aStrutLoweredBy: 'Un McPherson rebajado 30 mm gana un cuarto de grado.',
    casterAfter: 'Avance después',
    changesBy: 'Cambia',
    casterAtanAheadAbove:
      'avance = atan(adelanto / altura); McPherson: altura + cambio; adelanto + cambio × tan(eje inferior) − cambio × tan(eje superior)',
    planeGeometryOfTheSide: 'Geometría plana de la vista lateral; positivo se inclina hacia atrás.',
    otherWheels: 'Otras llantas',
    whereTheEdgesOf:
      'Dónde quedan los bordes de otras llantas, y qué hace eso con la vía, el radio de pivotamiento y el velocímetro.',
    oldRimWidth: 'Llanta anterior, ancho',
    oldRimOffsetEt: 'Llanta anterior, bombeo (ET)',
    plusSetsTheWheel: 'Más lleva la rueda hacia dentro',
    newRimWidth: 'Llanta nueva, ancho',
    newRimOffsetEt: 'Llanta nueva, bombeo (ET)',
    spacer: 'Separador',
    oldTireSize: 'Medida anterior',
    forDiameterAndSpeed: 'Para diámetro y velocidad',
    newTireSize: 'Medida nueva',
    oneAndAHalf:
      'Pulgada y media más ancha y 10 mm menos de bombeo: 29 mm más afuera, 9 mm más adentro.',
    outerEdge: 'Borde exterior',
    innerEdge: 'Borde interior',
    track: 'Vía',
    scrubRadius: 'Radio de pivotamiento',
    tiresForTheRim: 'Neumáticos para la llanta',
    axle: 'Eje',
    speedometer: 'Velocímetro',
    outerEdgeWidth2:
      'borde exterior = ancho / 2 − bombeo, borde interior = ancho / 2 + bombeo, desde la cara atornillada',
    theDefinitionOfWheel:
      'La definición de bombeo de la llanta, geometría sencilla. Las pestañas suman igual en la anterior y la nueva.',
    clearanceIsLookedAt:
      'La holgura se mira en el coche, con toda la dirección y todo el recorrido; deciden el índice de carga y lo que permiten la ley y el fabricante.',
    whereItWas: 'donde estaba',
    asItWas: 'como estaba',
    furtherOut: '{{mm}} mm más afuera',
    furtherIn: '{{mm}} mm más adentro',
    wider: '{{mm}} mm más ancha',
    narrower: '{{mm}} mm más estrecha',
    higher: '{{mm}} mm más alto',
    lower: '{{mm}} mm más bajo',
    right: '{{angle}} a la derecha',
    left: '{{angle}} a la izquierda',
  },
  measureTools: {
    aheadOfTheHub: '{{name}}, delante del buje',
    behindIt: '{{name}}, detrás',
    toeByTape: 'Convergencia con cinta',
    twoTapeReadingsBetween:
      'Dos lecturas de cinta entre las mismas marcas, delante del eje y detrás.',
    aheadOfTheAxle: 'Delante del eje',
    fractionsAreRead: 'También se lee 39 3/8; las reglas quedan fuera del abombado del flanco',
    behindTheAxle: 'Detrás del eje',
    alongTheWheelBetween: 'A lo largo de la rueda entre las dos',
    theTiresDiameterAt:
      'El diámetro del neumático a la altura del buje, la cuerda más corta si es más abajo',
    in: 'En',
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
    allIn: 'Todo en',
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
    aSquareOnThe:
      'Una escuadra en el suelo junto a la rueda, y su hueco a la llanta arriba y abajo.',
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
    aFloor04:
      'Un suelo 0.4° alto a la izquierda hace que una rueda izquierda de −1.1° marque −1.5°.',
    camberSizeShownCorrected:
      'caída = ± lo mostrado, corregido por el suelo: + inclinación en su lado alto, − en el otro',
    plainGeometryTopOutwardIs: 'Geometría sencilla; hacia fuera arriba es positivo (SAE J670).',
  },
  settingTools: {
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
  turnTools: {
    casterBySwing: 'Avance por giro',
    camberReadWithThe:
      'La caída leída con la rueda girada hacia fuera y hacia dentro, el mismo ángulo a cada lado.',
    camberFrontTurnedAway: 'Caída, delante girada hacia fuera del coche',
    camberFrontTurnedToward: 'Caída, delante girada hacia el coche',
    turnedByEachWay: 'Girada, a cada lado',
    ofCamberBetweenOut:
      '3.4° de caída entre 20° hacia fuera y 20° hacia dentro son 4.97° de avance.',
    caster: 'Avance',
    casterTurnedOutTurned: 'avance = (hacia fuera − hacia dentro) / (2 sin ángulo)',
    theCasterSwingLinear:
      'El giro de avance: lineal por naturaleza, con menos de 0.05° hasta 8° de avance. Positivo se inclina hacia atrás.',
    camberInATurn: 'Caída en una curva',
    whatCasterAndSai:
      'Qué hacen el avance y el SAI con la caída de una rueda delantera al girarla.',
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
  },
};
