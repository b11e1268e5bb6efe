import { messagesOf } from './i18n.ts';

export const english = {
  aheadOfTheHub: '{{name}}, ahead of the hub',
  behindIt: '{{name}}, behind it',
  toeByTape: 'Toe by tape',
  twoTapeReadingsBetween:
    'Two tape readings between the same marks, ahead of the axle and behind it.',
  aheadOfTheAxle: 'Ahead of the axle',
  fractionsAreRead: '39 3/8 is read too; straightedges stand clear of the sidewall’s bulge',
  behindTheAxle: 'Behind the axle',
  alongTheWheelBetween: 'Along the wheel between the two',
  theTiresDiameterAt: 'The tire’s diameter at hub height, the shorter chord when lower',
  in: 'In',
  mmNarrowerInFront: '3 mm narrower in front on a 640 mm tire is 0.27° of toe-in.',
  totalToe: 'Total toe',
  asALength: 'As a length',
  totalToe2Asin: 'total toe = 2 asin( (rear − front) / 2 / span )',
  plainGeometryATape:
    'Plain geometry. A tape does not know where straight ahead is: only the total is told.',
  marksAtEqualHeight:
    'Marks at equal height, the car settled by rolling; a helper keeps hands clear of the wheels.',
  toeByStrings: 'Toe by strings',
  aStringAlongEach: 'A string along each side, set off the hubs, and a rule to the rim’s edge.',
  stringToStringFront: 'String to string, front axle',
  stringToStringRear: 'String to string, rear axle',
  wheelbase: 'Wheelbase',
  rimEdgeToRim: 'Rim edge to rim edge, front',
  betweenTheTwoPoints:
    'Between the two points measured: a straightedge clear of the bulge, or a hub stand’s plate',
  rimEdgeToRimEdge: 'Rim edge to rim edge, rear',
  allIn: 'All in',
  strings6MmWider:
    'Strings 6 mm wider in front make every wheel look 0.06° more toed in than it is.',
  totalToeFront: 'Total toe, front',
  totalToeRear: 'Total toe, rear',
  thrust: 'Thrust',
  eachWheel: 'Each wheel',
  strings: 'Strings',
  errorAtanGapFront:
    'error = atan( (gap front − gap rear) / wheelbase ), half on each string\ntoe = asin( (front − rear) / rim ) − error / 2',
  plainGeometryStringsSet:
    'Plain geometry. Strings set off the hubs take the track as equal on both sides.',
  aStringThatSags:
    'A string that sags, or a bump under it, fakes a reading: tension both, look along them.',
  toeByGauges: 'Toe by gauges',
  laserOrFlagGauges:
    'Laser or flag gauges that read each wheel, the rear axle first as the reference.',
  theyRead: 'They read',
  diameterAtTheScale: 'Diameter at the scale',
  neededForMillimetresAnd: 'Needed for millimetres and inches',
  aWheelWhoseFront: 'A wheel whose front points in reads',
  plus: 'Plus',
  minus: 'Minus',
  frontWheelsAreRead: 'Front wheels are read against',
  theRearAxle: 'The rear axle',
  theMiddleOfThe: 'The middle of the car',
  theRearRolls0:
    'The rear rolls 0.10° to the right of the middle, so the left front toes in 0.10° more than it reads.',
  toeAsinReadingDiameter:
    'toe = ± asin( reading / diameter )\nread against the rear axle: left + thrust, right − thrust',
  plainGeometryWhetherA:
    'Plain geometry. Whether a plus is toe-in differs from maker to maker of gauges.',
  aLaserIsNever: 'A laser is never looked into; stand out of its line, and so does the customer.',
  toeByRearFlags: 'Toe by rear flags',
  aBeamOrA: 'A beam or a straight bar from each front wheel back to a rule at the rear one.',
  beamToFlagAlong: 'Beam to flag, along the car',
  beamOffTheFront: 'Beam off the front wheel’s face',
  clearOfTheSidewalls: 'Clear of the sidewall’s bulge; on a hub stand, off its plate',
  leftFlagShows: 'Left flag shows',
  rightFlagShows: 'Right flag shows',
  faceToFaceFront: 'Face to face, front',
  faceToFaceRear: 'Face to face, rear',
  mmFurtherOutThan: '9 mm further out than the tracks differ, over 2.6 m: 0.20° of toe-in, left.',
  toeAtanFlagBeam: 'toe = atan( (flag − beam − (front − rear track) / 2) / distance )',
  plainGeometryEachWheel:
    'Plain geometry; each wheel against the middle of the car as the rear hubs have it. A thrust of the rear axle is not seen.',
  camberBySquare: 'Camber by square',
  aSquareOnThe: 'A square on the floor beside the wheel, and its gap to the rim above and below.',
  gapAtTheTop: 'Gap at the top of the rim',
  gapAtTheBottom: 'Gap at the bottom of the rim',
  whereTheSquareTouches: '0 where the square touches',
  rimEdgeToRim3: 'Rim edge to rim edge',
  mmMoreAtThe: '5 mm more at the top of an 8 inch rim is 1.4° of the top leaning in.',
  camber: 'Camber',
  plainGeometryTopOutward:
    'Plain geometry; top outward is positive (SAE J670). Equal side to side is what counts.',
  camberByLevel: 'Camber by level',
  aLevelPhoneOr: 'A level, phone or bubble gauge against the wheel, whichever way it counts.',
  reading: 'Reading',
  theSizeShownWithout: 'The size shown, without a sign',
  anUprightWheelShows: 'An upright wheel shows',
  theTopLeans: 'The top leans',
  out: 'Out',
  wheel: 'Wheel',
  theFloorIsHigh: 'The floor is high on the',
  floorSlope: 'Floor slope',
  noneWhenTheLevel: 'None when the level was zeroed on this floor',
  aFloor04: 'A floor 0.4° high on the left makes a left wheel of −1.1° read −1.5°.',
  camberSizeShownCorrected:
    'camber = ± size shown, corrected by the floor: + slope on its high side, − on the other',
  plainGeometryTopOutwardIs: 'Plain geometry; top outward is positive (SAE J670).',
} as const;

export const t = messagesOf('measureTools', english);
