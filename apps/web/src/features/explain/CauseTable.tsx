import type { Diagnosis } from '@keen/contract';
import { causeGroups } from '@keen/core';
import type { CauseGroup } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { showDepth, showPercent } from '../../shared/format.ts';
import { SureSquares } from '../../shared/SureSquares.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/explain.ts';
import { causeWords, sureWords, whereWords } from '../../words/pageTexts.ts';

/** Causes below this are folded away. */
const SHOWN_FROM = 0.08;
const MOST_SHOWN = 5;
/** Less is shown as next to nothing, mm. */
const LEAST_SHOWN_MM = 0.05;

interface CauseTableProps {
  diagnosis: Diagnosis;
  /** The first place of the row looked into, as {@link groupKey} names it. */
  chosen: string | null;
  onChoose: (group: CauseGroup) => void;
}

/**
 * The causes in rows, that of the headline first: how sure, and what each took at the worst rib. A cause
 * that may be at several places is one row.
 */
export function CauseTable({ diagnosis, chosen, onChoose }: CauseTableProps) {
  const [isOpen, setOpen] = useState(false);
  const groups = causeGroups(diagnosis);
  const likely = groups.filter(({ probability }) => probability >= SHOWN_FROM).slice(0, MOST_SHOWN);
  const rest = groups.filter((group) => !likely.includes(group));
  const shown = isOpen ? [...likely, ...rest] : likely;
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
            <Th>{t('causeTable.cause')}</Th>
            <Th>{t('causeTable.howSure')}</Th>
            <Th>{t('causeTable.tookAtTheWorst')}</Th>
          </tr>
        </Box>
        <tbody>
          {shown.map((group) => (
            <GroupRow
              key={groupKey(group)}
              group={group}
              isChosen={chosen === groupKey(group)}
              onChoose={() => onChoose(group)}
            />
          ))}
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
            {isOpen ? t('causeTable.hide') : t('causeTable.show')}
          </Button>
        </Box>
      )}
    </Box>
  );
}

interface GroupRowProps {
  group: CauseGroup;
  isChosen: boolean;
  onChoose: () => void;
}

/** Where the table has the room: its pane is narrow beside the tread. */
const ONLY_WIDE = { xs: 'none', sm: 'block', md: 'none', lg: 'block' } as const;

function GroupRow({ group, isChosen, onChoose }: GroupRowProps) {
  const { units } = useVisit();
  const { partMm, totalMm, wheel } = group.taken;
  const { probability } = group;
  const part = totalMm > 0 ? partMm / totalMm : 0;
  const unit = units.depth === 'mm' ? 'mm' : '/32';
  return (
    <Box
      component="tr"
      onClick={onChoose}
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
          onClick={onChoose}
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
          <strong>{causeWords(group.cause)}</strong>{' '}
          <Box
            component="span"
            sx={{
              color: 'text.secondary',
              whiteSpace: { sm: 'nowrap', md: 'normal', lg: 'nowrap' },
            }}
          >
            {placesWords(group)}
          </Box>
        </Box>
      </td>
      <td>
        {/* On a phone, and beside the tread on a tablet, the words go under the figures. */}
        <Box
          sx={{
            display: 'flex',
            flexDirection: { xs: 'column', sm: 'row', md: 'column', lg: 'row' },
            alignItems: { xs: 'flex-start', sm: 'center', md: 'flex-start', lg: 'center' },
            columnGap: 1,
          }}
        >
          <Box sx={{ display: ONLY_WIDE }}>
            <SureSquares probability={probability} />
          </Box>
          <Box sx={{ minWidth: { lg: 42 }, textAlign: 'right', whiteSpace: 'nowrap' }}>
            {showPercent(probability)}
          </Box>
          <Box sx={{ color: 'text.secondary', whiteSpace: 'nowrap', fontSize: '0.85rem' }}>
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
              width: 56,
              bgcolor: 'var(--hairline)',
              display: ONLY_WIDE,
            }}
          >
            <Box sx={{ height: 8, width: `${100 * part}%`, bgcolor: 'var(--rubber)' }} />
          </Box>
          <Box sx={{ ml: 'auto', whiteSpace: 'nowrap' }}>
            {partMm < LEAST_SHOWN_MM
              ? t('causeTable.almostNothing')
              : t('causeTable.of', {
                  partMm: showDepth(partMm, units.depth),
                  totalMm: showDepth(totalMm, units.depth),
                  unit,
                })}
            {partMm >= LEAST_SHOWN_MM && group.places[0]!.where !== wheel && (
              <Box
                component="span"
                sx={{
                  color: 'text.secondary',
                  display: 'block',
                  textAlign: 'right',
                  fontSize: '0.8rem',
                }}
              >
                {whereWords(wheel)}
              </Box>
            )}
          </Box>
        </Box>
      </td>
    </Box>
  );
}

type Place = CauseGroup['places'][number]['where'];

/** Names a row by its first place. */
export function groupKey({ places }: CauseGroup): string {
  return `${places[0]!.cause}.${places[0]!.where}`;
}

/** Where a cause may be: both fronts, all four, or the places by name. */
function placesWords({ places }: CauseGroup): string {
  const at = places.map(({ where }) => where);
  if (at.length === 4) return t('causeTable.allFour');
  const has = (...pair: [Place, Place]) =>
    at.length === 2 && pair.every((place) => at.includes(place));
  if (has('lf', 'rf')) return t('causeTable.bothFronts');
  if (has('lr', 'rr')) return t('causeTable.bothRears');
  if (has('front', 'rear')) return t('causeTable.bothAxles');
  return at.map(whereWords).join(', ');
}

function restWords(rest: number, likely: number): string {
  const small =
    likely < MOST_SHOWN
      ? t('causeTable.under', { shownFrom: SHOWN_FROM * 100 })
      : t('causeTable.smaller');
  return t(likely === 0 ? 'causeTable.each' : 'causeTable.otherEach', { count: rest, small });
}

function Th({ children }: { children: string }) {
  return (
    <Box component="th" scope="col" sx={{ fontWeight: 500, pb: 0.5, pr: 2 }}>
      {children}
    </Box>
  );
}
