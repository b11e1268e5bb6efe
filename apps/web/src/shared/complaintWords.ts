import type { Complaint } from '@keen/contract';

/** What a driver says, as a key to press. */
export const COMPLAINT_WORDS: Record<Complaint, string> = {
  pullsLeft: 'Pulls left',
  pullsRight: 'Pulls right',
  wheelOffLeft: 'Steering wheel off to the left',
  wheelOffRight: 'Steering wheel off to the right',
  vibration: 'Vibration',
  noise: 'Noise',
  wander: 'Wanders',
  noReturn: 'Does not come back',
  heavySteering: 'Heavy steering',
};
