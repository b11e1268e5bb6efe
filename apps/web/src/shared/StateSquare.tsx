import type { StepState } from '@keen/core';

/** How far something is: empty, half, full; a diamond where something was found. */
export function StateSquare({ state, isOdd = false }: { state: StepState; isOdd?: boolean }) {
  return (
    <svg width={11} height={11} aria-hidden style={{ flexShrink: 0, overflow: 'visible' }}>
      {isOdd ? (
        <path d="M5.5 -1L12 5.5L5.5 12L-1 5.5Z" fill="var(--marker)" />
      ) : (
        <>
          <rect
            x={0.75}
            y={0.75}
            width={9.5}
            height={9.5}
            fill={state === 'done' ? 'currentColor' : 'none'}
            stroke="currentColor"
            strokeWidth={1.2}
          />
          {state === 'partly' && <path d="M0.75 10.25V0.75L10.25 10.25z" fill="currentColor" />}
        </>
      )}
    </svg>
  );
}
