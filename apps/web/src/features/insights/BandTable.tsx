import type { Reliability } from '@keen/core';
import Box from '@mui/material/Box';
import { percent } from './bandWords.ts';
import { FIGURES } from './figures.ts';

/** The bands as a table: what was said on average, and what came true. */
export function BandTable({ bands }: { bands: Reliability['bands'] }) {
  return (
    <Box component="table" aria-label="Chances said and found" sx={FIGURES}>
      <thead>
        <tr>
          <th scope="col">Chances</th>
          <th scope="col">How many</th>
          <th scope="col">Said on average</th>
          <th scope="col">Came true</th>
          <th scope="col">19 times in 20</th>
        </tr>
      </thead>
      <tbody>
        {bands.map(({ from, to, said, found }) => (
          <tr key={from}>
            <th scope="row">
              {percent(from)} to {percent(to)}
            </th>
            <td>{found.of}</td>
            <td>{percent(said)}</td>
            <td>{percent(found.part)}</td>
            <td>
              {percent(found.low)} to {percent(found.high)}
            </td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
