import type { Comebacks, Units } from '@keen/contract';
import Box from '@mui/material/Box';
import { showFar } from '../../shared/format.ts';
import { percent } from './bandWords.ts';
import { WORK_TITLES } from './comebackWords.ts';
import { FIGURES } from './figures.ts';

/** Each kind of work: how often it was done, on how many cars it was looked at again, and what came back. */
export function WorkTable({ data, units }: { data: Comebacks; units: Units }) {
  const { works, withinKm } = data;
  return (
    <Box component="table" aria-label="How work held" sx={FIGURES}>
      <thead>
        <tr>
          <th scope="col">Work</th>
          <th scope="col">Done</th>
          <th scope="col">Seen again</th>
          <th scope="col">Came back</th>
          <th scope="col">
            Holds at {showFar(withinKm, units.distance)} {units.distance}
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
                  too few to tell
                </Box>
              ) : (
                <>
                  <strong>{percent(held.part)}</strong>
                  <Box component="span" sx={{ color: 'text.secondary' }}>
                    {' '}
                    ({percent(held.low).replace(' %', '')} to {percent(held.high).replace(' %', '')}
                    )
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
