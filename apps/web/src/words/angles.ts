import { messagesOf } from './i18n.ts';

export const english = {
  angleLedger: {
    cantTellYet: 'can’t tell yet',
    noLimit: 'no limit',
    measureAgain: 'measure again',
    angleLedger: 'Angle ledger',
    angle: 'Angle',
    before: 'Before',
    now: 'Now',
    measured: 'Measured',
    limits: 'Limits',
    againstTheLimits: 'Against the limits',
    state: 'State',
    usualLimits:
      '¹ Usual limits, ² custom of the trade: they stand in where the sheet is silent; the vehicle maker’s specification decides.',
    to: '{{words}} to {{words2}}{{fromMarks}}',
    out: ', out',
    in: 'in',
    isOut: 'out',
    hollowBefore: 'Hollow: before.',
    lineThroughDot:
      'The line through each dot is twice the standard uncertainty: method, gauge step and repeats.',
  },
  fromReadings: {
    cancel: 'Cancel',
    use: 'Use',
    atThe: 'At the',
  },
  measureHere: {
    nowReads: 'Now reads',
    measureAgainHereBy: 'Measure again here, by {{title}}',
    setUp: 'Set up {{title}}',
    save: 'Save',
    theGaugesOwnFigures: 'The gauge’s own figures',
    reads: 'Reads <b>{{angle}}</b>',
  },
  plateReadings: {
    plateStraightAhead: 'Plate, straight ahead',
    plateTurnedAway: 'Plate, turned away',
    plateTurnedToward: 'Plate, turned toward',
    thePlateWasNot: 'The plate was not zeroed, or the turns were not even',
    withAllThreeThe: 'With all three, the swing is counted from them.',
    worthAnEvenSwing: 'Worth an even swing of {{swing}}° each way.',
    slopingFloor: 'A floor that slopes stands in both cambers and takes itself out.',
  },
  readingsField: {
    meanOfReadings: 'mean {{degrees}} of {{length}} readings',
    isUsedRead: '{{title}} {{degrees}} is used; {{title2}} read {{degrees2}}. ',
    theyAgree: 'They agree.',
    apartMoreThanBoth: '◆ {{apart}}° apart, more than both may be off: measure again.',
    numbersSuchAs0: 'Numbers, such as -0.4',
    atMost: 'At most {{mostDeg}}°',
    atMostReadings: 'At most {{mostReadings}} readings',
  },
} as const;

export const t = messagesOf('angles', english);
