import { messagesOf } from './i18n.ts';

export const english = {
  conflicts: {
    somebody: 'Somebody',
    place: ', place {{station}}',
    readTwiceDifferentlyWhich:
      '{{wheel}}, {{rib}}{{place}}: read twice, differently. Which counts?',
  },
  driveOver: {
    driveOverTheReader: 'Drive over the reader',
    playIt: 'Play it',
    thatPassDoesNot:
      'That pass does not count: the car was {{refused}}. Turn round and drive over once more.',
    theFileWasNot: 'The file was not taken in. {{fileFault}} Nothing was changed.',
    nobodyStandsInFront:
      'Nobody stands in front of or behind a car that is moving. Walking pace, hands off the wheel once it is straight.',
    openAFileOf: 'Open a file of profiles',
    fileOfProfiles: 'File of profiles',
    backToReadingBy: 'Back to reading by hand',
    slowerThanKmH: 'slower than {{slowestKmh}} km/h',
    fasterThanKmH: 'faster than {{fastestKmh}} km/h',
    moreThanOutOf: 'more than {{skewDeg}}° out of square',
    steeringWhileItPassed: 'steering while it passed',
    theReaderWaitsFor:
      'The reader waits for a car: straight and square over it, {{slowestKmh}} to {{fastestKmh}} km/h.',
    theReaderBrokeOff: 'The reader broke off; it is called again. A file can be opened meanwhile.',
    callingTheReader: 'Calling the reader …',
  },
  keypad: {
    keypad: 'Keypad',
    backOne: 'back one',
    cannotBeRead: 'cannot be read',
  },
  oddReading: {
    deeperThanTheIt: 'deeper than the {{newMm}} {{unitWords}} it had when new',
    farFromTheOf: 'far from the {{mm}} of the {{rib}} rib beside it',
    itIsRight: 'It is right',
    readItAgain: 'Read it again',
    isItRight: '{{where}}, {{rib}}: <b>{{depth}}</b> is {{why}}. Is it right?',
  },
  otherEntry: {
    otherFormats: 'Other formats',
    aDepthSuchAs: 'A depth, such as 3/32, 4.5 mm or 53',
  },
  passView: {
    notSeen: 'not seen',
    ofAnInch: '32nds of an inch',
    noGrooveWasFound:
      'No groove was found at {{unread}}. Read there by hand: worn through, or hidden by dirt and water.',
    lineExpected: 'Line {{line}}: expected {{expected}}.',
    takeTheseInsteadOf: 'Take these instead of what was read',
    takeTheseReadings: 'Take these readings',
    leastDepth: 'Least depth over the places, {{unit}}. Dashed: the legal limit.',
    linesLeftOut_one: '{{count}} line was left out.',
    linesLeftOut_other: '{{count}} lines were left out.',
    places_one: '{{count}} place',
    places_other: '{{count}} places',
  },
  readStep: {
    theGaugeStoodOff: 'The gauge stood off the tread. Set it down in the groove and press again.',
    theGaugeSentWhich: 'The gauge sent “{{text}}”, which is no depth. Press again.',
    placeIsRead: 'Place {{station}} is read',
    allTwelveAreRead: 'All twelve are read',
    readingOf: 'Reading {{index}} of {{length}}',
    ofRead: '{{ribsRead}} of {{length}} read',
    placeRoundTheTire: ', place {{station}} round the tire',
    walkingRoundFromThe: ', walking round from the left front',
    backToTheMain: 'Back to the main readings',
    strokeEachTireAcross:
      'Stroke each tire across the ribs next: a catch one way and smooth the other is what tells toe from camber.',
    inspect: 'Inspect ↵',
    skipToTheDiagnosis: 'Skip to the diagnosis',
    justRead: 'Just read',
    cannotBeRead: 'cannot be read',
    nothingYet: 'nothing yet',
    soFar: 'So far',
    oneMorePlace: 'One more place, {{wheelAtHand}}',
    undo: 'Undo',
    keysInMm: '<key>53</key> is 5.3 mm',
    keysIn32nds: '32nds, <key>7</key> goes at once',
  },
  profileFile: {
    itIsTooLarge: 'It is too large: at most 5 MB.',
    itBeginsLikeJson: 'It begins like JSON but is not whole.',
    lineExpected: 'Line {{line}}: expected {{expected}}.',
    itHoldsNoCut: 'It holds no cut of a tread.',
    theFile: 'The file',
    expected: '{{path}}: expected {{expected}}.',
  },
  soFar: {
    aTireWithAll: 'A tire with all three ribs says more.',
    noTireSlopesBy: 'No tire slopes by much from edge to edge.',
    lowerOuter: 'The {{where}} is {{shown}} {{unit}} lower at its outer edge.',
    lowerInner: 'The {{where}} is {{shown}} {{unit}} lower at its inner edge.',
  },
} as const;

export const t = messagesOf('read', english);
