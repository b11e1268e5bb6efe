import { useEffect, useRef, useState } from 'react';
import { MOST_KM } from './labSetup.ts';

/** How fast the car drives, km for each second of watching, and with less motion: km a step, ms a step. */
const KM_PER_SECOND = 5_000;
const STILL = { km: 5_000, ms: 800 } as const;

/** Lets the car drive: the distance grows by itself until the end of the bar. */
export function usePlay(
  km: number,
  onKm: (km: number) => void,
): { isPlaying: boolean; toggle: () => void; stop: () => void } {
  const [isPlaying, setPlaying] = useState(false);
  const at = useRef(km);
  const move = useRef(onKm);
  useEffect(() => {
    at.current = km;
    move.current = onKm;
  });

  useEffect(() => {
    if (!isPlaying) return;
    const to = (next: number) => {
      const end = next >= MOST_KM;
      move.current(end ? MOST_KM : next);
      if (end) setPlaying(false);
    };
    if (matchMedia('(prefers-reduced-motion: reduce)').matches) {
      const timer = setInterval(() => to(at.current + STILL.km), STILL.ms);
      return () => clearInterval(timer);
    }
    let last = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      to(at.current + ((now - last) / 1000) * KM_PER_SECOND);
      last = now;
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [isPlaying]);

  return {
    isPlaying,
    toggle: () => {
      if (!isPlaying && at.current >= MOST_KM) move.current(0);
      setPlaying(!isPlaying);
    },
    stop: () => setPlaying(false),
  };
}
