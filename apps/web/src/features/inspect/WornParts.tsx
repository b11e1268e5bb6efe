import { wornParts } from '@keen/core';
import Box from '@mui/material/Box';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/inspect.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { FOUND, inspectTexts } from '../../words/core/inspect.ts';

/** What holds the alignment back, why, and what it does to the answer. */
export function WornParts() {
  const { draft } = useVisit();
  const worn = wornParts(draft);
  if (worn.length === 0) return null;
  const isHeld = worn.some(({ finding }) => finding === 'excessive');
  return (
    <Notice kind="caution">
      <strong>
        {isHeld ? t('wornParts.partsComeFirstAn') : t('wornParts.lookedAtAgainBefore')}
      </strong>
      <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2.25 }}>
        {worn.map(({ part, wheel, finding }) => (
          <li key={`${part} ${wheel}`}>
            {FOUND.parts[part]}
            {wheel && `, ${whereWords(wheel)}`},{' '}
            {finding === 'excessive' ? t('wornParts.tooMuch') : t('wornParts.some')}:{' '}
            {inspectTexts.partsThen[part]}.
          </li>
        ))}
      </Box>
      {t('wornParts.jointsFoundLoose')}
    </Notice>
  );
}
