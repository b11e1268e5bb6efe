import type { CarReadings } from '@keen/core';
import { useRef, useState } from 'react';
import { useStartVisitMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { newId } from '../../shared/newId.ts';
import { expectedWords } from '../../words/expected.ts';

export interface Keeping {
  total: number;
  done: number;
  isRunning: boolean;
  fault: string | null;
}

/**
 * Keeps cars one after the other, a visit each; it can be stopped and goes on where it stopped. A visit
 * asked for twice with the same id is kept once.
 */
export function useSaveReadings() {
  const [start] = useStartVisitMutation();
  const [state, setState] = useState<Keeping>({
    total: 0,
    done: 0,
    isRunning: false,
    fault: null,
  });
  const wantsStop = useRef(false);
  const ids = useRef(new Map<string, string>());

  async function keep(cars: readonly CarReadings[]): Promise<void> {
    wantsStop.current = false;
    let { done } = state;
    setState({ total: cars.length, done, isRunning: true, fault: null });
    for (; done < cars.length && !wantsStop.current; done++) {
      const { plate, label, changes } = cars[done]!;
      const id = ids.current.get(plate) ?? newId();
      ids.current.set(plate, id);
      const at = new Date().toISOString();
      const answer = await start({
        id,
        vehicle: { id: newId(), plate, label: label.slice(0, 120), customer: '' },
        entries: changes.map((change) => ({ id: newId(), ...change, at })),
      });
      if (answer.error) {
        const { text, refusals } = failureOf(answer.error);
        const where = refusals[0] ? ` (${refusals[0].path}: ${expectedWords(refusals[0])})` : '';
        setState({
          total: cars.length,
          done,
          isRunning: false,
          fault: `${plate}: ${text}${where}`,
        });
        return;
      }
      setState({ total: cars.length, done: done + 1, isRunning: true, fault: null });
    }
    setState({ total: cars.length, done, isRunning: false, fault: null });
  }

  return {
    state,
    keep,
    stop: () => {
      wantsStop.current = true;
    },
  };
}
