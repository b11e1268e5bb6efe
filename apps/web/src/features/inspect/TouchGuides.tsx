import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { Folded } from '../../shared/Folded.tsx';
import { t } from '../../words/inspect.ts';

const WIDTH = 210;
const HEIGHT = 84;

/** How to feel what the keys ask for, each with a drawing. */
export function TouchGuides() {
  return (
    <Folded title={t('touchGuides.howToFeelThe')}>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: 'repeat(auto-fit, minmax(200px, 1fr))',
        }}
      >
        <Guide title={t('touchGuides.waves')} text={t('touchGuides.theFlatHandAlong')}>
          <path
            d={`M0 ${HEIGHT}V44C18 30 32 30 50 46S84 58 102 42S136 28 154 44S190 58 ${WIDTH} 42V${HEIGHT}Z`}
            fill="var(--rubber)"
          />
          <Hand from={20} to={180} />
        </Guide>
        <Guide title={t('touchGuides.heelAndToe')} text={t('touchGuides.alongTheTreadBlock')}>
          {[0, 1, 2, 3].map((block) => (
            <path
              key={block}
              d={`M${6 + block * 52} ${HEIGHT}V38L${46 + block * 52} 54V${HEIGHT}Z`}
              fill="var(--rubber)"
            />
          ))}
          <Hand from={180} to={20} />
        </Guide>
        <Guide title={t('touchGuides.flatSpot')} text={t('touchGuides.turnTheWheelSlowly')}>
          <path
            d={`M0 ${HEIGHT}V70Q40 50 74 43L136 43Q170 50 ${WIDTH} 70V${HEIGHT}Z`}
            fill="var(--rubber)"
          />
          <path
            d="M74 43Q105 32 136 43"
            fill="none"
            stroke="var(--marker)"
            strokeWidth={2}
            strokeDasharray="4 3"
          />
        </Guide>
        <Guide title={t('touchGuides.play')} text={t('touchGuides.wheelOffTheGround')}>
          <rect x={84} y={4} width={42} height={HEIGHT - 4} rx={9} fill="var(--rubber)" />
          <path d={`M20 ${HEIGHT / 2}H84`} stroke="var(--ink)" strokeWidth={3} />
          <path
            d="M138 14h40m-7 -5l7 5l-7 5M178 74h-40m7 -5l-7 5l7 5"
            fill="none"
            stroke="var(--marker)"
            strokeWidth={2}
          />
        </Guide>
      </Box>
    </Folded>
  );
}

function Guide({ title, text, children }: { title: string; text: string; children: ReactNode }) {
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT + 4}`}
        width="100%"
        aria-hidden
        style={{ maxWidth: 260 }}
      >
        {children}
      </svg>
      <Box component="figcaption">
        <Typography variant="h3" component="div">
          {title}
        </Typography>
        <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>{text}</Box>
      </Box>
    </Box>
  );
}

/** The way the hand goes. */
function Hand({ from, to }: { from: number; to: number }) {
  const back = to > from ? -9 : 9;
  return (
    <path
      d={`M${from} 18H${to}m${back} -6l${-back} 6l${back} 6`}
      fill="none"
      stroke="var(--marker)"
      strokeWidth={2}
    />
  );
}
