import type { LabTexts } from '../words/screens/index.ts';
import type { ContactPatch } from './contactPatch.ts';

type PatchTexts = LabTexts['patch'];

const degrees = (value: number) => `${Math.abs(value).toFixed(2)}°`;
const times = (value: number) => (value < 10 ? value.toFixed(1) : String(Math.round(value)));
/** Toe that adds less than this to the work is as good as none. */
const LITTLE_MORE = 1.12;
/** Camber below this is as good as none, degrees. */
const NO_CAMBER_DEG = 0.2;
const EVEN_TIMES = 1.12;
const NO_PLAY_DEG = 0.02;
const NO_SOFTNESS = 0.03;

/**
 * Why a tire wears as it does, in a few sentences for the settings at hand.
 * @param camberDeg - as it stands, top outward positive
 * @param pressureRatio - over what its load needs
 * @param say - texts in the language of the page
 */
export function patchWords(
  patch: ContactPatch,
  camberDeg: number,
  pressureRatio: number,
  say: PatchTexts,
): string {
  const { pressure, work, parts } = patch;
  const last = pressure.length - 1;
  const sentences = [
    toeWords(parts, say),
    camberWords(camberDeg, patch, say),
    pressureWords(pressureRatio, say),
    ...(parts.play > NO_PLAY_DEG ? [say.play(degrees(parts.play))] : []),
    edgeWords(work[0]!, work[last]!, work[last >> 1]!, say),
  ];
  return sentences.filter((sentence) => sentence !== '').join(' ');
}

function toeWords({ driving, toe }: ContactPatch['parts'], say: PatchTexts): string {
  const more = (driving * driving + toe * toe) / (driving * driving);
  if (more < LITTLE_MORE) return say.noToe(degrees(driving));
  return say.toe({
    toe: degrees(toe),
    driving: degrees(driving),
    times: times(more),
    edge: toe > 0 ? 'outer' : 'inner',
  });
}

function camberWords(
  camberDeg: number,
  { pressure, parts }: ContactPatch,
  say: PatchTexts,
): string {
  if (Math.abs(camberDeg) < NO_CAMBER_DEG) return '';
  const loaded = Math.max(pressure[0]!, pressure.at(-1)!);
  const edge = camberDeg > 0 ? 'outer' : 'inner';
  return say.camber(edge, times(loaded), degrees(parts.camberAtEdge));
}

function pressureWords(ratio: number, say: PatchTexts): string {
  if (Math.abs(ratio - 1) < NO_SOFTNESS) return '';
  const percent = Math.round(100 * Math.abs(ratio - 1));
  return ratio < 1 ? say.soft(percent) : say.hard(percent);
}

function edgeWords(inner: number, outer: number, centre: number, say: PatchTexts): string {
  const most = Math.max(inner, outer, centre);
  const least = Math.min(inner, outer, centre);
  if (most / least < EVEN_TIMES) return say.even;
  const at = (work: number) => (work === centre ? 'centre' : work === inner ? 'inner' : 'outer');
  return say.uneven(at(most), times(most / least), at(least));
}
