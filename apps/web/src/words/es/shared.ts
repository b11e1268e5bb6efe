import type { Translation } from '@keen/core/screens';
import type { shared as english } from '../en/shared.ts';

export const shared: Translation<typeof english> = {
  asideDialog: {
    entriesThatCouldNot: 'Datos que no se pudieron guardar',
    theyAreStillOn:
      'Siguen en este dispositivo. Escriba otra vez el valor en su visita, reintente tal como está o descártelo.',
    openTheVisit: 'Abrir la visita',
    tryAgain: 'Reintentar',
    dismiss: 'Descartar',
    close: 'Cerrar',
  },
  chartOrTable: {
    saveAsCsv: 'Guardar como CSV',
    asAChart: 'Como gráfico',
    asATable: 'Como tabla',
  },
  columnSelect: {
    notInIt: 'no está',
    column: 'columna {{place}}',
  },
  copyField: {
    copy: 'Copiar',
    copied: 'Copiado',
  },
  explainedBy: {
    looseJointsThatLet: 'articulaciones con holgura que dejan variar la convergencia',
    pressureInThePast: 'presión en el pasado',
    aDamperOrBalance: 'un amortiguador o el equilibrado',
    hardCornering: 'curvas tomadas con fuerza',
    anglesThatWereOther:
      'ángulos distintos de los de hoy: antes de un bordillo, una pieza o una rotación',
    theyWouldHaveTaken: 'Habrían gastado más de lo que se perdió: no llevan mucho tiempo así.',
    mmLeftOver: '{{mm}} mm {{leftOver}}',
    ofWhatWasLost:
      'De los <b>{{excess}} mm</b> que las cuatro peores bandas perdieron de más frente a unos buenos ajustes, estos ángulos explican <b>{{explained}} mm</b>, {{share}}.',
    leftOver: 'Queda: {{causes}}.',
  },
  loaded: {
    tryAgain: 'Reintentar',
  },
  madeUpYears: {
    allOfThisIs:
      'Todo esto es inventado: {{cars}} coches del taller de demostración vivieron dos años en un simulador, y el diagnóstico los aconsejó como aconsejaría a los suyos.',
    theDemoShopsPast:
      'El pasado del taller de demostración se interrumpió en {{made}} de {{cars}} coches. Continúa cuando el taller se vuelva a iniciar.',
    theDemoShopsTwo:
      'Los dos años pasados del taller de demostración se están inventando en un simulador: {{made}} de {{cars}} coches hasta ahora. Sigue solo y tarda unos minutos.',
    carsMadeUp: 'Coches inventados',
    showWhatIsNew: 'Mostrar lo nuevo',
  },
  moreRows: {
    loading: 'Cargando',
  },
  notice: {
    caution: '◆ Precaución',
  },
  numberField: {
    aNumberSuchAs: 'Un número, por ejemplo 8.5',
    atLeast: 'Como mínimo {{min}}',
    atMost: 'Como máximo {{max}}',
  },
  personMenu: {
    language: 'Idioma de las pantallas, en este dispositivo',
    garage: 'Garaje',
    bench: 'Banco',
    wearLab: 'Laboratorio de desgaste',
    practice: 'Práctica',
    sheets: 'Fichas',
    due: 'Pendientes',
    gauges: 'Medidores',
    insights: 'Análisis',
    shop: 'Taller',
    account: 'Cuenta',
    devices: 'Dispositivos',
    system: 'Sistema',
    howItWorks: 'Cómo funciona',
    toeShownIn: 'Convergencia en',
    readTheRibs: 'Leer las bandas',
    asTheShop: 'Como el taller',
    walkingRound: 'Rodeando el coche',
    leftToRight: 'De izquierda a derecha',
    axleByAxle: 'Eje por eje',
    aToneAfterEach: 'Un tono tras cada lectura',
    on: 'Sí',
    off: 'No',
    light: 'Luz',
    asTheDevice: 'Como el dispositivo',
    day: 'Día',
    night: 'Noche',
    paper: 'Papel',
    letter: 'Carta',
    signOut: 'Cerrar sesión',
    staySignedIn: 'Seguir con la sesión abierta',
    notSavedYet_one:
      '{{count}} dato aún no está guardado en el servidor. Se queda en este dispositivo y se envía cuando vuelva a entrar aquí.',
    notSavedYet_other:
      '{{count}} datos aún no están guardados en el servidor. Se quedan en este dispositivo y se envían cuando vuelva a entrar aquí.',
  },
  savedState: {
    notAccepted: '◆ {{aside}} sin aceptar',
    notSavedYet: '{{unsent}} sin guardar',
    ofOtherVisitsNot: '{{all}} de otras visitas sin guardar',
    saving: 'Guardando…',
    saved: 'Guardado',
  },
  shopSelect: {
    goOnIn: 'Taller',
    waitsHere_one:
      '{{count}} dato de {{shop}} aún no está guardado en el servidor. Se queda en este dispositivo y se envía cuando vuelva allí.',
    waitsHere_other:
      '{{count}} datos de {{shop}} aún no están guardados en el servidor. Se quedan en este dispositivo y se envían cuando vuelva allí.',
  },
  shortcutsDialog: {
    keyboardShortcuts: 'Atajos de teclado',
    keysOnThisPage: 'Teclas en esta página',
    thisList: 'esta lista',
  },
  topBar: {
    garage: 'Garaje',
    bench: 'Banco',
    sheets: 'Fichas',
    due: 'Pendientes',
    keenGrooveToday: 'Keen Groove, hoy',
    keenGroove: 'Keen Groove',
  },
  unitChoices: {
    treadDepthIn: 'Profundidad en',
    pressureIn: 'Presión en',
    distanceIn: 'Distancia en',
  },
  dueWords: {
    wheelNutsTightenedAgain: 'Reapretar las tuercas de rueda',
    technicianLooksAgain: 'El técnico vuelve a revisar',
    treadLookedAt: 'Revisar el dibujo',
    tiresChangePlaces: 'Rotar los neumáticos',
    anglesChecked: 'Revisar los ángulos',
  },
  nameOf: {
    somebodyWhoLeft: 'Alguien que ya no está',
  },
  sheetWords: {
    to: '{{title}} de {{low}} a {{high}}',
  },
  tireWords: {
    onRims: 'con llanta',
    withoutRims: 'sin llanta',
    atSince: 'en {{place}} desde {{since}}',
    summer: 'verano',
    allSeason: 'todo el año',
    winter: 'invierno',
    tires_one: '{{count}} neumático',
    tires_other: '{{count}} neumáticos',
    tiresOfSeason_one: '{{count}} neumático de {{season}}',
    tiresOfSeason_other: '{{count}} neumáticos de {{season}}',
  },
  toeUnits: {
    degrees: 'Grados',
    minutes: 'Minutos',
  },
  wheelLabels: {
    leftFrontShort: 'Del. izq.',
    rightFrontShort: 'Del. der.',
    leftRearShort: 'Tras. izq.',
    rightRearShort: 'Tras. der.',
    leftFront: 'Delantera izquierda',
    rightFront: 'Delantera derecha',
    leftRear: 'Trasera izquierda',
    rightRear: 'Trasera derecha',
  },
  valueWords: {
    cleared: 'borrado',
  },
  answerOne: {
    stopped: 'El diagnóstico se detuvo',
  },
  distanceOnTires: {
    same: '{{distance}} {{unit}} con estos neumáticos',
    axles: '{{front}} {{unit}} con los neumáticos delanteros, {{rear}} {{unit}} con los traseros',
    range: 'de {{least}} a {{most}} {{unit}} con estos neumáticos',
  },
};
