import { messagesOf } from './i18n.ts';

export const english = {
  casterBySwing: 'Caster by swing',
  camberReadWithThe:
    'Camber read with the wheel turned out and turned in, by the same angle each way.',
  camberFrontTurnedAway: 'Camber, front turned away from the car',
  camberFrontTurnedToward: 'Camber, front turned toward the car',
  turnedByEachWay: 'Turned by, each way',
  ofCamberBetweenOut: '3.4° of camber between 20° out and 20° in is 4.97° of caster.',
  caster: 'Caster',
  casterTurnedOutTurned: 'caster = (turned out − turned in) / (2 sin angle)',
  theCasterSwingLinear:
    'The caster swing: linear by nature, within about 0.05° up to 8° of caster. Positive leans back.',
  camberInATurn: 'Camber in a turn',
  whatCasterAndSai: 'What caster and SAI do to a front wheel’s camber when it is steered.',
  camberStraightAhead: 'Camber straight ahead',
  steeringAxisInclinationSai: 'Steering axis inclination (SAI, KPI)',
  steeredToFrontToward: 'Steered to, front toward the car +',
  at20OfSteer: 'At 20° of steer the outside wheel stands at −1.57°, the inside one at +1.17°.',
  camberThen: 'Camber then',
  theSpinAxisTurned:
    'the spin axis turned about the steering axis (Rodrigues) until it heads as steered',
  rigidRotationExactThe: 'Rigid rotation, exact; the wheel starts at toe 0.',
  bothWheelsInA: 'Both wheels in a turn',
  camberOfEachFront:
    'Camber of each front wheel at its own angle, and which corner the turn lifts.',
  camber: 'Camber, {{side}}',
  casterOfSide: 'Caster, {{side}}',
  sai: 'SAI, {{side}}',
  turning: 'Turning',
  insideWheelSteers: 'Inside wheel steers',
  outsideWheelSteers: 'Outside wheel steers',
  steeringRatio: 'Steering ratio',
  tireLoadedRadius: 'Tire, loaded radius',
  withTheScrubRadius: 'With the scrub radius, for the lift',
  scrubRadius: 'Scrub radius',
  plusTheAxisMeets: 'Plus: the axis meets the floor inside of the tire’s middle',
  muchCasterSwingsThe:
    'Much caster swings the inside wheel from −2.25° to above +2° in a turn of the steering wheel.',
  insideWheel: 'Inside wheel',
  outsideWheel: 'Outside wheel',
  steeringWheel: 'Steering wheel',
  bodyAtTheCorners: 'Body at the corners',
  eachSpinAxisTurned:
    'each spin axis turned about its steering axis; lift = how much lower the wheel’s middle then stands to the body',
  rigidRotationTheSteering:
    'Rigid rotation. The steering wheel turns by the mean of both wheels times the ratio; the axis is taken through the wheel’s middle seen from the side.',
  asItWas: 'as it was',
  up: '{{mm}} mm up',
  down: '{{mm}} mm down',
} as const;

export const t = messagesOf('turnTools', english);
