import { whereWords } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Folded } from '../../shared/Folded.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** What is measured less often: setback, and how the front wheels follow one another in a turn. */
export function MoreAngles() {
  const { draft, enter } = useVisit();
  const { setback = null } = draft.visit?.measure ?? {};
  return (
    <Folded title="Setback, turning angles and full lock">
      <Box sx={{ display: 'grid', gap: 2, pb: 1 }}>
        <Box sx={{ width: { xs: '100%', sm: 260 } }}>
          <NumberField
            label="Setback, right wheel further back +"
            unit="mm"
            value={setback}
            min={-300}
            max={300}
            onChange={(value) => enter('visit.measure.setback', value)}
          />
        </Box>
        <Typography color="textSecondary">
          Turn until the wheel on the inside of the turn stands at 20° on its plate, and read the
          other one: it turns less. Hands clear of the wheels while they turn.
        </Typography>
        <Turn side="left" />
        <Turn side="right" />
        <FullLock />
      </Box>
    </Folded>
  );
}

/** The inside wheel at full lock each way: the two differ where the rack is off its middle. */
function FullLock() {
  const { draft, enter } = useVisit();
  const kept = draft.visit?.measure?.lock;
  const [left, setLeft] = useState<number | null>(kept?.left ?? null);
  const [right, setRight] = useState<number | null>(kept?.right ?? null);

  function take(toLeft: number | null, toRight: number | null): void {
    setLeft(toLeft);
    setRight(toRight);
    const isWhole = toLeft !== null && toRight !== null;
    if (!isWhole && !kept) return;
    enter('visit.measure.lock', isWhole ? { left: toLeft, right: toRight } : null);
  }

  return (
    <Box
      role="group"
      aria-label="Full lock"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 1fr', sm: '110px 180px 180px' },
        gap: 1.25,
        alignItems: 'center',
      }}
    >
      <Box sx={{ fontWeight: 650, gridColumn: { xs: '1 / -1', sm: 'auto' } }}>Full lock</Box>
      <NumberField
        label="To the left, left front"
        unit="°"
        value={left}
        max={60}
        onChange={(value) => take(value, right)}
      />
      <NumberField
        label="To the right, right front"
        unit="°"
        value={right}
        max={60}
        onChange={(value) => take(left, value)}
      />
    </Box>
  );
}

function Turn({ side }: { side: 'left' | 'right' }) {
  const { draft, enter } = useVisit();
  const kept = draft.visit?.measure?.turning?.[side];
  const [inside, setInside] = useState<number | null>(kept?.inside ?? null);
  const [outside, setOutside] = useState<number | null>(kept?.outside ?? null);
  const inner = side === 'left' ? 'lf' : 'rf';
  const outer = side === 'left' ? 'rf' : 'lf';

  function take(innerTurn: number | null, outerTurn: number | null): void {
    setInside(innerTurn);
    setOutside(outerTurn);
    const isWhole = innerTurn !== null && outerTurn !== null;
    if (!isWhole && !kept) return;
    enter(
      `visit.measure.turning.${side}`,
      isWhole ? { inside: innerTurn, outside: outerTurn } : null,
    );
  }

  return (
    <Box
      role="group"
      aria-label={`Turning ${side}`}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 1fr', sm: '110px 180px 180px' },
        gap: 1.25,
        alignItems: 'center',
      }}
    >
      <Box sx={{ fontWeight: 650, gridColumn: { xs: '1 / -1', sm: 'auto' } }}>Turning {side}</Box>
      <NumberField
        label={`Inside, ${whereWords(inner)}`}
        unit="°"
        value={inside}
        max={60}
        onChange={(value) => take(value, outside)}
      />
      <NumberField
        label={`Outside, ${whereWords(outer)}`}
        unit="°"
        value={outside}
        max={60}
        onChange={(value) => take(inside, value)}
      />
    </Box>
  );
}
