import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { Notice } from '../../shared/Notice.tsx';
import { withUnit } from '../../tools/convertUnit.ts';
import { INCHES_TOO, takesInches, textsOf, workOut } from '../../tools/toolInput.ts';
import type { Texts } from '../../tools/toolInput.ts';
import type { BenchTool } from '../../tools/tool.ts';
import { ToolField } from '../../tools/ToolField.tsx';
import { t } from '../../words/bench.ts';

/** One calculator: its drawing and answer, its fields, and where the formula comes from. */
export function ToolView({ tool }: { tool: BenchTool }) {
  const example = useMemo(() => textsOf(tool.fields, tool.example), [tool]);
  const [texts, setTexts] = useState<Texts>(example);
  const worked = useMemo(() => workOut(tool, texts), [tool, texts]);
  const isExample = tool.fields.every(({ path }) => texts[path] === example[path]);
  const { Drawing } = tool;
  return (
    <Box
      component="main"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', lg: 'minmax(0, 1fr) 392px' },
        gridTemplateRows: { lg: 'auto 1fr' },
        gridTemplateAreas: { xs: '"head" "numbers" "rest"', lg: '"head numbers" "rest numbers"' },
        minHeight: 0,
        overflowY: { md: 'auto' },
      }}
    >
      <Box
        sx={{
          gridArea: 'head',
          px: { xs: 1.75, md: 3.5 },
          pt: { xs: 2, md: 2.5 },
          display: 'grid',
          gap: 2.25,
          alignContent: 'start',
        }}
      >
        <Box>
          <Typography variant="h1" component="h2">
            {tool.title}
          </Typography>
          <Typography color="textSecondary" sx={{ mt: 0.5 }}>
            {tool.question}
          </Typography>
        </Box>
        <Box aria-live="polite" sx={{ minHeight: 72 }}>
          {worked.ok ? (
            <Results lines={tool.results(worked.output, worked.input)} />
          ) : (
            <Typography color="textSecondary">{t('toolView.noAnswerYetFix')}</Typography>
          )}
        </Box>
      </Box>
      <Box
        sx={{
          gridArea: 'rest',
          px: { xs: 1.75, md: 3.5 },
          py: 2.25,
          display: 'grid',
          gap: 2.25,
          alignContent: 'start',
        }}
      >
        {worked.ok && <Drawing input={worked.input} output={worked.output} />}
        <Box
          sx={{
            borderTop: '1px solid var(--line)',
            pt: 1.5,
            display: 'grid',
            gap: 1,
            maxWidth: '72ch',
          }}
        >
          <Box
            className="condensed"
            sx={{ fontWeight: 600, fontSize: '1.1rem', whiteSpace: 'pre-line' }}
          >
            {tool.formula}
          </Box>
          <Typography variant="body2" color="textSecondary">
            {tool.source}
          </Typography>
          {tool.caution && <Notice kind="caution">{tool.caution}</Notice>}
        </Box>
      </Box>
      <Box
        component="section"
        aria-label={t('toolView.numbers')}
        sx={{
          gridArea: 'numbers',
          bgcolor: 'var(--sheet)',
          borderLeft: { lg: '1px solid var(--line)' },
          borderBlock: { xs: '1px solid var(--line)', lg: 0 },
          px: { xs: 1.75, md: 3 },
          py: 2.5,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', lg: '1fr' },
          gap: 2,
          alignContent: 'start',
        }}
      >
        <Box
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1.5,
            minHeight: 44,
            gridColumn: '1 / -1',
          }}
        >
          <Typography variant="body2" color="textSecondary">
            {isExample
              ? t('toolView.anExample', { exampleWords: tool.exampleWords })
              : t('toolView.yourNumbers')}
            {takesInches(tool) && ` ${INCHES_TOO}`}
          </Typography>
          {!isExample && (
            <Button
              sx={{ ml: 'auto', whiteSpace: 'nowrap', flexShrink: 0 }}
              onClick={() => setTexts(example)}
            >
              {t('toolView.backToTheExample')}
            </Button>
          )}
        </Box>
        {tool.fields.map((field) => (
          <ToolField
            key={field.path}
            field={field}
            text={texts[field.path] ?? ''}
            fault={worked.ok ? null : (worked.faults[field.path] ?? null)}
            onChange={(text) =>
              setTexts(
                field.path === 'unit'
                  ? withUnit(tool, texts, text)
                  : { ...texts, [field.path]: text },
              )
            }
          />
        ))}
      </Box>
    </Box>
  );
}

function Results({ lines }: { lines: ReturnType<BenchTool['results']> }) {
  return (
    <Box
      component="dl"
      sx={{ m: 0, display: 'flex', flexWrap: 'wrap', columnGap: 5, rowGap: 1.25 }}
    >
      {lines.map(({ label, value, isMain = false }) => (
        <Box key={label}>
          <Box component="dt" sx={{ color: 'text.secondary', fontSize: '0.82rem' }}>
            {label}
          </Box>
          <Box
            component="dd"
            className={isMain ? 'condensed' : ''}
            sx={{
              m: 0,
              fontSize: isMain ? '2.1rem' : '1.02rem',
              fontWeight: isMain ? 700 : 600,
              lineHeight: isMain ? 1.15 : 1.6,
            }}
          >
            {value}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
