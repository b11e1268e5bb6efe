import type { VisitDraft } from '@keen/contract';
import { batteryVerdict } from '../vehicle/battery.ts';

/** A fact of the walk-round. */
export interface WalkRoundFact {
  what: 'warningLights' | 'codes' | 'battery' | 'nutTorque' | 'lamps';
  /** The fact itself, without its name. */
  words: string;
  /** Something to see to. */
  isFault: boolean;
}

/** What was noted on the walk round the car, in the order it is done; nothing where nothing was. */
export function walkRound(draft: VisitDraft): WalkRoundFact[] {
  const { warningLights, codes, battery, nutTorque, lamps } = draft.visit?.quick ?? {};
  const facts: WalkRoundFact[] = [];
  if (warningLights) facts.push({ what: 'warningLights', words: warningLights, isFault: true });
  if (codes) facts.push({ what: 'codes', words: codes, isFault: true });
  if (battery) {
    const { words, isWeak } = batteryVerdict(battery);
    facts.push({ what: 'battery', words: `at ${words}`, isFault: isWeak });
  }
  if (nutTorque !== undefined) {
    facts.push({ what: 'nutTorque', words: `tightened to ${nutTorque} N·m`, isFault: false });
  }
  if (lamps) {
    const isFault = lamps === 'fault';
    facts.push({ what: 'lamps', words: isFault ? 'one is out' : 'all good', isFault });
  }
  return facts;
}
