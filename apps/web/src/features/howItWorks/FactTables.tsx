import type { ConstantFact, Fact } from '@keen/core/engine';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { t } from '../../words/howItWorks.ts';
import { labTexts } from '../../words/core/lab.ts';

const CELL = { borderTop: '1px solid var(--hairline)', py: 0.6, pr: 2, verticalAlign: 'top' };

/** The constants with what set them. */
export function ConstantTable({ facts }: { facts: readonly ConstantFact[] }) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        sx={{ width: '100%', minWidth: 720, borderCollapse: 'collapse', '& td': CELL }}
      >
        <Box component="thead" sx={{ color: 'text.secondary', fontSize: '0.8rem' }}>
          <tr>
            {[
              '',
              t('factTables.whatItIs'),
              t('factTables.value'),
              t('factTables.mayBeOffBy'),
              t('factTables.setBy'),
            ].map((title) => (
              <Box
                component="th"
                scope="col"
                key={title}
                sx={{ textAlign: 'left', fontWeight: 500, pb: 0.5 }}
              >
                {title}
              </Box>
            ))}
          </tr>
        </Box>
        <tbody>
          {facts.map(({ name, value, spread }) => (
            <tr key={name}>
              <Box component="td" sx={{ fontWeight: 600, whiteSpace: 'nowrap' }}>
                {labTexts.constants[name].symbol}
              </Box>
              <td>{labTexts.constants[name].meaning}</td>
              <Box component="td" sx={{ whiteSpace: 'nowrap', fontWeight: 600 }}>
                {value}
              </Box>
              <td>{spread}</td>
              <Box component="td" sx={{ color: 'text.secondary' }}>
                {labTexts.constants[name].anchor}
              </Box>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

interface FactTableProps<Name extends string> {
  title: string;
  facts: readonly Fact<Name>[];
  /** What each fact is. */
  words: Readonly<Record<Name, string>>;
}

/** Plain facts with their figures. */
export function FactTable<Name extends string>({ title, facts, words }: FactTableProps<Name>) {
  return (
    <Box>
      <Typography variant="h3" component="h4" color="textSecondary" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      <Box component="table" sx={{ width: '100%', borderCollapse: 'collapse', '& td': CELL }}>
        <tbody>
          {facts.map(({ name, value }) => (
            <tr key={name}>
              <td>{words[name]}</td>
              <Box component="td" sx={{ fontWeight: 600, textAlign: 'right', pr: '0 !important' }}>
                {value}
              </Box>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
