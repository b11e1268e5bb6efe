export const shared = {
  asideDialog: {
    entriesThatCouldNot: 'Entries that could not be saved',
    theyAreStillOn:
      'They are still on this device. Type the value again in its visit, try again as it is, or dismiss it.',
    openTheVisit: 'Open the visit',
    tryAgain: 'Try again',
    dismiss: 'Dismiss',
    close: 'Close',
  },
  chartOrTable: {
    saveAsCsv: 'Save as CSV',
    asAChart: 'As a chart',
    asATable: 'As a table',
  },
  columnSelect: {
    notInIt: 'not in it',
    column: 'column {{place}}',
  },
  copyField: {
    copy: 'Copy',
    copied: 'Copied',
  },
  explainedBy: {
    looseJointsThatLet: 'loose joints that let toe wander',
    pressureInThePast: 'pressure in the past',
    aDamperOrBalance: 'a damper or balance',
    hardCornering: 'hard cornering',
    anglesThatWereOther:
      'angles that were different before: before a kerb, new parts or a rotation',
    theyWouldHaveTaken:
      'They would have taken more than was lost, so they have not been like this for long.',
    mmLeftOver: '{{mm}} mm {{leftOver}}',
    ofWhatWasLost:
      'Of <b>{{excess}} mm</b> that the four worst ribs lost beyond good settings, these angles explain <b>{{explained}} mm</b>, {{share}}.',
    leftOver: 'Left over: {{causes}}.',
  },
  loaded: {
    tryAgain: 'Try again',
  },
  madeUpYears: {
    allOfThisIs:
      'All of this is made up: {{cars}} cars of the demo shop lived through two years in a simulator, and the diagnosis advised them as it would yours.',
    theDemoShopsPast:
      'The demo shop’s past stopped at {{made}} of {{cars}} cars. It goes on when the shop is started again.',
    theDemoShopsTwo:
      'The demo shop’s two past years are being simulated: {{made}} of {{cars}} cars so far. It runs in the background and takes some minutes.',
    carsMadeUp: 'Cars simulated',
    showWhatIsNew: 'Show what is new',
  },
  moreRows: {
    loading: 'Loading',
  },
  notice: {
    caution: '◆ Caution',
  },
  numberField: {
    aNumberSuchAs: 'A number, such as 8.5',
    atLeast: 'At least {{min}}',
    atMost: 'At most {{max}}',
  },
  personMenu: {
    language: 'Language of the screens, on this device',
    garage: 'Garage',
    bench: 'Bench',
    wearLab: 'Wear lab',
    practice: 'Practice',
    sheets: 'Sheets',
    due: 'Due',
    gauges: 'Gauges',
    insights: 'Insights',
    shop: 'Shop',
    account: 'Account',
    devices: 'Devices',
    system: 'System',
    howItWorks: 'How it works',
    toeShownIn: 'Toe shown in',
    readTheRibs: 'Read the ribs',
    asTheShop: 'Same as the shop',
    walkingRound: 'Walking round',
    leftToRight: 'Left to right',
    axleByAxle: 'Axle by axle',
    aToneAfterEach: 'A tone after each reading',
    on: 'On',
    off: 'Off',
    light: 'Light',
    asTheDevice: 'Same as the device',
    day: 'Day',
    night: 'Night',
    paper: 'Paper',
    letter: 'Letter',
    signOut: 'Sign out',
    staySignedIn: 'Stay signed in',
    notSavedYet_one:
      '{{count}} entry is not saved on the server yet. It stays on this device and is sent when you sign in here again.',
    notSavedYet_other:
      '{{count}} entries are not saved on the server yet. They stay on this device and are sent when you sign in here again.',
  },
  savedState: {
    notAccepted: '◆ {{aside}} not accepted',
    notSavedYet: '{{unsent}} not saved yet',
    ofOtherVisitsNot: '{{all}} of other visits not saved yet',
    saving: 'Saving…',
    saved: 'Saved',
  },
  shopSelect: {
    goOnIn: 'Shop',
    waitsHere_one:
      '{{count}} entry of {{shop}} is not saved on the server yet. It stays on this device and is sent when you are back there.',
    waitsHere_other:
      '{{count}} entries of {{shop}} are not saved on the server yet. They stay on this device and are sent when you are back there.',
  },
  shortcutsDialog: {
    keyboardShortcuts: 'Keyboard shortcuts',
    keysOnThisPage: 'Keys on this page',
    thisList: 'this list',
  },
  topBar: {
    garage: 'Garage',
    bench: 'Bench',
    sheets: 'Sheets',
    due: 'Due',
    keenGrooveToday: 'Keen Groove, today',
    keenGroove: 'Keen Groove',
  },
  unitChoices: {
    treadDepthIn: 'Tread depth in',
    pressureIn: 'Pressure in',
    distanceIn: 'Distance in',
  },
  dueWords: {
    wheelNutsTightenedAgain: 'Retighten the wheel nuts',
    technicianLooksAgain: 'Technician checks again',
    treadLookedAt: 'Check the tread',
    tiresChangePlaces: 'Rotate the tires',
    anglesChecked: 'Check the angles',
  },
  nameOf: {
    somebodyWhoLeft: 'Someone who left',
  },
  sheetWords: {
    to: '{{title}} {{low}} to {{high}}',
  },
  tireWords: {
    onRims: 'on rims',
    withoutRims: 'without rims',
    atSince: 'at {{place}} since {{since}}',
    summer: 'summer',
    allSeason: 'all-season',
    winter: 'winter',
    tires_one: '{{count}} tire',
    tires_other: '{{count}} tires',
    tiresOfSeason_one: '{{count}} {{season}} tire',
    tiresOfSeason_other: '{{count}} {{season}} tires',
  },
  toeUnits: {
    degrees: 'Degrees',
    minutes: 'Minutes',
  },
  wheelLabels: {
    leftFrontShort: 'Left front',
    rightFrontShort: 'Right front',
    leftRearShort: 'Left rear',
    rightRearShort: 'Right rear',
    leftFront: 'Left front',
    rightFront: 'Right front',
    leftRear: 'Left rear',
    rightRear: 'Right rear',
  },
  valueWords: {
    cleared: 'cleared',
  },
  answerOne: {
    stopped: 'The diagnosis stopped',
  },
  distanceOnTires: {
    same: '{{distance}} {{unit}} on these tires',
    axles: '{{front}} {{unit}} on the front tires, {{rear}} {{unit}} on the rear',
    range: '{{least}} to {{most}} {{unit}} on these tires',
  },
} as const;
