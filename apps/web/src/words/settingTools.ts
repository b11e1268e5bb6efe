import { messagesOf } from './i18n.ts';

export const english = {
  steeringArm: 'Steering arm',
  steeringAxisToThe: 'Steering axis to the line of the rod, square to it, from above',
  threadPitch: 'Thread pitch',
  threadsPerInchAs: 'Threads per inch as 16 tpi',
  rack: 'Rack',
  rodHas: 'Rod has',
  leaveIt: 'leave it',
  turns: '{{turns}} turns, {{action}}',
  ofCamber: '{{camber}} of camber',
  ofToe: '{{toe}} of toe',
  remainingError: 'Remaining error',
  tieRod: 'Tie rod',
  howManyTurnsChange: 'How many turns change a wheel’s toe, and which way.',
  changeOfThisWheel: 'Change of this wheel, toe-in +',
  aQuarterDegreeOn: 'A quarter degree on a 140 mm arm is 0.61 mm, 0.41 turns of a 1.5 mm thread.',
  turn: 'Turn',
  length: 'Length',
  fromTheWheel: 'From the wheel',
  lengthSteeringArmSin:
    'length = steering arm × sin(toe change); longer for toe-in with the rack behind, shorter ahead',
  plainGeometryATurnbuckles:
    'Plain geometry; a turnbuckle’s two threads move two pitches a turn. The way round is for a right-handed thread at the outer end, kneeling at the wheel; the other way where it is left-handed.',
  freeTheJamNut:
    'Free the jam nut first, hold the joint, torque it after; as many threads in as the maker asks.',
  steeringWheelStraight: 'Steering wheel straight',
  theWheelStandsOff:
    'The wheel stands off while driving straight: what one rod gives, the other takes.',
  standsOffToThe: 'Stands off, to the right +',
  steeringRatio: 'Steering ratio',
  offAtIsHalf: '8° off at 16 : 1 is half a degree a wheel: 0.81 turns longer left, shorter right.',
  leftRod: 'Left rod',
  rightRod: 'Right rod',
  toeOfEachWheel: 'Toe of each wheel',
  leftOffsetRatioRight: 'left + offset / ratio, right − offset / ratio: the total toe stays',
  plainGeometryRearThrust:
    'Plain geometry. Rear thrust comes first: it would turn the wheel off again.',
  lockTheWheelStraight:
    'Lock the wheel straight while the rods are turned; check that the rack is centred.',
  rearHubShim: 'Rear hub shim',
  oneTaperedShimFrom:
    'One tapered shim from stock for a rear wheel’s camber and toe, and where it points.',
  camberWantedChange: 'Camber wanted, change',
  toeWantedChangeToe: 'Toe wanted, change, toe-in +',
  wheel: 'Wheel',
  tapersInStock: 'Tapers in stock',
  apartBySemicolons: 'Apart by semicolons',
  aHalfDegreeTaper: 'A half degree taper, thickest near 1 o’clock, gives the left wheel both.',
  shim: 'Shim',
  gives: 'Gives',
  camberACosC: 'camber = A cos c; toe = A sin c on the left, − A sin c on the right',
  geometryOfAFull:
    'Geometry of a full-contact taper. Toe is met first, since toe wears tires most; then the nearest camber.',
  takeOldShimsOut: '{{liftCaution}} Take old shims out first, clean both faces, tighten in a star.',
  camBolt: 'Cam bolt',
  howFarAnEccentric: 'How far an eccentric has to turn, and whether it reaches.',
  changeWanted: 'Change wanted',
  boltCentreToCam: 'Bolt centre to cam centre',
  camToThePoint: 'Cam to the point the arm turns about',
  halfADegreeOn: 'Half a degree on a 300 mm arm takes 32° of a cam with 5 mm of throw.',
  turnFromMidTravel: 'Turn from mid travel',
  theSameOnThe: 'The same on the far half',
  atItsEndStop: 'At its end stop',
  itReaches: 'It reaches',
  changeAtanOffsetSin: 'change = atan( offset × sin(turn) / lever arm )',
  plainGeometryTwoBolt:
    'Plain geometry; two bolt angles give the same change, the nearer one is told.',
  clampBoltsFirstCam:
    '{{liftCaution}} Clamp bolts first, cam last, then recheck, unless the maker says otherwise.',
  upperArmShims: 'Upper arm shims',
  thicknessToAddOr: 'Thickness to add or take at the front and rear bolt for camber and caster.',
  casterWantedChange: 'Caster wanted, change',
  betweenTheBolts: 'Between the bolts',
  boltsToTheBall: 'Bolts to the ball joint',
  upperJointAboveLower: 'Upper joint above lower',
  moreNegativeCamberAnd:
    'More negative camber and a degree more caster: 0.4 mm in front, 3.6 mm at the rear.',
  frontBolt: 'Front bolt',
  rearBolt: 'Rear bolt',
  inFrontRear2:
    'in = (front + rear) / 2; forward = arm × (front − rear) / spacing; camber = − atan(in / height), caster = − atan(forward / height)',
  plainGeometryForShims:
    'Plain geometry, for shims that move the arm in. Where they push it out, change both signs.',
  twoCamsOnOne: 'Two cams on one arm',
  aLowerArmOn: 'A lower arm on two cams: together they set camber, against one another caster.',
  betweenTheCams: 'Between the cams',
  camsToTheBall: 'Cams to the ball joint',
  aLittleCamberAnd: 'A little camber and caster together: mostly the rear cam turns.',
  frontCam: 'Front cam',
  rearCam: 'Rear cam',
  outFrontRear2:
    'out = (front + rear) / 2; forward = arm × (rear − front) / spacing; camber = − atan(out / height), caster = atan(forward / height); end moves offset × sin(turn)',
  plainGeometryBothCams:
    'Plain geometry, both cams from mid travel. Toe moves with either: it is set after.',
  clampBoltsFirstCams:
    '{{liftCaution}} Clamp bolts first, cams last, then recheck, unless the maker says otherwise.',
  outOfReach: 'out of reach',
  outOfReachOut: 'out of reach, {{mm}} mm out',
  outOfReachIn: 'out of reach, {{mm}} mm in',
  camOut: '{{degrees}}°, {{mm}} mm out',
  camIn: '{{degrees}}°, {{mm}} mm in',
  leave: 'leave',
  addMm: 'add {{mm}} mm',
  takeOutMm: 'take out {{mm}} mm',
  fromTo: '{{from}} to {{to}}',
} as const;

export const t = messagesOf('settingTools', english);
