import { messagesOf } from './i18n.ts';

export const english = {
  againstTheTread: {
    againstTheTread: 'Against the tread',
    workingOutWhatThe: 'Working out what the tread says with these angles beside it…',
    lookAtTheCauses: 'Look at the causes',
    withTheseAngles: 'With these angles beside it, the tread says: <b>{{headline}}</b>',
  },
  angleEntry: {
    frontTotal: 'Front total',
    rearTotal: 'Rear total',
    readTheAngles: 'Read the angles',
    readTwiceOrMore:
      'Read twice or more? Type the readings with spaces between them: their mean counts, and how far they scatter.',
    byEach: 'by {{title}}, each ±{{draft}}°',
    workItOutFrom: 'Work it out from the readings',
    theGaugeShowsSteps: 'The gauge shows steps of',
  },
  angleFileButton: {
    openAFile: 'Open a file',
    fileOfAngles: 'File of angles',
    thisFileWasNot: 'This file was not taken in.',
    anglesFrom: 'Angles from {{name}}',
    nothingWasChangedFix: 'Nothing was changed. Fix the file and open it again.',
    understood: 'Understood',
    column: 'column {{column}}',
    cancel: 'Cancel',
    use: 'Use',
    lineExpected: 'Line {{line}}, {{where}}: expected {{expected}}',
    whatCouldBeRead: 'What could be read stands below.',
  },
  angleTable: {
    camber: 'Camber',
    caster: 'Caster',
    saiKpi: 'SAI (KPI)',
    toe: 'Toe',
    wheel: 'Wheel',
  },
  casterInTurns: {
    camberInTurns: 'Camber in turns',
    turnsOfTheSteering: ' ({{turns}} turns of the steering wheel)',
    thatMuchLeansOn:
      'That much leans on the inner edge whenever it turns: in town and on bends the inner edge goes first, though the camber straight ahead may be in.',
    theInnerEdgeHas: 'The inner edge has little to fear from turning.',
    drawnWithSaiOf: 'Drawn with SAI of {{usualSai}}° where none was read; a common value.',
    outsideOfATurn: 'Outside of a turn at {{degrees}}°: {{wheels}}.',
    turningLeft:
      'Turning left, inside wheel at {{angle}}°{{turns}}: inside {{inside}}, outside {{outside}}.',
    turningRight:
      'Turning right, inside wheel at {{angle}}°{{turns}}: inside {{inside}}, outside {{outside}}.',
  },
  floorFields: {
    floorRise: 'floor rise',
    floorOver: 'floor over',
    floorHigh: 'floor high',
    floorRisesBy: 'Floor rises by',
    overTheTrack: 'over the track',
    highOnThe: 'High on the',
    left: 'Left',
    right: 'Right',
    highOnLeft:
      '{{degrees}}° high on the left. Put {{tile}} {{unit}} under the right wheels, or zero the level on this floor, or let the level’s form take it out.',
    highOnRight:
      '{{degrees}}° high on the right. Put {{tile}} {{unit}} under the left wheels, or zero the level on this floor, or let the level’s form take it out.',
  },
  instrumentLine: {
    neverChecked: 'never checked',
    lastCheckedOffBy: 'last checked {{checkedAt}}, off by about {{errorSd}}°',
    setItRightBefore: ': set it right before it is gone by',
  },
  mappingFields: {
    camber: 'Camber',
    plusTopLeansOut: 'plus: top leans out',
    caster: 'Caster',
    plusTopLeansBack: 'plus: top leans back',
    saiKpi: 'SAI (KPI)',
    plusTopLeansIn: 'plus: top leans in',
    toe: 'Toe',
    plusFrontPointsIn: 'plus: front points in',
    wheel: 'Wheel',
    turnTheSignRound: '{{title}}: turn the sign round',
    camberAndCasterIn: 'Camber and caster in',
    toeIn: 'Toe in',
    takenAtADiameter: 'Taken at a diameter of',
    turnRound: 'turn the sign round',
  },
  measureStep: {
    measureTheAlignment: 'Measure the alignment',
    sayWhatIsMeasured:
      'Say what is measured today; then the car is made ready, and one reading is repeated.',
    goToInspect: 'Go to Inspect',
    whatItMeans: 'What it means',
    didNotComeBack:
      'The reading did not come back: something is worn, and an alignment on it does not hold. Stop here and look at rod ends, ball joints, bushings and wheel bearings.',
  },
  moreAngles: {
    setbackTurningAnglesAnd: 'Setback, turning angles and full lock',
    setbackRightWheelFurther: 'Setback, right wheel further back +',
    turnUntilTheWheel:
      'Turn until the wheel on the inside of the turn stands at 20° on its plate, and read the other one: it turns less. Hands clear of the wheels while they turn.',
    fullLock: 'Full lock',
    toTheLeftLeft: 'To the left, left front',
    toTheRightRight: 'To the right, right front',
    turning: 'Turning {{side}}',
    inside: 'Inside, {{inner}}',
    outside: 'Outside, {{outer}}',
  },
  repeatFirst: {
    repeatabilityCheck: 'Repeatability check',
    readOneFrontToe:
      'Read one front toe, turn lock to lock, come back straight, read again. Moved by more than {{allowed}}, which is all that {{title}} may differ by, something is worn. Hands and feet clear of the wheels.',
    toeBefore: 'Toe before',
    toeAfter: 'Toe after',
    theSecondReading: 'The second reading',
    comesBack: 'Comes back',
    hasMoved: 'Has moved',
    movedBy: 'Moved by <b>{{difference}}</b>; up to {{allowed}} is what {{method}} may differ by.',
  },
  rigButton: {
    readTheRig: 'Read the rig',
    whatTheRigSees: 'What the rig sees now',
    theRigDoesNot:
      'The rig does not answer. What was measured is saved; it is asked again every second.',
    playCarAndFaults: 'Play car and faults',
    cancel: 'Cancel',
    use: 'Use',
    theRigIsSwitched: 'The rig is switched off: it sees no wheel.',
    aTargetIsBlocked:
      'A target is blocked: it does not see {{unseen}}. Clear the line to it; what is seen can be taken over.',
    waitUntilTheFigures:
      'Wait until the figures stand still. One that swings from look to look has a loose clamp.',
    simulatedRig: 'This is the simulated rig that ships with the product.',
  },
  setupList: {
    done: 'Done',
    skip: 'Skip',
    notNeeded: 'Not needed',
    preparation: 'Preparation',
    allAnswered: 'all answered',
    ofOpen: '{{length}} of {{length2}} open',
    markTheRestDone: 'Mark the rest done',
    hide: 'Hide',
    show: 'Show',
    empty: 'Empty',
    full: 'Full',
    carriesHeavyLoadsIn:
      'Carries heavy loads in the cabin: angles are read as the specification asks, not as loaded.',
    carriesHeavyLoadsInThe:
      'Carries heavy loads in the trunk: rear camber and toe are others when it is loaded.',
    carriesHeavyLoadsCamber: 'Carries heavy loads: camber and toe are others when it is loaded.',
    fuelInTheTank: 'Fuel in the tank',
    caution: '◆ Caution',
    then: 'Then {{otherwise}}.',
    worthLittleAPoint: 'Worth little: a point that it depends on was skipped.',
    whyItIsSkipped: 'Why it is skipped',
  },
  sheetBar: {
    noSpecificationChosen: 'No specification chosen',
    usualLimitsStandIn:
      'Usual limits stand in. The vehicle maker’s figures decide: choose its sheet, or enter it once.',
    holdsFor: 'Holds for: {{conditions}}',
    changeTheSheet: 'Change the sheet',
    chooseTheSheet: 'Choose the sheet',
    theMakersFigures: 'The maker’s figures',
    theShopsOwnFigures: 'The shop’s own figures',
    aStartingPointNot: 'A starting point, not the maker’s figures',
    of: ' of {{sourceDate}}',
    enteredByOnRevision: ', entered by {{enteredBy}} on {{enteredAt}}, revision {{revision}}',
  },
  sheetChooser: {
    whichSpecification: 'Which specification?',
    findByName: 'Find by name',
    theShopsSheets: 'The shop’s sheets',
    theSheetsCannotBe:
      'The sheets cannot be fetched just now; a starting point can be chosen meanwhile.',
    startingPointsByUse: 'Starting points by use',
    customOfTheTrade:
      'Custom of the trade for where the maker’s figures are not known, or not wanted.',
    goWithoutASheet: 'Go without a sheet',
    cancel: 'Cancel',
    noneYet: 'None yet.',
    noneOfThatName: 'None of that name.',
    enterOnce: '<link>Enter the maker’s figures once</link>, and every visit can use them.',
  },
  toeUnit: {
    toeIsTypedIn: 'Toe is typed in',
    atADiameterOf: 'At a diameter of (tire: {{known}})',
    atADiameterOfLabel: 'At a diameter of',
  },
  whatToday: {
    allFourWheels: 'All four wheels',
    frontOnly: 'Front only',
    rearOnly: 'Rear only',
    whatIsMeasuredToday: 'What is measured today?',
    wheels: 'Wheels',
    angles: 'Angles',
    measuredWith: '{{kindWords}}, measured with',
  },
  angleFile: {
    itIsTooLarge: 'It is too large for one car’s angles.',
    itHasNoTable: 'It has no table with a heading and a line for each wheel.',
    itStartsLikeJson: 'It starts like JSON, and is none.',
    itIsJsonBut: 'It is JSON, but not angles: its format must be {{anglesFormat}}.',
    theFile: 'The file',
    expected: '{{path}}: expected {{expected}}',
  },
  kindWords: {
    camber: 'Camber',
    toe: 'Toe',
    caster: 'Caster',
  },
} as const;

export const t = messagesOf('measure', english);
