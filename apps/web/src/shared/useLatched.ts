import { useState } from 'react';

/** True from the first time on. */
export function useLatched(now: boolean): boolean {
  const [was, setWas] = useState(now);
  if (now && !was) setWas(true);
  return was || now;
}
