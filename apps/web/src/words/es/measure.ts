import type { Translation } from '@keen/core/screens';
import type { measure as english } from '../en/measure.ts';

export const measure: Translation<typeof english> = {
  againstTheTread: {
    againstTheTread: 'Frente al dibujo',
    workingOutWhatThe: 'Calculando qué dice el dibujo con estos ángulos al lado…',
    lookAtTheCauses: 'Ver las causas',
    withTheseAngles: 'Con estos ángulos al lado, el dibujo dice: <b>{{headline}}</b>',
  },
  angleEntry: {
    sai: '{{wheel}}, SAI',
    frontTotal: 'Total delantera',
    rearTotal: 'Total trasera',
    readTheAngles: 'Leer los ángulos',
    readTwiceOrMore:
      '¿Leído dos veces o más? Escriba las lecturas separadas por espacios: cuenta su media y cuánto se dispersan.',
    byEach: 'con {{title}}, cada una ±{{draft}}°',
    workItOutFrom: 'Calcularlo a partir de las lecturas',
    theGaugeShowsSteps: 'El medidor muestra pasos de',
  },
  angleFileButton: {
    openAFile: 'Abrir un archivo',
    fileOfAngles: 'Archivo de ángulos',
    thisFileWasNot: 'Este archivo no se importó.',
    anglesFrom: 'Ángulos de {{name}}',
    nothingWasChangedFix: 'No se cambió nada. Corrija el archivo y vuelva a abrirlo.',
    understood: 'Entendido',
    column: 'columna {{column}}',
    cancel: 'Cancelar',
    use: 'Usar',
    lineExpected: 'Línea {{line}}, {{where}}: se esperaba {{expected}}',
    whatCouldBeRead: 'Lo que se pudo leer está abajo.',
  },
  angleTable: {
    camber: 'Caída',
    caster: 'Avance',
    saiKpi: 'SAI (KPI)',
    toe: 'Convergencia',
    wheel: 'Rueda',
  },
  casterInTurns: {
    camberInTurns: 'Caída en las curvas',
    turnsOfTheSteering: 'Son {{turns}} vueltas de volante.',
    thatMuchLeansOn:
      'Tanto carga el borde interior cada vez que gira: en ciudad y en curvas se va primero el borde interior, aunque la caída en recta esté dentro.',
    theInnerEdgeHas: 'El borde interior tiene poco que temer de los giros.',
    drawnWithSaiOf: 'Dibujado con un SAI de {{usualSai}}° donde no se leyó; un valor común.',
    outsideOfATurn: 'Rueda exterior en una curva a {{degrees}}°: {{wheels}}.',
    turningLeft:
      'Girando a la izquierda, rueda interior a {{angle}}°: interior {{inside}}, exterior {{outside}}.',
    turningRight:
      'Girando a la derecha, rueda interior a {{angle}}°: interior {{inside}}, exterior {{outside}}.',
  },
  floorFields: {
    floorRise: 'subida del suelo',
    floorOver: 'ancho del suelo',
    floorHigh: 'lado alto del suelo',
    floorRisesBy: 'El suelo sube',
    overTheTrack: 'en la vía de',
    highOnThe: 'Más alto a la',
    left: 'Izquierda',
    right: 'Derecha',
    highOnLeft:
      '{{degrees}}° más alto a la izquierda. Ponga {{tile}} {{unit}} bajo las ruedas derechas, o ponga el nivel a cero en este suelo, o deje que el formulario del nivel lo descuente.',
    highOnRight:
      '{{degrees}}° más alto a la derecha. Ponga {{tile}} {{unit}} bajo las ruedas izquierdas, o ponga el nivel a cero en este suelo, o deje que el formulario del nivel lo descuente.',
  },
  instrumentLine: {
    neverChecked: 'nunca comprobado',
    lastCheckedOffBy:
      'comprobado por última vez el {{checkedAt}}, con un error de unos {{errorSd}}°',
    setItRightBefore: 'ajústelo antes de guiarse por él',
  },
  mappingFields: {
    camber: 'Caída',
    plusTopLeansOut: 'más: inclinada hacia fuera arriba',
    caster: 'Avance',
    plusTopLeansBack: 'más: inclinado hacia atrás arriba',
    saiKpi: 'SAI (KPI)',
    plusTopLeansIn: 'más: inclinado hacia dentro arriba',
    toe: 'Convergencia',
    plusFrontPointsIn: 'más: por delante hacia dentro',
    wheel: 'Rueda',
    turnTheSignRound: '{{title}}: invertir el signo',
    camberAndCasterIn: 'Caída y avance en',
    toeIn: 'Convergencia en',
    takenAtADiameter: 'Medida a un diámetro de',
    turnRound: 'invertir el signo',
  },
  measureStep: {
    measureTheAlignment: 'Medir la alineación',
    sayWhatIsMeasured: 'Diga qué se mide hoy; después se prepara el coche y se repite una lectura.',
    goToInspect: 'Ir a Inspeccionar',
    whatItMeans: 'Qué significa',
    didNotComeBack:
      'La lectura no volvió: algo está gastado, y una alineación encima no se mantiene. Deténgase aquí y mire terminales, rótulas, casquillos y rodamientos de rueda.',
  },
  moreAngles: {
    setbackTurningAnglesAnd: 'Retraso, ángulos en giro y tope de dirección',
    setbackRightWheelFurther: 'Retraso, rueda derecha más atrás +',
    turnUntilTheWheel:
      'Gire hasta que la rueda interior de la curva esté a 20° en su plato, y lea la otra: gira menos. Manos fuera de las ruedas mientras giran.',
    fullLock: 'Tope de dirección',
    toTheLeftLeft: 'A la izquierda, delantera izquierda',
    toTheRightRight: 'A la derecha, delantera derecha',
    turning: 'Girando a la {{side}}',
    inside: 'Interior, {{inner}}',
    outside: 'Exterior, {{outer}}',
  },
  repeatFirst: {
    repeatabilityCheck: 'Comprobación de repetibilidad',
    readOneFrontToe:
      'Lea una convergencia delantera, gire de tope a tope, vuelva a recto y lea otra vez. Si se movió más de {{allowed}}, que es todo lo que puede diferir {{title}}, algo está gastado. Manos y pies lejos de las ruedas.',
    toeBefore: 'Convergencia antes',
    toeAfter: 'Convergencia después',
    theSecondReading: 'La segunda lectura',
    comesBack: 'Vuelve',
    hasMoved: 'Se ha movido',
    movedBy: 'Se movió <b>{{difference}}</b>; hasta {{allowed}} puede diferir {{method}}.',
  },
  rigButton: {
    readTheRig: 'Leer el alineador',
    whatTheRigSees: 'Lo que ve ahora el alineador',
    theRigDoesNot:
      'El alineador no responde. Lo medido está guardado; se le pregunta de nuevo cada segundo.',
    playCarAndFaults: 'Simular coche y fallos',
    cancel: 'Cancelar',
    use: 'Usar',
    theRigIsSwitched: 'El alineador está apagado: no ve ninguna rueda.',
    aTargetIsBlocked:
      'Una diana está tapada: no ve {{unseen}}. Despeje la línea hasta ella; lo que se ve se puede usar.',
    waitUntilTheFigures:
      'Espere a que las cifras se detengan. La que oscila de una mirada a otra tiene la garra floja.',
    simulatedRig: 'Este es el alineador simulado que viene con el producto.',
  },
  setupList: {
    done: 'Hecho',
    skip: 'Omitir',
    notNeeded: 'No hace falta',
    preparation: 'Preparación',
    allAnswered: 'todo contestado',
    ofOpen: '{{length}} de {{length2}} por contestar',
    markTheRestDone: 'Marcar el resto como hecho',
    hide: 'Ocultar',
    show: 'Mostrar',
    empty: 'Vacío',
    full: 'Lleno',
    carriesHeavyLoadsIn:
      'Lleva cargas pesadas en el habitáculo: los ángulos se leen como pide la especificación, no cargado.',
    carriesHeavyLoadsInThe:
      'Lleva cargas pesadas en el maletero: la caída y la convergencia traseras son otras cuando va cargado.',
    carriesHeavyLoadsCamber:
      'Lleva cargas pesadas: la caída y la convergencia son otras cuando va cargado.',
    fuelInTheTank: 'Combustible en el depósito',
    caution: '◆ Precaución',
    then: 'Entonces {{otherwise}}.',
    worthLittleAPoint: 'Vale poco: se omitió un punto del que depende.',
    whyItIsSkipped: 'Por qué se omite',
  },
  sheetBar: {
    noSpecificationChosen: 'Sin especificación elegida',
    usualLimitsStandIn:
      'Valen los límites usuales. Deciden los datos del fabricante: elija su ficha, o introdúzcala una vez.',
    holdsFor: 'Válida para: {{conditions}}',
    changeTheSheet: 'Cambiar la ficha',
    chooseTheSheet: 'Elegir la ficha',
    theMakersFigures: 'Los datos del fabricante',
    theShopsOwnFigures: 'Los datos propios del taller',
    aStartingPointNot: 'Un punto de partida, no los datos del fabricante',
    of: '{{source}} del {{sourceDate}}',
    enteredByOnRevision: 'introducida por {{enteredBy}} el {{enteredAt}}, revisión {{revision}}',
  },
  sheetChooser: {
    whichSpecification: '¿Qué especificación?',
    findByName: 'Buscar por nombre',
    theShopsSheets: 'Las fichas del taller',
    theSheetsCannotBe:
      'Las fichas no se pueden cargar ahora; mientras tanto se puede elegir un punto de partida.',
    startingPointsByUse: 'Puntos de partida según el uso',
    customOfTheTrade:
      'Costumbre del oficio para cuando no se conocen, o no se quieren, los datos del fabricante.',
    goWithoutASheet: 'Seguir sin ficha',
    cancel: 'Cancelar',
    noneYet: 'Aún ninguna.',
    noneOfThatName: 'Ninguna con ese nombre.',
    enterOnce:
      '<link>Introduzca una vez los datos del fabricante</link> y todas las visitas podrán usarlos.',
  },
  toeUnit: {
    toeIsTypedIn: 'La convergencia se escribe en',
    atADiameterOf: 'A un diámetro de (neumático: {{known}})',
    atADiameterOfLabel: 'A un diámetro de',
  },
  whatToday: {
    allFourWheels: 'Las cuatro ruedas',
    frontOnly: 'Solo delante',
    rearOnly: 'Solo detrás',
    whatIsMeasuredToday: '¿Qué se mide hoy?',
    wheels: 'Ruedas',
    angles: 'Ángulos',
    measuredWith: '{{kindWords}}, medido con',
  },
  angleFile: {
    itIsTooLarge: 'Es demasiado grande para los ángulos de un coche.',
    itHasNoTable: 'No tiene una tabla con encabezado y una línea por rueda.',
    itStartsLikeJson: 'Empieza como JSON, pero no lo es.',
    itIsJsonBut: 'Es JSON, pero no son ángulos: su formato debe ser {{anglesFormat}}.',
    theFile: 'El archivo',
    expected: '{{path}}: se esperaba {{expected}}',
  },
  kindWords: {
    camber: 'Caída',
    toe: 'Convergencia',
    caster: 'Avance',
  },
};
