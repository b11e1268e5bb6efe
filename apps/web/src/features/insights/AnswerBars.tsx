import type { Acceptance } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { joined } from '../../shared/joined.ts';
import { t } from '../../words/insights.ts';

interface AnswerBarsProps<Key extends string> {
  title: string;
  rows: readonly Acceptance<Key>[];
  nameOf: (key: Key) => string;
}

const FULL = 100;

/** A bar a row: yes, no and still thinking, as long as there are visits; the part that said yes beside it. */
export function AnswerBars<Key extends string>({ title, rows, nameOf }: AnswerBarsProps<Key>) {
  const most = Math.max(1, ...rows.map(({ visits }) => visits));
  return (
    <Box>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 0.5 }}>
        <Typography variant="h3" color="textSecondary" sx={{ flex: 1 }}>
          {title}
        </Typography>
        <Legend />
      </Box>
      <Box component="ul" aria-label={title} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {rows.map((row) => (
          <Box
            component="li"
            key={row.key}
            sx={{ borderTop: '1px solid var(--hairline)', py: 1, display: 'grid', gap: 0.5 }}
          >
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline' }}>
              <Box sx={{ flex: 1, fontWeight: 600 }}>{nameOf(row.key)}</Box>
              <Box sx={{ whiteSpace: 'nowrap' }}>
                <ShareWords row={row} />
              </Box>
            </Box>
            <Box
              role="img"
              aria-label={t('answerBars.yesNoStillThinking', {
                yes: row.yes,
                no: row.no,
                open: row.open,
              })}
              sx={{ display: 'flex', height: 14, width: `${(FULL * row.visits) / most}%` }}
            >
              <Box sx={{ flexGrow: row.yes, bgcolor: 'var(--rubber)' }} />
              <Box sx={{ flexGrow: row.no, bgcolor: 'var(--marker)' }} />
              <Box
                sx={{
                  flexGrow: row.open,
                  boxSizing: 'border-box',
                  border: row.open > 0 ? '1.5px solid var(--control)' : 0,
                }}
              />
            </Box>
            <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
              {joined(
                t('answerBars.yesNo', { yes: row.yes, no: row.no }),
                row.open > 0 && t('answerBars.stillThinking', { open: row.open }),
                row.overridden > 0 &&
                  t('answerBars.choseOtherwise', { overridden: row.overridden }),
              )}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function ShareWords({ row }: { row: Acceptance<string> }) {
  const { part, low, high, isTooFew } = row.accepted;
  const between = (
    <Box component="span" sx={{ color: 'text.secondary' }}>
      {isTooFew
        ? t('answerBars.tooFewToTell')
        : t('answerBars.to', { low: Math.round(FULL * low), high: Math.round(FULL * high) })}
    </Box>
  );
  if (isTooFew) return between;
  return (
    <>
      <strong>{t('answerBars.yes', { percent: Math.round(FULL * part) })}</strong> {between}
    </>
  );
}

function Legend() {
  const mark = { width: 12, height: 12, display: 'inline-block', boxSizing: 'border-box', mr: 0.5 };
  return (
    <Box sx={{ display: 'flex', gap: 1.5, fontSize: '0.85rem', whiteSpace: 'nowrap' }} aria-hidden>
      <span>
        <Box component="span" sx={{ ...mark, bgcolor: 'var(--rubber)' }} />
        {t('answerBars.legendYes')}
      </span>
      <span>
        <Box component="span" sx={{ ...mark, bgcolor: 'var(--marker)' }} />
        {t('answerBars.legendNo')}
      </span>
      <span>
        <Box component="span" sx={{ ...mark, border: '1.5px solid var(--control)' }} />
        {t('answerBars.legendThinking')}
      </span>
    </Box>
  );
}
