import type { CalculatorInput, CalculatorName } from '@keen/contract';

interface Example<N extends CalculatorName> {
  /** What the calculator does, in a sentence. */
  does: string;
  in: CalculatorInput<N>;
}

const rod = { steeringArm: 140, threadPitch: 1.5, rack: 'behind', adjuster: 'single' } as const;

/** One job for each calculator, as the documents show it. */
export const CALCULATOR_EXAMPLES: { readonly [N in CalculatorName]: Example<N> } = {
  tireSize: {
    does: 'Lengths of a tire from the size on its sidewall: metric, flotation or cart.',
    in: { size: '205/55R16 91V' },
  },
  toeConvert: {
    does: 'Toe of one wheel from one unit into another.',
    in: { value: 2, from: 'mm', to: 'deg', diameter: 430 },
  },
  toeFromTape: {
    does: 'Total toe from a tape between two marks, ahead of the axle and behind it.',
    in: { front: 1502, rear: 1505, unit: 'mm', span: 640 },
  },
  toeFromStrings: {
    does: 'Toe of every wheel from strings along both sides of the car.',
    in: {
      stringGap: { front: 1902, rear: 1900 },
      wheelbase: 2650,
      wheels: {
        lf: { front: 152, rear: 150 },
        rf: { front: 153, rear: 151 },
        lr: { front: 181, rear: 180 },
        rr: { front: 180.5, rear: 180 },
      },
      rimDiameter: { front: 440, rear: 440 },
      unit: 'mm',
    },
  },
  toeFromGauges: {
    does: 'Toe of every wheel from gauges that read each wheel on its own.',
    in: {
      wheels: { lf: 0.1, rf: 0.1, lr: 0.2, rr: 0.1 },
      unit: 'deg',
      toeInReads: 'plus',
      frontAgainst: 'rearAxle',
    },
  },
  toeFromFlags: {
    does: 'Toe of the front wheels from beams back to a flag at each rear wheel.',
    in: {
      distance: 2650,
      beam: 40,
      flags: { left: 47, right: 44 },
      track: { front: 1540, rear: 1530 },
    },
  },
  camberFromSquare: {
    does: 'Camber from a square on the floor beside the wheel.',
    in: { top: 12, bottom: 4, span: 400, unit: 'mm' },
  },
  camberFromLevel: {
    does: 'Camber from a level held against the wheel.',
    in: {
      reading: 1.5,
      zeroIs: 'vertical',
      leans: 'in',
      side: 'left',
      floorSlope: { degrees: 0.3, high: 'left' },
    },
  },
  casterFromSwing: {
    does: 'Caster from the camber that a wheel gains between two equal turns of the steering.',
    in: { camberTurnedOut: 1.2, camberTurnedIn: -2.2, angle: 20 },
  },
  floorSlope: {
    does: 'Slope of a floor across the car, from a level read twice or from a rise.',
    in: { over: 1500, unit: 'mm', first: 0.35, turned: -0.25 },
  },
  axleSquare: {
    does: 'How the two axles stand to one another, from the wheelbase on each side.',
    in: { left: 2652, right: 2648, track: 1520 },
  },
  camberInTurns: {
    does: 'Camber of both front wheels in a turn, and how far the body rises.',
    in: {
      left: { camber: -0.5, caster: 4, sai: 13 },
      right: { camber: -0.5, caster: 4, sai: 13 },
      turning: 'left',
      inside: 20,
      outside: 18,
      steeringRatio: 16,
    },
  },
  camberInTurn: {
    does: 'Camber of one front wheel that is steered.',
    in: { camber: -0.5, caster: 4, sai: 13, steer: -20 },
  },
  thrust: {
    does: 'Where the rear axle points, and how far that turns the steering wheel.',
    in: { toeLr: 0.3, toeRr: 0.1, steeringRatio: 16 },
  },
  slip: {
    does: 'How far a rolling wheel is dragged sideways by its toe.',
    in: { toe: 0.1 },
  },
  tieRod: {
    does: 'Turns of a tie rod for a change of toe.',
    in: { toeChange: 0.25, ...rod },
  },
  steeringWheelCentre: {
    does: 'Turns of both tie rods that straighten the steering wheel and keep the total toe.',
    in: { offset: 8, steeringRatio: 16, ...rod },
  },
  rearShim: {
    does: 'The tapered shim from stock that sets a rear wheel, and how it is turned.',
    in: { camberChange: 0.4, toeChange: 0.3, side: 'left', stock: [0.25, 0.5, 0.75, 1] },
  },
  wheelFit: {
    does: 'Where the edges of other wheels stand, and what they do to track and speedometer.',
    in: {
      old: { width: 6.5, offset: 45, size: '205/55R16' },
      new: { width: 8, offset: 35, size: '225/45R17' },
    },
  },
  eccentric: {
    does: 'Turn of an eccentric bolt for a change of camber or toe.',
    in: { change: 0.5, offset: 5, leverArm: 300 },
  },
  wishboneShims: {
    does: 'Shims at the two bolts of an upper arm for a change of camber and caster.',
    in: { camberChange: -0.5, casterChange: 1, boltSpacing: 200, armLength: 250, armHeight: 230 },
  },
  casterWithHeight: {
    does: 'What a raised or lowered body does to caster.',
    in: { change: -30, caster: 4, height: 600, upper: 'strut', lowerAxis: 3 },
  },
  twoCams: {
    does: 'Turns of two cams on a lower arm for a change of camber and caster.',
    in: {
      camberChange: 0.5,
      casterChange: 0.3,
      camSpacing: 250,
      armLength: 350,
      armHeight: 230,
      offset: 6,
    },
  },
  rideHeight: {
    does: 'What a raised or lowered body does to camber and toe of one wheel.',
    in: {
      change: 20,
      points: {
        lowerInner: [350, 180],
        lowerOuter: [700, 170],
        upperInner: [420, 420],
        upperOuter: [660, 440],
        tieInner: [340, 235],
        tieOuter: [690, 230],
      },
      steeringArm: 140,
      rack: 'behind',
    },
  },
};
