let context: AudioContext | null = null;

const SECONDS = 0.07;
const LOUDNESS = 0.08;
const PITCH_HZ = { read: 880, asked: 330 } as const;

/** Answers a reading by a short tone, a lower one when it is asked about; silent where it cannot. */
export function playTone(kind: keyof typeof PITCH_HZ): void {
  if (typeof AudioContext === 'undefined') return;
  // Opening the sound device holds the page for up to a tenth of a second: the figure is painted first.
  requestAnimationFrame(() => setTimeout(() => sound(kind)));
}

function sound(kind: keyof typeof PITCH_HZ): void {
  context ??= new AudioContext();
  const [source, volume] = [context.createOscillator(), context.createGain()];
  source.frequency.value = PITCH_HZ[kind];
  volume.gain.setValueAtTime(LOUDNESS, context.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.0001, context.currentTime + SECONDS);
  source.connect(volume).connect(context.destination);
  source.start();
  source.stop(context.currentTime + SECONDS);
}
