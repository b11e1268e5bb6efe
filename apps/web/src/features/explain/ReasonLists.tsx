import type { CaseFile, RankedCause } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { t } from '../../words/explain.ts';
import { causeWords, reasonsOf } from '../../words/pageTexts.ts';

/** What speaks for and against a cause, from this car's own numbers. */
export function ReasonLists({ cause, file }: { cause: RankedCause; file: CaseFile }) {
  const { because, against } = useMemo(() => reasonsOf(cause, file), [cause, file]);
  // Beside each other only when there are two lists to weigh; a lone sentence needs no column.
  const columns = because.length > 0 && against.length > 0 ? '1fr 1fr' : '1fr';
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', lg: columns }, gap: 2 }}>
      <Reasons
        title={t('reasonLists.pointsTo', { cause: causeWords(cause.cause).toLowerCase() })}
        items={because}
        none={t('reasonLists.nothingYouCanPoint')}
        mark="+"
      />
      <Reasons
        title={t('reasonLists.pointsAwayFromIt')}
        items={against}
        none={t('reasonLists.nothingReadOrFelt')}
        mark="−"
      />
    </Box>
  );
}

interface ReasonsProps {
  title: string;
  items: readonly string[];
  none: string;
  mark: string;
}

function Reasons({ title, items, none, mark }: ReasonsProps) {
  return (
    <Box>
      <Typography variant="h3" color="textSecondary" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      {items.length === 0 ? (
        <Box sx={{ color: 'text.secondary' }}>{none}</Box>
      ) : (
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 0.5 }}>
          {items.map((item) => (
            <Box component="li" key={item} sx={{ display: 'flex', gap: 1 }}>
              <Box aria-hidden sx={{ color: 'text.secondary', width: 10, flexShrink: 0 }}>
                {mark}
              </Box>
              {item}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
