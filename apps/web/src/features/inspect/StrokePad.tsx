import type { Feather, Wheel } from '@keen/contract';
import { readingOrder, sideOf, whereWords } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import type { PointerEvent } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Kbd } from '../../shared/Kbd.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { StrokeGuide } from './StrokeGuide.tsx';

type Felt = Exclude<Feather, 'unknown'>;

const KEYS: readonly { felt: Felt; key: string; label: string }[] = [
  { felt: 'catchesOutward', key: 'O', label: 'Catches out' },
  { felt: 'none', key: 'S', label: 'Smooth' },
  { felt: 'catchesInward', key: 'I', label: 'Catches in' },
];
const WORDS: Record<Felt, string> = {
  none: 'smooth',
  catchesOutward: 'catches out',
  catchesInward: 'catches in',
};
/** The tires in the order one walks round the car. */
const WALK = [...new Set(readingOrder('walkRound').map(({ wheel }) => wheel))];
/** A finger that moves less has tapped, px. */
const TAP_PX = 16;

/**
 * The stroke across the ribs, one tire after the other: three keys, three buttons, or the finger drawn
 * over the pad the way in which the hand caught.
 */
export function StrokePad() {
  const { draft, enter } = useVisit();
  const feltAt = (wheel: Wheel) => {
    const felt = draft.tires?.[wheel]?.feather;
    return felt === 'unknown' ? undefined : felt;
  };
  const [chosen, setChosen] = useState<Wheel | null>(null);
  const from = useRef<number | null>(null);
  const current = chosen ?? WALK.find((wheel) => feltAt(wheel) === undefined) ?? null;

  function feel(felt: Felt): void {
    if (!current) return;
    enter(`tires.${current}.feather`, felt);
    // One that was felt again is followed by the next that is still open.
    setChosen(null);
  }

  function move(by: 1 | -1): void {
    const at = current ? WALK.indexOf(current) : by === 1 ? -1 : WALK.length;
    setChosen(WALK[Math.min(WALK.length - 1, Math.max(0, at + by))] ?? null);
  }

  useHotkeys(['o', 's', 'i'], (_event, { hotkey }) => {
    const pressed = KEYS.find(({ key }) => key.toLowerCase() === hotkey);
    if (pressed) feel(pressed.felt);
  });
  useHotkeys('right', () => move(1));
  useHotkeys('left', () => move(-1));

  function lift({ clientX }: PointerEvent): void {
    const start = from.current;
    from.current = null;
    if (start === null || !current) return;
    const moved = clientX - start;
    if (Math.abs(moved) < TAP_PX) {
      feel('none');
      return;
    }
    // Away from the car is to the left on a left wheel, seen from behind.
    const isOutward = moved < 0 === (sideOf(current) === 'left');
    feel(isOutward ? 'catchesOutward' : 'catchesInward');
  }

  return (
    <Box
      role="group"
      aria-label="The stroke across the ribs"
      sx={{ width: { xs: '100%', sm: 410 } }}
    >
      <Box sx={{ display: 'flex', gap: 0.5, mb: 1 }}>
        {WALK.map((wheel) => {
          const felt = feltAt(wheel);
          return (
            <Box
              key={wheel}
              component="button"
              type="button"
              aria-pressed={wheel === current}
              onClick={() => setChosen(wheel)}
              sx={{
                flex: 1,
                font: 'inherit',
                fontSize: '0.78rem',
                lineHeight: 1.25,
                textAlign: 'left',
                color: 'inherit',
                background: 'none',
                border: 0,
                minHeight: 44,
                borderTop: `3px solid ${wheel === current ? 'var(--marker)' : 'var(--line)'}`,
                pt: 0.5,
                px: 0,
                cursor: 'pointer',
              }}
            >
              <Box sx={{ fontWeight: 650 }}>{whereWords(wheel)}</Box>
              <Box sx={{ color: 'text.secondary' }}>{felt ? WORDS[felt] : 'not felt'}</Box>
            </Box>
          );
        })}
      </Box>
      {current ? (
        <>
          <Box
            onPointerDown={({ clientX }) => {
              from.current = clientX;
            }}
            onPointerUp={lift}
            onPointerCancel={() => {
              from.current = null;
            }}
            data-testid="stroke-pad"
            sx={{
              touchAction: 'pan-y',
              userSelect: 'none',
              cursor: 'ew-resize',
              border: '1px solid var(--line)',
              borderRadius: '4px',
              p: 0.75,
            }}
          >
            <StrokeGuide side={sideOf(current)} />
          </Box>
          <Typography sx={{ color: 'text.secondary', fontSize: '0.8rem', my: 0.75 }}>
            Draw the finger the way it caught; tap when it was smooth.
          </Typography>
          <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
            {(sideOf(current) === 'left' ? KEYS : KEYS.toReversed()).map(({ felt, key, label }) => (
              <Button key={key} onClick={() => feel(felt)} sx={{ px: 1.25 }}>
                {label}&nbsp;
                <Box component="span" sx={{ display: { xs: 'none', md: 'inline' } }}>
                  <Kbd>{key}</Kbd>
                </Box>
              </Button>
            ))}
          </Box>
        </>
      ) : (
        <Typography role="status">All four are felt.</Typography>
      )}
    </Box>
  );
}
