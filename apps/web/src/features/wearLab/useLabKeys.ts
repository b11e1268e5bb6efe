import { WHEEL_ORDER } from '@keen/core';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { MOST_KM } from './labSetup.ts';
import type { LabSetup } from './labSetup.ts';

/** What a key moves the distance by, km. */
const STEP_KM = 1000;

interface KeysOptions {
  setup: LabSetup;
  set: (setup: LabSetup) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
  onPlay: () => void;
}

/** The keys of the page. */
export function useLabKeys({ setup, set, undo, redo, onPlay }: KeysOptions): void {
  const navigate = useNavigate();
  const by = (km: number) => set({ ...setup, km: Math.min(MOST_KM, Math.max(0, setup.km + km)) });
  useHotkeys('space', onPlay, {
    preventDefault: true,
    // A button or a slider that has the focus keeps its own keys.
    ignoreEventWhen: ({ target }) =>
      target instanceof HTMLElement && target.closest('button, input, [role=combobox]') !== null,
  });
  useHotkeys('comma', () => by(-STEP_KM));
  useHotkeys('period', () => by(STEP_KM));
  useHotkeys(['1', '2', '3', '4'], ({ key }) => {
    const wheel = WHEEL_ORDER[Number(key) - 1];
    if (wheel) set({ ...setup, wheel });
  });
  useHotkeys('t', () => void navigate('/'));
  useHotkeys('c', () => set({ ...setup, compares: !setup.compares }));
  useHotkeys('mod+z', () => undo?.(), { preventDefault: true });
  useHotkeys(['mod+y', 'mod+shift+z'], () => redo?.(), { preventDefault: true });
}
