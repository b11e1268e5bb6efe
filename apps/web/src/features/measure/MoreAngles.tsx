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
    <Folded title="Setback, and turning angles">
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
      </Box>
    </Folded>
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
