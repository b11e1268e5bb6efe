import type { Comebacks, Units } from '@keen/contract';
import Box from '@mui/material/Box';
import { showFar } from '../../shared/format.ts';
import { hundreds, percent } from './bandWords.ts';
import { WORK_TITLES } from './comebackWords.ts';
import { FIGURES } from '../../shared/figures.ts';
import { t } from '../../words/insights.ts';

/** Each kind of work: how often it was done, on how many cars it was looked at again, and what came back. */
export function WorkTable({ data, units }: { data: Comebacks; units: Units }) {
  const { works, withinKm } = data;
  return (
    <Box component="table" aria-label={t('workTable.howWorkHeld')} sx={FIGURES}>
      <thead>
        <tr>
          <th scope="col">{t('workTable.work')}</th>
          <th scope="col">{t('workTable.done')}</th>
          <th scope="col">{t('workTable.seenAgain')}</th>
          <th scope="col">{t('workTable.cameBack')}</th>
          <th scope="col">
            {t('workTable.holdsAt', {
              withinKm: showFar(withinKm, units.distance),
              distance: units.distance,
            })}
          </th>
        </tr>
      </thead>
      <tbody>
        {works.map(({ work, done, seenAgain, cameBack, held, isTooFew }) => (
          <tr key={work}>
            <th scope="row">{WORK_TITLES[work]}</th>
            <td>{done}</td>
            <td>{seenAgain}</td>
            <td>{cameBack}</td>
            <Box component="td" sx={{ whiteSpace: 'nowrap' }}>
              {isTooFew || !held ? (
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  {t('workTable.tooFewToTell')}
                </Box>
              ) : (
                <>
                  <strong>{percent(held.part)}</strong>{' '}
                  <Box component="span" sx={{ color: 'text.secondary' }}>
                    {t('workTable.to', {
                      low: hundreds(held.low),
                      high: hundreds(held.high),
                    })}
                  </Box>
                </>
              )}
            </Box>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
