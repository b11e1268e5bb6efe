import { act, render, renderHook, screen, waitFor } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { usePlay } from './usePlay.ts';
import { useSetup } from './useSetup.ts';

type Held = ReturnType<typeof useSetup>;

/** The lab's setup on a page of its own, with another page to go to. */
function lab(path = '/wear-lab') {
  const held: { now: Held | null } = { now: null };
  function Lab() {
    held.now = useSetup();
    return <p>the lab</p>;
  }
  const router = createMemoryRouter(
    [
      { path: '/wear-lab', element: <Lab /> },
      { path: '/', element: <p>today</p> },
    ],
    { initialEntries: [path] },
  );
  render(<RouterProvider router={router} />);
  const { setup } = held.now!;
  const withToe = (lf: number) => ({
    ...setup,
    car: { ...setup.car, toe: { ...setup.car.toe, lf } },
  });
  return { router, now: () => held.now!, withToe };
}

describe('the lab’s setup', () => {
  it('follows in the link once it stands still, as one step that is taken back and done again', async () => {
    const { router, now, withToe } = lab();
    act(() => now().set(withToe(0.3)));
    act(() => now().set(withToe(0.5)));
    await waitFor(() => expect(router.state.location.search).toContain('toe=0.5'));
    act(() => now().undo!());
    expect(now().setup.car.toe.lf).toBe(0.05);
    expect(now().undo).toBeNull();
    expect(router.state.location.search).toBe('');
    act(() => now().redo!());
    expect(now().setup.car.toe.lf).toBe(0.5);
  });

  it('takes back what still moves, and nothing before it', async () => {
    const { router, now, withToe } = lab();
    act(() => now().set(withToe(0.3)));
    await waitFor(() => expect(router.state.location.search).toContain('toe=0.3'));
    act(() => now().set(withToe(0.5)));
    act(() => now().undo!());
    expect(now().setup.car.toe.lf).toBe(0.3);
    act(() => now().redo!());
    expect(now().setup.car.toe.lf).toBe(0.5);
    act(() => now().undo!());
    act(() => now().undo!());
    expect(now().setup.car.toe.lf).toBe(0.05);
    expect(now().undo).toBeNull();
  });

  it('does not call back whoever leaves while something still moves', async () => {
    const { router, now, withToe } = lab();
    act(() => now().set(withToe(0.5)));
    await act(() => router.navigate('/'));
    expect(screen.getByText('today')).toBeVisible();
    await act(() => new Promise((done) => setTimeout(done, 600)));
    expect(router.state.location).toMatchObject({ pathname: '/', search: '' });
  });

  it('begins anew from a visit’s car: there is nothing before it to go back to', async () => {
    const { router, now, withToe } = lab();
    act(() => now().set(withToe(0.3)));
    await waitFor(() => expect(now().undo).not.toBeNull());
    act(() => now().begin(withToe(0.4)));
    expect(now().undo).toBeNull();
    expect(router.state.location.search).toContain('toe=0.4');
  });
});

describe('driving', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  it('goes in steps for whoever wants less motion, and stops at the end of the bar', () => {
    vi.stubGlobal('matchMedia', () => ({ matches: true }));
    const frames = vi.spyOn(globalThis, 'requestAnimationFrame');
    const seen: number[] = [];
    const { result, rerender } = renderHook(({ km }) => usePlay(km, (next) => seen.push(next)), {
      initialProps: { km: 50_000 },
    });
    act(() => result.current.toggle());
    act(() => {
      vi.advanceTimersByTime(800);
    });
    rerender({ km: seen.at(-1)! });
    act(() => {
      vi.advanceTimersByTime(800);
    });
    expect(seen).toEqual([55_000, 60_000]);
    expect(result.current.isPlaying).toBe(false);
    expect(frames).not.toHaveBeenCalled();
    rerender({ km: 60_000 });
    // From the end it begins at nothing.
    act(() => result.current.toggle());
    expect(seen.at(-1)).toBe(0);
  });
});
