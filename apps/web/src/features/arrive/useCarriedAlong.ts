import type { Wheel } from '@keen/contract';
import { useRef } from 'react';

/**
 * The tires that take a value along: those without one of their own, and those that took the last one
 * along, so that a number typed with a pause in it arrives whole. A tire that was told otherwise keeps
 * its own.
 */
export function useCarriedAlong<T>(valueOf: (wheel: Wheel) => T | undefined) {
  const given = useRef<T | null>(null);
  return (candidates: readonly Wheel[], value: T | null): Wheel[] => {
    const taking = candidates.filter((wheel) => {
      const own = valueOf(wheel);
      return own === undefined || (given.current !== null && own === given.current);
    });
    given.current = value;
    return taking;
  };
}
