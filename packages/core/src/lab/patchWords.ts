import type { ContactPatch } from './contactPatch.ts';

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
 */
export function patchWords(patch: ContactPatch, camberDeg: number, pressureRatio: number): string {
  const { pressure, work, parts } = patch;
  const last = pressure.length - 1;
  const sentences = [
    toeWords(parts),
    camberWords(camberDeg, patch),
    pressureWords(pressureRatio),
    ...(parts.play > NO_PLAY_DEG
      ? [
          `Play lets the wheel wander ${degrees(parts.play)}: it slips that much more both ways and wears all three ribs alike.`,
        ]
      : []),
    edgeWords(work[0]!, work[last]!, work[last >> 1]!),
  ];
  return sentences.filter((sentence) => sentence !== '').join(' ');
}

function toeWords({ driving, toe }: ContactPatch['parts']): string {
  const more = (driving * driving + toe * toe) / (driving * driving);
  if (more < LITTLE_MORE) {
    return `Driving itself slips ${degrees(driving)}; toe adds next to nothing.`;
  }
  const side = toe > 0 ? 'outer' : 'inner';
  return `Toe drags the whole width ${degrees(toe)} sideways at every turn of the wheel. With the ${degrees(driving)} that driving needs, the work is ${times(more)} times as much, and the drag presses the ${side} edge down, so that edge goes first.`;
}

function camberWords(camberDeg: number, { pressure, parts }: ContactPatch): string {
  if (Math.abs(camberDeg) < NO_CAMBER_DEG) return '';
  const side = camberDeg > 0 ? 'outer' : 'inner';
  const [inner, outer] = [pressure[0]!, pressure.at(-1)!];
  const loaded = Math.max(inner, outer);
  return `Camber leans the load on the ${side} edge: ${times(loaded)} times the mean pressure there. But it hardly makes the tread slip, ${degrees(parts.camberAtEdge)} at the edges and nothing in the middle, so it eats far less than toe of the same size.`;
}

function pressureWords(ratio: number): string {
  if (Math.abs(ratio - 1) < NO_SOFTNESS) return '';
  const size = Math.round(100 * Math.abs(ratio - 1));
  return ratio < 1
    ? `Pressure ${size} % below what the load needs lifts the centre: both shoulders carry more.`
    : `Pressure ${size} % above what the load needs rounds the tread: the centre carries more.`;
}

function edgeWords(inner: number, outer: number, centre: number): string {
  const most = Math.max(inner, outer, centre);
  const least = Math.min(inner, outer, centre);
  if (most / least < EVEN_TIMES) return 'So the tread wears evenly.';
  const where = most === centre ? 'centre' : most === inner ? 'inner edge' : 'outer edge';
  const against = least === centre ? 'centre' : least === inner ? 'inner edge' : 'outer edge';
  return `So the ${where} wears ${times(most / least)} times as fast as the ${against}.`;
}
