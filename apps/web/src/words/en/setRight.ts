export const setRight = {
  adjusterDialog: {
    fromTheWheel: 'From the wheel',
    remainingError: 'Remaining error',
    templateToPrint: 'Template to print',
    backToThePlan: 'Back to the plan',
    noArmShimsAre: 'No arm shims are in the shop’s stock yet; enter them under Sheets and stock.',
    fromStock: 'From stock, {{words}}',
    part: 'Part: {{part}}',
    partTemplate: 'Part: {{part}}, template {{template}}',
    none: 'none',
    takeOutMm: 'take out {{stack}} mm',
    addMm: 'add {{stack}} mm',
    nearestTo: 'nearest to {{mm}}',
    frontBolt: 'front bolt: {{what}}',
    rearBolt: 'rear bolt: {{what}}',
  },
  changedHeight: {
    liftedRodsThatSlope:
      'Lifted: rods that slope pull the wheels to toe-in, camber and caster move with the arms, joints and shafts work at a steep angle. Look at boots, brake hoses and the end of each joint’s travel from lock to lock; longer upper arms bring camber and caster back. Align it at once, before it is driven far.',
    loweredCamberGoesNegative:
      'Lowered: camber goes negative and toe moves. Look at the tires against fender and strut from lock to lock and at full travel. Align it at once, before it is driven far.',
    changedHeightWhatIt: 'Changed height: what it does to camber and toe',
    noChangeOfHeight:
      'No change of height was noted on arrival. Start from a typical layout; the car’s own joints can be typed.',
    frontSuspension: 'Front suspension',
    backToThePlan: 'Back to the plan',
    casterWithLevelArms:
      'Caster from {{from}} to {{to}} where the arms’ axes are level; the Bench takes axes that rise.',
    movedUp:
      'The front was moved {{mm}} mm up. Start from a typical layout; the car’s own joints are better.',
    movedDown:
      'The front was moved {{mm}} mm down. Start from a typical layout; the car’s own joints are better.',
    raisedBy: 'Raised by {{mm}} mm, each front wheel changes by {{camber}} of camber and {{toe}}.',
    loweredBy:
      'Lowered by {{mm}} mm, each front wheel changes by {{camber}} of camber and {{toe}}.',
    toeIn: '{{degrees}}° of toe-in',
    toeOut: '{{degrees}}° of toe-out',
    casterFromTo: 'Caster from {{from}} to {{to}}; the Bench takes axes that rise.',
  },
  closing: {
    done: 'Done',
    doesNotApply: 'Does not apply',
    beforeItIsGiven: 'Before it is given back',
    allAnswered: 'all answered',
    ofOpen: '{{open}} of {{length}} open',
    caution: '◆ Caution',
    complaint: 'Complaint: {{complaintWords}}',
    gone: 'Gone',
    stillThere: 'Still there',
    kmIsUsualFor: '{{usualRecheckKm}} km is usual for fasteners.',
    recheckAfter: 'Recheck after',
    complaintIs: 'Complaint: <b>{{complaint}}</b>',
    lookedAtAgain: 'Check fasteners and angles again after',
  },
  fromEarlier: {
    onThisCar: 'On this car, {{at}},',
    onCarsOfThis: 'On cars of this sheet',
    oneMovedItBy: '{{from}} one {{unit}} moved it by {{moved}}, give or take {{sd}}.',
    startAtEachRod: 'Start with about {{amount}} at each rod, then measure.',
    startWith: 'Start with about {{amount}}, then measure.',
  },
  learnedTurn: {
    toItTakesGive: '{{did}} To {{words}} it takes {{amount}} {{more}}, give or take {{max}}.',
    thatIsNoMore:
      '{{did}} That is no more than two readings may differ by: turn further, or look for what binds.',
    atTheOneMoved: 'At the {{other}}, one {{one}} moved it by {{perUnit}}.',
    builtAlikeUseIt: 'Same design: use it here',
    asAtThe: 'as at the {{other}}',
    againstTheWayAt: 'the other way from the {{other}}',
    giveOrTakeLengthening:
      '{{amount}} {{more}}, give or take {{max}}; lengthening on one side is lengthening on the other.',
    turnedBy: 'Turned by, {{more}}',
    aNumberSuchAs: 'A number, such as 1/2',
    whichWay: 'Which way',
    theSameWay: 'The same way',
    turned: 'Turned',
    turnALittleSay: 'Turn a little, say how much, measure: it works out the rest.',
    moreTheSameWay: '{{amount}} more, the same way',
    back: '{{amount}} back',
    turnedNowMeasure: 'Turned {{amount}}. <b>Now measure it again.</b>',
    movedIt: '{{amount}} moved it from {{from}} to {{to}}.',
    movedItBack: '{{amount}} back moved it from {{from}} to {{to}}.',
    wayBack: 'Back',
  },
  leaveIt: {
    setItAfterAll: 'Set it after all',
    leaveItAsIt: 'Leave it as it is',
  },
  planList: {
    next: 'Next: {{title}} {{next}}',
    whatToSet: 'What to set',
    done: 'Done',
    measureAgain: 'measure again',
    wants: '{{now}}, target {{target}}',
  },
  setRightStep: {
    nothingIsMeasuredYet: 'Nothing is measured yet.',
    thePlanIsMade: 'The plan is made from the angles: what is out, in which order, by how much.',
    measureTheAngles: 'Measure the angles',
    aTechnicianOrThe: 'A technician or the lead sets the angles; you can read along.',
    theMakersSpecificationTorque:
      'The maker’s specification, torque and procedure decide, and a licensed technician does the work.',
    begin: 'Begin',
    keepsTheseAnglesAs: 'saves these angles as “before”',
    noStepSetsThis: 'No step sets this',
    leftAsItIs: 'Left as it is',
    steeringWheelHeldStraight: 'Steering wheel held straight: which front wheel is not?',
    left: 'Left',
    right: 'Right',
    neither: 'Neither',
    liftAtPoints: 'Lift at the maker’s points, on stands or a lift made for it, wheels chocked.',
    workOnLeft:
      'The right side is fine; work on the <b>left</b> one: look for a bent arm, spindle or rod there first.',
    workOnRight:
      'The left side is fine; work on the <b>right</b> one: look for a bent arm, spindle or rod there first.',
  },
  stepAtHand: {
    by: 'by {{words}}',
    goToInspect: 'Go to Inspect',
    isSetWith: '{{title}} is set with',
    workOutHowFar: 'Work out how far the rods turn',
    workOutThe: 'Work out the {{title}}',
    drivenOnlyWhenIt:
      'Driven only when it is safe to drive: wheel nuts and every loosened fastener torqued, a road where it is legal, a licensed driver.',
    onAStraightRoad: 'On a straight road it sits',
    straight: 'Straight',
    toTheLeft: 'To the left',
    toTheRight: 'To the right',
    withinReachItMoves: 'Within reach: it moves by {{degrees}} to {{degrees2}}.',
    outOfReach: 'Out of reach.',
    itMovesByTo: 'It moves by {{degrees}} to {{degrees2}}; {{short}} remains. ',
    nothingIsFittedTo: 'The car has no adjuster for it. ',
    inStockAnOffset: 'In stock: an offset bolt of {{bolt}}°. ',
    whatWouldBringIt: 'What would fix it: {{part}}. {{stock}}If it stays, {{otherwise}}.',
  },
  threadLeft: {
    threadLeftInThe: 'Thread left in the rod end',
    threadInTheEnd: 'Thread in the rod end now',
    diameterOfTheThread: 'Diameter of the thread',
    stayIn:
      '<b>{{left}} mm</b> stay in; the maker’s minimum counts, about {{least}} mm where none is given.',
    wouldStayIn:
      'Only <b>{{left}} mm</b> would stay in, less than the thread’s diameter: the end may pull out, and then the car cannot be steered. Fit longer rods, or look for what is bent.',
  },
  adjusters: {
    toeRightAndThe:
      'Toe right and the wheel crooked: half a turn out of one rod, half a turn into the other. About equal thread showing on both rods means that it is centred.',
    aboutEqualThreadShowing: 'About equal thread showing on both rods means that it is centred.',
    loosenTheTowerNuts:
      'Loosen the tower nuts, move the strut’s top, tighten to the maker’s torque.',
    loosenTheStrutBolts:
      'Loosen the strut bolts, lean the upright by {{abs}}°, tighten to the maker’s torque.',
    sleeves:
      'Both sleeve clamps or jam nuts free, their place marked; quarter turns; clamps back as they stood, snug, settle the car, measure again.',
    sleevesAlike:
      'Both sleeve clamps or jam nuts free, their place marked; quarter turns, the same on both sides, so that the steering wheel stays straight; clamps back as they stood, snug, settle the car, measure again.',
    rods: 'Jam nut free, its place marked; quarter turns; snug, settle the car, measure again.',
    rodsAlike:
      'Jam nut free, its place marked; quarter turns, the same on both sides, so that the steering wheel stays straight; snug, settle the car, measure again.',
    moreThreadLeft:
      'More thread showed on the left rod: centre the rack before the rods are turned.',
    moreThreadRight:
      'More thread showed on the right rod: centre the rack before the rods are turned.',
  },
  turnWords: {
    aTouch: 'a touch',
    turn: 'turn',
    turns: 'turns',
    notch: 'notch',
    notches: 'notches',
  },
} as const;
