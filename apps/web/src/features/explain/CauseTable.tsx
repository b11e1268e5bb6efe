import type { RankedCause } from '@keen/contract';
import { causeWords, depthFromMm, sureWords, whereWords } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { showPercent } from '../../shared/format.ts';
import { SureSquares } from '../../shared/SureSquares.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** Causes below this are folded away. */
const SHOWN_FROM = 0.08;
const MOST_SHOWN = 5;

interface CauseTableProps {
  ranked: readonly RankedCause[];
  /** Rubber lost at the worst rib of each tire, together, mm. */
  lostMm: number;
  chosen: string | null;
  onChoose: (cause: RankedCause) => void;
}

/** The causes in rows: how sure, and how much rubber each took beyond the usual. */
export function CauseTable({ ranked, lostMm, chosen, onChoose }: CauseTableProps) {
  const { units } = useVisit();
  const [isOpen, setOpen] = useState(false);
  const likeliest = ranked
    .filter(({ probability }) => probability >= SHOWN_FROM)
    .toSorted((a, b) => b.probability - a.probability)
    .slice(0, MOST_SHOWN);
  // In the order of the rubber they took, which is how they are ranked.
  const likely = ranked.filter((cause) => likeliest.includes(cause));
  const rest = ranked.filter((cause) => !likely.includes(cause));
  const shown = isOpen ? [...likely, ...rest] : likely;
  const most = Math.max(0.3, ...ranked.map(({ excess }) => excess));
  return (
    <Box>
      <Box
        component="table"
        sx={{
          width: '100%',
          borderCollapse: 'collapse',
          display: shown.length > 0 ? 'table' : 'none',
        }}
      >
        <Box
          component="thead"
          sx={{ color: 'text.secondary', fontSize: '0.8rem', textAlign: 'left' }}
        >
          <tr>
            <Th>Cause</Th>
            <Th>How sure</Th>
            <Th>Of the rubber lost</Th>
          </tr>
        </Box>
        <tbody>
          {shown.map((cause) => {
            const { cause: name, where, probability, excess } = cause;
            const isChosen = chosen === `${name}.${where}`;
            return (
              <Box
                component="tr"
                key={`${name}.${where}`}
                onClick={() => onChoose(cause)}
                sx={{
                  cursor: 'pointer',
                  '& > td': {
                    borderTop: '1px solid var(--hairline)',
                    py: 0.4,
                    pr: { xs: 1.25, sm: 2 },
                  },
                }}
              >
                <td>
                  <Box
                    component="button"
                    type="button"
                    aria-pressed={isChosen}
                    onClick={() => onChoose(cause)}
                    sx={{
                      all: 'unset',
                      cursor: 'pointer',
                      display: 'block',
                      minHeight: 36,
                      py: 0.5,
                      boxSizing: 'border-box',
                      borderLeft: '3px solid',
                      borderColor: isChosen ? 'var(--marker)' : 'transparent',
                      pl: 1,
                      ml: -1,
                      '&:focus-visible': { outline: '2px solid var(--marker)' },
                    }}
                  >
                    <strong>{causeWords(name)}</strong>{' '}
                    <Box component="span" sx={{ color: 'text.secondary' }}>
                      {whereWords(where)}
                    </Box>
                  </Box>
                </td>
                <td>
                  {/* On a phone the words go under the figures: the cause needs the width. */}
                  <Box
                    sx={{
                      display: 'flex',
                      flexDirection: { xs: 'column', sm: 'row' },
                      alignItems: { xs: 'flex-start', sm: 'center' },
                      columnGap: 1,
                    }}
                  >
                    <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
                      <SureSquares probability={probability} />
                    </Box>
                    <Box sx={{ minWidth: { sm: 42 }, textAlign: 'right', whiteSpace: 'nowrap' }}>
                      {showPercent(probability)}
                    </Box>
                    <Box
                      sx={{ color: 'text.secondary', whiteSpace: 'nowrap', fontSize: '0.85rem' }}
                    >
                      {sureWords(probability).toLowerCase()}
                    </Box>
                  </Box>
                </td>
                <td>
                  <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                    <Box
                      aria-hidden
                      sx={{
                        height: 8,
                        width: `${(excess / most) * 48}px`,
                        minWidth: 2,
                        bgcolor: 'var(--rubber)',
                        display: { xs: 'none', sm: 'block' },
                      }}
                    />
                    <Box sx={{ ml: 'auto', whiteSpace: 'nowrap' }}>
                      {depthFromMm(excess, units.depth).toFixed(1)}{' '}
                      {units.depth === 'mm' ? 'mm' : '/32'}
                      <Box
                        component="span"
                        sx={{
                          color: 'text.secondary',
                          display: { xs: 'block', sm: 'inline' },
                          textAlign: 'right',
                        }}
                      >
                        <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
                          {' · '}
                        </Box>
                        {lostMm > 0 ? showPercent(excess / lostMm) : '–'}
                      </Box>
                    </Box>
                  </Box>
                </td>
              </Box>
            );
          })}
        </tbody>
      </Box>
      {rest.length > 0 && (
        <Box
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1.5,
            borderTop: '1px solid var(--hairline)',
            color: 'text.secondary',
            pt: 0.75,
          }}
        >
          <span>{restWords(rest.length, likely.length)}</span>
          <Button
            variant="text"
            onClick={() => setOpen(!isOpen)}
            sx={{ minHeight: 36, textDecoration: 'underline' }}
          >
            {isOpen ? 'fold away' : 'show'}
          </Button>
        </Box>
      )}
    </Box>
  );
}

function restWords(rest: number, likely: number): string {
  const causes = rest === 1 ? 'cause' : 'causes';
  const small = likely < MOST_SHOWN ? `under ${SHOWN_FROM * 100} %` : 'smaller';
  return likely === 0
    ? `${rest} ${causes}, each ${small}`
    : `${rest} other ${causes}, each ${small}`;
}

function Th({ children }: { children: string }) {
  return (
    <Box component="th" scope="col" sx={{ fontWeight: 500, pb: 0.5, pr: 2 }}>
      {children}
    </Box>
  );
}
