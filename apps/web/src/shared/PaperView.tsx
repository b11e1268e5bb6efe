import type {
  Paper,
  PaperBlock,
  PaperDrawing,
  PaperLine,
  PaperLines,
  PaperTable,
} from '@keen/contract';
import { RIBS } from '@keen/contract';
import { axleSection, axleSectionSvg, depthFromMm, WHEELS_OF_AXLE } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { Fragment } from 'react';

/** Narrower than the theme's first step up. */
const PHONE = '(max-width: 599.95px)';
/** Drawn smaller for a phone, so that its words stay readable. */
const DRAWING = { wide: { width: 500, height: 74 }, narrow: { width: 330, height: 74 } };
/** The page's own inks; presentation attributes take variables as style sheets do. */
const INK = {
  rubber: 'var(--rubber)',
  ink: 'var(--ink)',
  soft: 'var(--soft)',
  line: 'var(--line)',
  marker: 'var(--marker)',
};

/** Of the headline; what is under it stands one deeper. */
type HeadingLevel = 1 | 3;
interface Titled {
  level: HeadingLevel;
}

/** A paper as a page: the same words and drawing as in print. */
export function PaperView({ paper, level }: { paper: Paper; level: HeadingLevel }) {
  const { shop, car, logo, unsafe, headline, intro, drawing, blocks, footer } = paper;
  return (
    <Box component="article" lang={paper.language} sx={{ display: 'grid', gap: 2 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { sm: '1fr 1fr' },
          columnGap: 3,
          rowGap: 1,
          fontSize: '0.92rem',
        }}
      >
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start' }}>
          {logo && <img src={logo} alt="" style={{ maxWidth: 110, maxHeight: 48 }} />}
          <Party name={shop.name} lines={[shop.lines.join(SEPARATOR)]} />
        </Box>
        <Box sx={{ textAlign: { sm: 'right' } }}>
          <Party name={car.name} lines={car.lines} />
        </Box>
      </Box>
      {unsafe && (
        <Typography role="alert" sx={{ color: 'var(--marker)', fontSize: '1.1rem' }}>
          <strong>◆ {unsafe.strong}</strong> {unsafe.text}
        </Typography>
      )}
      <Box>
        <Typography variant="h1" component={`h${level}`}>
          {headline}
        </Typography>
        <Typography sx={{ mt: 0.5 }}>
          <LineWords {...intro} />
        </Typography>
      </Box>
      {drawing && <Drawing drawing={drawing} />}
      {blocks.map((block, i) => (
        <Block key={i} block={block} level={level} />
      ))}
      <Typography variant="body2" color="textSecondary">
        {footer}
      </Typography>
    </Box>
  );
}

/** Between the facts of a line. */
const SEPARATOR = ', ';

function Party({ name, lines }: { name: string; lines: readonly string[] }) {
  return (
    <Box>
      <Box sx={{ fontWeight: 650 }}>{name}</Box>
      {lines.map((text) => (
        <Box key={text} sx={{ color: 'text.secondary' }}>
          {text.split(SEPARATOR).map((fact, i, facts) => (
            <Fragment key={i}>
              {/* A line breaks between facts before it breaks within one. */}
              <Box component="span" sx={{ display: 'inline-block' }}>
                {i < facts.length - 1 ? `${fact},` : fact}
              </Box>{' '}
            </Fragment>
          ))}
        </Box>
      ))}
    </Box>
  );
}

