import { messagesOf } from './i18n.ts';

export const english = {
  floorAcrossTheCar: 'Floor across the car',
  howFarTheFloor: 'How far the floor is off level, and what goes under the low wheels.',
  overTheTrack: 'Over, the track',
  allIn: 'All in',
  riseOverIt: 'Rise over it',
  byAWaterHose: 'By a water hose, or a block under one end of a long level',
  highOnThe: 'High on the',
  orALevelAcross: 'Or a level across shows, left high +',
  theSameTurnedEnd: 'The same turned end for end, left high +',
  tellsTheFloorFrom: 'Tells the floor from the level’s own error',
  mmOverAM: '6 mm over a 1.5 m track is 0.23°: every camber reads that much wrong.',
  slope: 'Slope',
  theLevelsOwnError: 'The level’s own error',
  slopeAtanRiseTrack:
    'slope = atan( rise / track ), or (first − turned) / 2; error = (first + turned) / 2',
  plainGeometryReversingA:
    'Plain geometry; reversing a level is the usual way to check it. Within 1/16 in across the car where tenths of a degree matter (common practice, no source).',
  tilesUnderWheelsMust:
    'Tiles under wheels must not slide or break: chock both sides, nobody in the car.',
  axlesByTwoTapes: 'Axles by two tapes',
  hubToHubOn: 'Hub to hub on both sides at once: whether the axles stand square to one another.',
  wheelbaseLeft: 'Wheelbase, left',
  wheelbaseRight: 'Wheelbase, right',
  track: 'Track',
  mmLongerOnThe: '10 mm longer on the left over a 1.5 m track: the rear axle heads 0.38° left.',
  rearAxleAgainstThe: 'Rear axle against the front',
  difference: 'Difference',
  plainGeometryTheTapes:
    'Plain geometry. The tapes tell that the axles are not square, not which one is crooked: setback in front looks the same.',
  frontWheelsStraightAhead:
    'Front wheels straight ahead; both tapes at the same height, pulled alike. Nobody in the car.',
  underRight: 'Under the right wheels',
  underLeft: 'Under the left wheels',
  square: 'square',
  toTheRight: '{{degrees}}° to the right',
  toTheLeft: '{{degrees}}° to the left',
  highOnLeft: '{{degrees}}°, high on the left',
  highOnRight: '{{degrees}}°, high on the right',
} as const;

export const t = messagesOf('floorTools', english);
