import type { Page } from '@playwright/test';

/** Components that were rendered: in the task of a key press, and in what came after it. */
export interface Renders {
  byKey: number[];
  after: number[];
}

interface Fiber {
  tag: number;
  flags: number;
  alternate: Fiber | null;
  child: Fiber | null;
  sibling: Fiber | null;
}

/**
 * Counts the components that React renders, by the hook that its developer tools use. Called before the
 * page is opened.
 * @returns what a function typed, read and forgotten by each call
 */
export async function countRenders(page: Page): Promise<() => Promise<Renders>> {
  await page.addInitScript(() => {
    // As React numbers them: functions, classes, references passed on, and what is remembered.
    const COMPONENTS = [0, 1, 11, 14, 15];
    const PERFORMED_WORK = 1;
    const renders: Renders = { byKey: [], after: [] };
    let isInKey = false;
    addEventListener(
      'keydown',
      () => {
        isInKey = true;
        setTimeout(() => (isInKey = false));
      },
      { capture: true },
    );
    /** Below what was left alone the tree is the one of before. */
    const under = (now: Fiber): number => {
      if (now.alternate && now.child === now.alternate.child) return 0;
      let sum = 0;
      for (let child = now.child; child; child = child.sibling) {
        if (COMPONENTS.includes(child.tag) && child.flags & PERFORMED_WORK) sum++;
        sum += under(child);
      }
      return sum;
    };
    Object.assign(window, {
      renders,
      __REACT_DEVTOOLS_GLOBAL_HOOK__: {
        supportsFiber: true,
        renderers: new Map(),
        inject: () => 1,
        checkDCE: () => undefined,
        onCommitFiberUnmount: () => undefined,
        onPostCommitFiberRoot: () => undefined,
        onCommitFiberRoot: (_id: number, root: { current: Fiber }) => {
          const count = under(root.current);
          if (count > 0) renders[isInKey ? 'byKey' : 'after'].push(count);
        },
      },
    });
  });
  return () =>
    page.evaluate(() => {
      const { renders } = window as unknown as { renders: Renders };
      const seen = { byKey: [...renders.byKey], after: [...renders.after] };
      renders.byKey.length = 0;
      renders.after.length = 0;
      return seen;
    });
}