function Drawing({ drawing }: { drawing: PaperDrawing }) {
  const { tires, legalMm, unit, wheels, ribs, decimal, legend } = drawing;
  const isNarrow = useMediaQuery(PHONE);
  const size = isNarrow ? DRAWING.narrow : DRAWING.wide;
  return (
    <Box sx={{ display: 'grid', gap: 1.5, '& svg': { width: '100%', height: 'auto' } }}>
      {(['front', 'rear'] as const).map((axle) => {
        const [left, right] = WHEELS_OF_AXLE[axle];
        const section = axleSection(axle, tires, { ...size, legalMm });
        const words = { titles: [wheels[left], wheels[right]] as const, ribs, decimal };
        const depths = [left, right].map((wheel) => {
          const shown = RIBS.map((rib) => {
            const mm = tires[wheel].depthMm[rib];
            return `${ribs[rib]} ${mm === null ? '–' : depthFromMm(mm, unit).toFixed(1).replace('.', decimal)}`;
          });
          return `${wheels[wheel]}: ${shown.join(', ')}`;
        });
        return (
          <Box
            key={axle}
            role="img"
            aria-label={depths.join('; ')}
            sx={{ '& text': { fontFamily: 'inherit' } }}
            // Our own drawing as text, its words escaped where it is made.
            dangerouslySetInnerHTML={{ __html: axleSectionSvg(section, tires, words, unit, INK) }}
          />
        );
      })}
      <Typography variant="body2" color="textSecondary">
        {legend}
      </Typography>
    </Box>
  );
}

function Block({ block, level }: { block: PaperBlock; level: HeadingLevel }) {
  switch (block.kind) {
    case 'lines':
      return <Lines {...block} level={level} />;
    case 'table':
      return <Table {...block} level={level} />;
    case 'pair':
      return (
        <Box
          sx={{ display: 'grid', gap: { xs: 2, sm: 4 }, gridTemplateColumns: { sm: '1fr 1fr' } }}
        >
          <Lines {...block.left} level={level} />
          <Lines {...block.right} level={level} />
        </Box>
      );
  }
}

function Lines({ title, lines, level }: PaperLines & Titled) {
  return (
    <Box>
      <BlockTitle title={title} level={level} />
      {lines.map((line, i) => (
        <Typography key={i} sx={{ mb: 0.5 }}>
          <LineWords {...line} />
        </Typography>
      ))}
    </Box>
  );
}

function BlockTitle({ title, level }: Titled & { title: string }) {
  if (title === '') return null;
  return (
    <Typography
      variant="h3"
      component={`h${level + 1}` as 'h2' | 'h4'}
      color="textSecondary"
      sx={{ mb: 0.5 }}
    >
      {title}
    </Typography>
  );
}

function LineWords({ strong, text, soft }: PaperLine) {
  return (
    <>
      {strong !== '' && <strong>{strong}</strong>} {text}
      {soft !== '' && (
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {' '}
          {soft}
        </Box>
      )}
    </>
  );
}

function Table({ title, columns, rows, note, level }: PaperTable & Titled) {
  const isHeaded = columns.some((column) => column.title !== '');
  return (
    <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="group" aria-label={title}>
      <BlockTitle title={title} level={level} />
      <Box
        component="table"
        sx={{
          width: '100%',
          borderCollapse: 'collapse',
          fontVariantNumeric: 'tabular-nums',
          '& td, & th': { borderBottom: '1px solid var(--hairline)', py: 0.5, pr: 1.5 },
          '& th': { color: 'text.secondary', fontWeight: 500, fontSize: '0.85rem' },
        }}
      >
        {isHeaded && (
          <thead>
            <tr>
              {columns.map((column, i) => (
                <th key={i} scope="col" style={{ textAlign: column.isNumber ? 'right' : 'left' }}>
                  {column.title}
                </th>
              ))}
            </tr>
          </thead>
        )}
        <tbody>
          {rows.map(({ cells, isStrong }, i) => (
            <tr key={i} style={{ fontWeight: isStrong ? 700 : undefined }}>
              {cells.map((cell, j) => (
                <td key={j} style={{ textAlign: columns[j]?.isNumber ? 'right' : 'left' }}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
      {note !== '' && (
        <Typography variant="body2" color="textSecondary" sx={{ mt: 0.5 }}>
          {note}
        </Typography>
      )}
    </Box>
  );
}
