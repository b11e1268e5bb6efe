import { fillIn } from './fillIn.ts';
import type { SentenceValues } from './fillIn.ts';

/**
 * What is expected where an input is refused, by reason, as it goes on after "expected"; figures and names stand
 * between braces. A refusal carries the reason and its figures, so that a page says it in its own language.
 */
export const EXPECTED_TEXTS = {
  // Of any input.
  validInput: 'valid input',
  json: 'JSON',
  unknownField: 'a known field; this one is unknown',
  text: 'a string',
  number: 'a finite number',
  wholeNumber: 'a whole number',
  yesOrNo: 'a boolean',
  list: 'an array',
  object: 'an object',
  kind: '{{kind}}',
  exactly: '{{value}}',
  oneOf: 'one of {{list}}',
  multipleOf: 'a multiple of {{step}}',
  atLeast: 'at least {{limit}}',
  atLeastItems: 'at least {{limit}} items',
  atLeastOneItem: 'at least one item',
  atLeastCharacters: 'at least {{limit}} characters',
  someText: 'at least one character',
  moreThan: 'more than {{limit}}',
  atMost: 'at most {{limit}}',
  atMostItems: 'at most {{limit}} items',
  atMostOneItem: 'at most one item',
  atMostCharacters: 'at most {{limit}} characters',
  lessThan: 'less than {{limit}}',
  between: 'from {{low}} to {{high}}',
  email: 'an email address',
  id: 'an id (UUID)',
  moment: 'a time in UTC, such as 2026-01-31T09:30:00Z',
  day: 'a date, such as 2026-01-31',
  address: 'an address that starts with http',
  httpsAddress: 'an address with https',
  momentAfter1970: 'a time after 1970',
  plainText: 'text without control characters',
  plainNames: 'names without control characters',
  levels: 'at most {{most}} levels',
  shortLine: 'at most {{most}} bytes a line',
  pageBefore: 'what the page before ended with',
  eachScopeOnce: 'each scope once',
  eachPersonOnce: 'each person once',
  eachMarkOnce: 'each mark once',
  // Of a visit and its case.
  visitField: 'a field of a visit',
  valueForField: 'a value that can be entered here',
  fieldOfYourRole: 'a field that your role may enter',
  depthOrFeel: 'a depth of the tread, or what the hand felt',
  depthBeforeStroke: 'a depth of the tread; stroke it before noting a feather',
  lowBelowHigh: 'low below high',
  permutation: 'a permutation: every position a tire left is also one where a tire went',
  depthUpToNew: 'at most {{limit}} {{unit}}: the new depth plus {{slack}} mm',
  withinDistance: 'at most the distance run, {{run}}',
  inOrder: 'at least {{last}}: in order of distance',
  oldestFirst: 'at most {{last}}: oldest first',
  tireWasFitted: 'a tire that had been fitted: it has run {{run}}',
  reasonForChoice: 'a reason for choosing something else than what is advised',
  workableCase: 'a case that can be worked out; this one could not be',
  finiteResult: 'input with a finite result',
  // Of tires and cars.
  tireSize: 'a tire size such as 205/55R16 91V, 33x12.50R15LT or 18x8.50-8',
  tireAboveZero: 'a tire with a width, a sidewall and a rim above 0',
  dateCode: 'four digits, week and year, such as 2319 for week 23 of 2019',
  weekOfYear:
    'a week that {{year}} has: four digits, week and year, such as 2319 for week 23 of 2019',
  dateThatHasBeen: 'a date that is not in the future',
  vinLetters: 'digits and letters without I, O and Q',
  vinLength: '17 characters, not {{length}}',
  vinSimilar: 'digits and letters without I, O and Q, which look like 1 and 0',
  vinCheckDigit: '{{digit}} in the ninth place, by its check digit: look again',
  // Of specification sheets, prices and practice.
  moreThanLow: 'more than the low of {{low}}',
  someLimits: 'limits of at least one of camber, caster and total toe',
  currency: 'a currency code such as EUR',
  priceList: 'a price list in JSON',
  practiceCode: 'letters, digits and dashes',
  lessonOrCode: 'a lesson, or the code of a car',
  // Of calculators.
  diameter: 'a diameter in mm',
  diameterBetween: 'a diameter in mm: it is needed between an angle and a length',
  rightAngle: 'an angle between -90 and 90 degrees',
  armOrStrut: 'the upper arm or the strut top, not both',
  strutOrArm: 'the strut top, or upperInner and upperOuter',
  armOrStrutTop: 'upperInner and upperOuter, or strutTop',
  bothEnds: 'both ends of the upper arm',
  riseOfSide: 'how much higher that side is',
  higherSide: 'the side that is higher',
  riseOrLevel: 'the rise or the level, not both',
  riseOrBothWays: 'the rise, or the level read both ways round',
  riseWithSide: 'the rise with its high side, or the level read both ways round',
  levelTurned: 'the level turned end for end',
  radiusAndScrub: 'both the loaded radius and the scrub radius in mm, or neither',
  closerThanRim: 'distances that differ by less than the rim',
  acrossWheel: 'at most {{most}} across a wheel',
  longerSpan: 'a span longer than the difference of the two gaps',
  spanForTapes: 'a span of at least half the difference of the two tapes',
  reachableSteer: 'a heading that the wheel can be turned to about such a steering axis',
  lengthInDiameter: 'a length no longer than the diameter, {{diameter}} mm',
  withinStrut: 'less than the strut is long',
  steerUnder90: 'an offset over the ratio of less than 90 degrees',
  longerArm: 'an arm longer than what the tie rod pushes it by',
  reachingArm: 'an upper arm that reaches the upright',
  jointOffLine: 'a joint that is not in line with the other two',
  longerLink: 'a link long enough for this change of height',
  // Of people.
  personOfShop: 'a person of the shop',
  currentPassword: 'your password as it is now',
  currentCode: 'the code shown now',
  passwordNotOwn: 'a password that is not your name or email',
  passwordHard: 'a password that is not easily guessed; three or four words will do',
  telephone: 'a telephone number',
  shownSecret: 'the secret that was shown',
  // Of files.
  linkToken: 'the end of a link, letters and digits',
  picture: 'a JPEG or PNG picture',
  smallerPicture: 'a picture of at most {{most}} megapixels',
  wholePicture: 'a whole picture that is not damaged',
  drawablePicture: 'a picture that can be drawn',
  wholeZip: 'a whole zip file',
  carOfArchive: 'a car of cars.json',
  ownVisitId: 'an id that no other visit has',
  otherVisitsEntry: 'entries of this visit; {{id}} is one of another visit',
  ownDecisionIds: 'ids that no other decision has',
  inArchive: 'to be in the archive',
  wholeFile: 'a whole file of at most {{most}} bytes',
  ownEntry: 'an id and a number that no other entry has',
  ownStudyReadings: 'study {{id}}: readings by its own people, of its own marks',
  carNotItself: '{{car}}: a car that is not joined to itself',
  readableFile: 'a file that can be read: {{why}}',
} as const;

export type ExpectedReason = keyof typeof EXPECTED_TEXTS;

/** What was expected, in English. */
export function expectedText(reason: ExpectedReason, values: SentenceValues = {}): string {
  return fillIn(EXPECTED_TEXTS[reason], values);
}

/** Whether a text names a reason. */
export function isExpectedReason(text: string): text is ExpectedReason {
  return Object.hasOwn(EXPECTED_TEXTS, text);
}
