import type { Translation } from '@keen/core/screens';
import type { inspect as english } from '../en/inspect.ts';

export const inspect: Translation<typeof english> = {
  cornerStop: {
    none: 'Ninguna',
    some: 'Alguna',
    tooMuch: 'Demasiada',
    handsAtTheTop:
      'Manos arriba y abajo, luego a izquierda y derecha. Un clic o un hueco es holgura.',
    aJointSoLoose:
      'Una articulación tan floja puede soltarse. El coche no circula hasta que lo haya visto un técnico autorizado.',
  },
  inspectStep: {
    notLiftedTodayExplain: 'Hoy no se eleva: explicar',
    walkAroundTheCar: 'Dé la vuelta al coche',
    feelAcrossTheRibs:
      'Pase la mano a través de las bandas en ambos sentidos, luego a lo largo, y después mire. Lo que quede en blanco cuenta como no revisado.',
    onTheGround: 'En el suelo',
    feelSlowlyWithGloves: 'Palpe despacio y con guantes: las cuerdas de acero cortan.',
    underTheCar: 'Bajo el coche',
    liftAtTheMakers:
      'Eleve por los puntos del fabricante y ponga borriquetas antes de meter una mano debajo; sacuda una rueda solo en un coche que no pueda rodar ni caer. Un técnico autorizado juzga las articulaciones.',
    compareLeftAndRight: 'Comparar izquierda y derecha',
    explain: 'Explicar',
    steeringAndTieRods: 'Dirección y bieletas',
    rideHeight: 'Altura de la carrocería',
    next: 'Siguiente',
    allOkHere: 'Aquí todo bien',
    theRestIsOk: 'El resto está bien',
    nothingFoundHere: 'Nada encontrado aquí',
    nothingElseHere: 'Nada más aquí',
    explainByKey: 'Explicar ↵',
  },
  photos: {
    thisPictureCannotBe: 'Esta imagen no se puede guardar; use un JPEG o PNG.',
    thePictureIsToo: 'La imagen es demasiado grande, incluso reducida.',
    notSaved: 'Sin guardar: {{text}}',
    lookAtThePicture: 'Ver la imagen de {{label}}',
    pictureOf: 'Imagen de {{label}}',
    picture: 'Imagen',
    delete: 'Borrar',
    close: 'Cerrar',
  },
  rideHeights: {
    theSideHangsMm:
      '{{axle}}: el lado ({{low}}) está {{abs}} mm más bajo; mire primero su muelle, la caída y la convergencia se mueven con él',
    outsideTheSheetsTo:
      '{{wheelLabels}}: fuera de los {{low}} a {{high}} mm de la ficha; sus ángulos solo valen a esa altura',
    hubCentreStraightUp:
      'Del centro del buje recto hasta el arco, en suelo nivelado y con el coche asentado.',
  },
  sideToSide: {
    steeringWheelStraightWhich: 'Con el volante recto: ¿qué rueda delantera no lo está?',
    left: 'Izquierda',
    right: 'Derecha',
    neither: 'Ninguna',
    threadShowingAtThe: 'Rosca a la vista en las bieletas',
    aboutEqual: 'Más o menos igual',
    moreLeft: 'Más a la izquierda',
    moreRight: 'Más a la derecha',
    afterATurnThe: 'Tras una curva la dirección vuelve',
    freely: 'Libremente',
    itBinds: 'Se agarrota',
    theSideNeedsThe:
      'El trabajo está en el otro lado ({{crookedWheel}}): busque ahí primero un brazo, mangueta o bieleta doblados.',
    theRodsAreNot:
      'Las bieletas no son iguales: la cremallera puede estar descentrada, o un lado se ajustó para ocultar algo doblado.',
    aJointTightenedWith:
      'Una articulación apretada con pistola de impacto, o una copela agarrotada, frena la dirección; el avance no lo arregla.',
  },
  stopRow: {
    notChecked: 'sin revisar',
  },
  strokeGuide: {
    movingAwayFromThe:
      'Al ir hacia fuera del coche la mano encuentra el lado afilado: engancha hacia fuera. De vuelta es liso.',
    catchesOutTheSharp: 'engancha hacia fuera: el lado afilado encuentra la mano',
    awayFromTheCar: 'hacia fuera del coche',
    towardTheCar: 'hacia el coche',
  },
  tireStop: {
    none: 'Ninguna',
    some: 'Algunas',
    heavy: 'Fuertes',
    crown: 'Centro',
    shoulder: 'Hombro',
    sidewall: 'Flanco',
    smallAndInThe:
      'Pequeño y en el centro: se puede reparar por dentro, desmontado, si no se rodó desinflado.',
    inTheShoulderIt: 'En el hombro trabaja demasiado: no se repara.',
    inTheSidewallNot: 'En el flanco: no se repara.',
    whereIsThe: '¿Dónde está: {{damageWords}}?',
    whereIsThePress:
      '¿Dónde está: {{damageWords}}? Pulse el lugar en el neumático, o Esc para omitirlo.',
    swipeAcrossTheTread: 'Deslice por el dibujo en el sentido en que enganchó; toque si es liso.',
    acrossTheRibs: 'A través de las bandas',
    wavesAlongTheTread: 'Ondas a lo largo del dibujo',
    damage: 'Daños',
    heelAndToe: 'Punta y talón',
    thePunctureIsIn: 'El pinchazo está en el',
    fineCracksAreAge:
      'Las grietas finas son edad; las que se abren al doblar el flanco llegan a las cuerdas: cambiar.',
    tire: 'rueda {{wheel}}',
    notSafeToDrive:
      'No es seguro circular. El coche se queda hasta que se cambie este neumático; decide la ley local.',
    theTreadOf: 'El dibujo de la rueda {{name}}: {{state}}',
    notFelt: 'sin palpar',
  },
  touchGuides: {
    howToFeelThe: 'Cómo palpar lo demás',
    waves: 'Ondas',
    theFlatHandAlong:
      'La mano plana a lo largo del dibujo, una vuelta entera de la rueda. Los huecos a un palmo uno de otro son ondas; algunas se sienten, las fuertes se ven.',
    heelAndToe: 'Punta y talón',
    alongTheTreadBlock:
      'A lo largo del dibujo, taco a taco, en ambos sentidos: cada taco está alto en un extremo y bajo en el otro. En un sentido engancha, en el otro no.',
    flatSpot: 'Plano',
    turnTheWheelSlowly:
      'Gire la rueda despacio a mano y mire a lo largo del dibujo: un tramo corto está más bajo, de lado a lado, donde se bloqueó la rueda.',
    play: 'Holgura',
    wheelOffTheGround:
      'Rueda en el aire, coche sobre borriquetas: manos arriba y abajo, empujar y tirar; luego a izquierda y derecha. Un clic o un hueco es holgura. Otra persona mira la articulación.',
  },
  wornParts: {
    partsComeFirstAn: 'Primero las piezas: una alineación sobre estas no se mantiene.',
    lookedAtAgainBefore: 'Se revisa de nuevo antes de alinear:',
    tooMuch: 'demasiada',
    some: 'alguna',
    jointsFoundLoose:
      'Las articulaciones flojas cuentan en la respuesta como holgura en su rueda. Un técnico autorizado juzga si se puede conducir.',
  },
};
