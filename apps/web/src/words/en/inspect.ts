export const inspect = {
  cornerStop: {
    none: 'None',
    some: 'Some',
    tooMuch: 'Too much',
    handsAtTheTop:
      'Hands at the top and the bottom, then left and right. A click or a gap is play.',
    aJointSoLoose:
      'A joint this loose can come apart. Do not drive the car until a licensed technician has seen it.',
  },
  inspectStep: {
    notLiftedTodayExplain: 'Not lifted today: explain',
    walkAroundTheCar: 'Walk round the car',
    feelAcrossTheRibs:
      'Feel across the ribs both ways, then along them, then look. What is left blank counts as not checked.',
    onTheGround: 'On the ground',
    feelSlowlyWithGloves: 'Feel slowly, with gloves: cords cut.',
    underTheCar: 'Under the car',
    liftAtTheMakers:
      'Lift at the maker’s points and set stands before a hand goes under; shake a wheel only on a car that cannot roll or fall. A licensed technician judges the joints.',
    compareLeftAndRight: 'Compare left and right',
    explain: 'Explain',
    steeringAndTieRods: 'Steering and tie rods',
    rideHeight: 'Ride height',
    next: 'Next',
    allOkHere: 'All OK here',
    theRestIsOk: 'The rest is OK',
    nothingFoundHere: 'Nothing found here',
    nothingElseHere: 'Nothing else here',
    explainByKey: 'Explain ↵',
  },
  photos: {
    thisPictureCannotBe: 'This picture cannot be saved; use a JPEG or PNG.',
    thePictureIsToo: 'The picture is too large, even made smaller.',
    notSaved: 'Not saved: {{text}}',
    lookAtThePicture: 'Look at the picture of {{label}}',
    pictureOf: 'Picture of {{label}}',
    picture: 'Picture',
    delete: 'Delete',
    close: 'Close',
  },
  rideHeights: {
    theSideHangsMm:
      '{{axle}}: the {{low}} side hangs {{abs}} mm lower; look at its spring first, camber and toe move with it',
    outsideTheSheetsTo:
      '{{wheelLabels}}: outside the sheet’s {{low}} to {{high}} mm; its angles hold only at that height',
    hubCentreStraightUp: 'Hub centre straight up to the arch, on level ground, car settled.',
  },
  sideToSide: {
    steeringWheelStraightWhich: 'Steering wheel straight: which front wheel is not?',
    left: 'Left',
    right: 'Right',
    neither: 'Neither',
    threadShowingAtThe: 'Thread showing at the tie rods',
    aboutEqual: 'About equal',
    moreLeft: 'More left',
    moreRight: 'More right',
    afterATurnThe: 'After a turn the steering comes back',
    freely: 'Freely',
    itBinds: 'It binds',
    theSideNeedsThe:
      'The {{crookedWheel}} side needs the work: look for a bent arm, spindle or rod there first.',
    theRodsAreNot:
      'The rods are not equal: the rack may be off centre, or one side was set to hide a bend.',
    aJointTightenedWith:
      'A joint tightened with an impact wrench, or a binding strut mount, holds the steering back; caster will not fix it.',
  },
  stopRow: {
    notChecked: 'not checked',
  },
  strokeGuide: {
    movingAwayFromThe:
      'Moving away from the car the hand meets the sharp side: catches out. Moving back it is smooth.',
    catchesOutTheSharp: 'catches out: the sharp side meets the hand',
    awayFromTheCar: 'away from the car',
    towardTheCar: 'toward the car',
  },
  tireStop: {
    none: 'None',
    some: 'Some',
    heavy: 'Heavy',
    crown: 'Crown',
    shoulder: 'Shoulder',
    sidewall: 'Sidewall',
    smallAndInThe:
      'Small and in the crown: may be repaired from inside, off the rim, where it was not driven flat.',
    inTheShoulderIt: 'In the shoulder the rubber flexes too much: not repairable.',
    inTheSidewallNot: 'In the sidewall: not repairable.',
    whereIsThe: 'Where is the {{damageWords}}?',
    whereIsThePress: 'Where is the {{damageWords}}? Press the place on the tire, or Esc to skip.',
    swipeAcrossTheTread: 'Swipe across the tread the way it caught; tap if it is smooth.',
    acrossTheRibs: 'Across the ribs',
    wavesAlongTheTread: 'Waves along the tread',
    damage: 'Damage',
    heelAndToe: 'Heel and toe',
    thePunctureIsIn: 'The puncture is in the',
    fineCracksAreAge:
      'Fine cracks are age; cracks that open when the sidewall is bent reach the cords: replace.',
    tire: 'tire {{wheel}}',
    notSafeToDrive:
      'Not safe to drive on. The car stays until this tire is changed; local law decides.',
    theTreadOf: 'The tread of the {{name}} tire: {{state}}',
    notFelt: 'not felt',
  },
  touchGuides: {
    howToFeelThe: 'How to feel the rest',
    waves: 'Waves',
    theFlatHandAlong:
      'The flat hand along the tread, a whole turn of the wheel. Dips a hand’s width apart are waves; some are felt, heavy ones are seen.',
    heelAndToe: 'Heel and toe',
    alongTheTreadBlock:
      'Along the tread, block by block, both ways: each block is high at one end and low at the other. One way catches, the other does not.',
    flatSpot: 'Flat spot',
    turnTheWheelSlowly:
      'Turn the wheel slowly by hand and look along the tread: one short stretch is lower, all across, where the wheel was locked.',
    play: 'Play',
    wheelOffTheGround:
      'Wheel off the ground, car on stands: hands at the top and the bottom, push and pull; then left and right. A click or a gap is play. Somebody watches the joint.',
  },
  wornParts: {
    partsComeFirstAn: 'Parts come first: an alignment on these does not hold.',
    lookedAtAgainBefore: 'Check again before an alignment:',
    tooMuch: 'too much',
    some: 'some',
    jointsFoundLoose:
      'Joints found loose count in the diagnosis as play at their wheel. A licensed technician judges whether it may be driven.',
  },
} as const;
