import type { CalculatorName } from '@keen/contract';

/** What each calculator does, in a sentence of the docs. */
export const CALCULATOR_PURPOSES: Readonly<Record<CalculatorName, string>> = {
  tireSize: 'Lengths of a tire from the size on its sidewall: metric, flotation or cart.',
  toeConvert: 'Toe of one wheel from one unit into another.',
  toeFromTape: 'Total toe from a tape between two marks, ahead of the axle and behind it.',
  toeFromStrings: 'Toe of every wheel from strings along both sides of the car.',
  toeFromGauges: 'Toe of every wheel from gauges that read each wheel on its own.',
  toeFromFlags: 'Toe of the front wheels from beams back to a flag at each rear wheel.',
  camberFromSquare: 'Camber from a square on the floor beside the wheel.',
  camberFromLevel: 'Camber from a level held against the wheel.',
  casterFromSwing:
    'Caster from the camber that a wheel gains between two equal turns of the steering.',
  floorSlope: 'Slope of a floor across the car, from a level read twice or from a rise.',
  axleSquare: 'How the two axles stand to one another, from the wheelbase on each side.',
  camberInTurns: 'Camber of both front wheels in a turn, and how far the body rises.',
  camberInTurn: 'Camber of one front wheel that is steered.',
  thrust: 'Where the rear axle points, and how far that turns the steering wheel.',
  slip: 'How far a rolling wheel is dragged sideways by its toe.',
  tieRod: 'Turns of a tie rod for a change of toe.',
  steeringWheelCentre:
    'Turns of both tie rods that straighten the steering wheel and keep the total toe.',
  rearShim: 'The tapered shim from stock that sets a rear wheel, and how it is turned.',
  wheelFit: 'Where the edges of other wheels stand, and what they do to track and speedometer.',
  eccentric: 'Turn of an eccentric bolt for a change of camber or toe.',
  wishboneShims: 'Shims at the two bolts of an upper arm for a change of camber and caster.',
  casterWithHeight: 'What a raised or lowered body does to caster.',
  twoCams: 'Turns of two cams on a lower arm for a change of camber and caster.',
  rideHeight: 'What a raised or lowered body does to camber and toe of one wheel.',
};
