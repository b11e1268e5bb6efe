import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import {
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { showDegrees } from '../../shared/format.ts';
import { ChartOrTable } from '../../shared/ChartOrTable.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { spokenTrack, tracksAsCsv } from './angleTracks.ts';
import type { AngleTrack } from './angleTracks.ts';
import { t } from '../../words/garage.ts';

const HEIGHT = 110;
/** Room above and below what is drawn, degrees. */
const ROOM = 0.1;
const DOT = 4;

/** Each angle of a car over its visits: as it was found, as it was set, and its limits as a band. */
export function AngleYears({ tracks }: { tracks: readonly AngleTrack[] }) {
  return (
    <Box component="section" aria-labelledby="angle-years">
      <ChartOrTable
        heading={
          <Typography variant="h2" id="angle-years">
            {t('angleYears.anglesOverTheYears')}
          </Typography>
        }
        chart={
          <>
            <Box sx={{ color: 'text.secondary', fontSize: '0.85rem', mb: 1 }}>
              {t('angleYears.asFoundAsSet')}
            </Box>
            <Box
              sx={{
                display: 'grid',
                columnGap: 4,
                rowGap: 1.5,
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'repeat(2, minmax(0, 1fr))' },
              }}
            >
              {tracks.map((track) => (
                <TrackChart key={track.what} track={track} />
              ))}
            </Box>
          </>
        }
        table={<TrackTable tracks={tracks} />}
        onSave={() => saveFile('angles.csv', tracksAsCsv(tracks), 'text/csv')}
      />
    </Box>
  );
}

interface Mark {
  at: number;
  value: number;
  isSet: boolean;
}

function TrackChart({ track }: { track: AngleTrack }) {
  const { what, points, limits } = track;
  const marks = points.flatMap(({ at, found, set }): Mark[] => {
    const mark = (value: number, isSet: boolean) => ({ at: Date.parse(at), value, isSet });
    return set === null ? [mark(found, false)] : [mark(found, false), mark(set, true)];
  });
  const values = [...marks.map(({ value }) => value), ...limits];
  const [from, to] = [marks[0]!.at, marks.at(-1)!.at];
  const now = marks.at(-1)!.value;
  const isOut = now < limits[0] || now > limits[1];
  return (
    <Box>
      <Box sx={{ display: 'flex', fontSize: '0.9rem' }}>
        <Box sx={{ flex: 1 }}>{what}</Box>
        <Box sx={{ fontWeight: 650, color: isOut ? 'var(--marker)' : undefined }}>
          {isOut && '◆ '}
          {showDegrees(now, 2)}
        </Box>
      </Box>
      <Box
        role="img"
        aria-label={spokenTrack(track)}
        sx={{ height: HEIGHT, fontSize: '0.75rem', borderBottom: '1px solid var(--hairline)' }}
      >
        <ResponsiveContainer width="100%" height="100%">
          <LineChart
            accessibilityLayer={false}
            data={marks}
            margin={{ top: 6, right: 10, bottom: 0, left: 10 }}
          >
            <XAxis
              dataKey="at"
              type="number"
              domain={[from, to]}
              ticks={[from, to]}
              interval={0}
              tickFormatter={(at: number) => dayjs(at).format('MMM YYYY')}
              tick={EdgeTick}
              axisLine={false}
              tickLine={false}
              height={24}
            />
            <YAxis hide domain={[Math.min(...values) - ROOM, Math.max(...values) + ROOM]} />
            <ReferenceArea y1={limits[0]} y2={limits[1]} fill="var(--rubber)" fillOpacity={0.1} />
            <ReferenceLine y={0} stroke="var(--control)" strokeDasharray="2 3" />
            <Line
              dataKey="value"
              stroke="var(--rubber)"
              strokeWidth={1.4}
              isAnimationActive={false}
              dot={MarkDot}
            />
          </LineChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}

/** The first date starts at the left edge and the last ends at the right one. */
function EdgeTick({ x, y, payload, index }: EdgeTickProps) {
  return (
    <text
      x={x}
      y={Number(y) + 10}
      fill="var(--soft)"
      textAnchor={index === 0 ? 'start' : 'end'}
      dx={index === 0 ? -DOT : DOT}
    >
      {dayjs(payload.value).format('MMM YYYY')}
    </text>
  );
}

interface EdgeTickProps {
  x: number | string;
  y: number | string;
  index: number;
  payload: { value: number };
}

function MarkDot({ cx, cy, payload, index }: MarkDotProps) {
  return (
    <circle
      key={index}
      cx={cx}
      cy={cy}
      r={DOT}
      fill={payload.isSet ? 'var(--rubber)' : 'var(--paper)'}
      stroke="var(--rubber)"
      strokeWidth={1.4}
    />
  );
}

interface MarkDotProps {
  cx?: number;
  cy?: number;
  index?: number;
  payload: Mark;
}

function TrackTable({ tracks }: { tracks: readonly AngleTrack[] }) {
  return (
    <Box
      component="table"
      aria-label={t('angleYears.anglesOverTheYears')}
      sx={{
        borderCollapse: 'collapse',
        width: '100%',
        '& td, & th': {
          textAlign: 'right',
          py: 0.5,
          pl: 1.5,
          borderTop: '1px solid var(--hairline)',
          fontVariantNumeric: 'tabular-nums',
        },
        '& th:first-of-type': { textAlign: 'left', pl: 0, fontWeight: 400 },
      }}
    >
      <thead>
        <tr>
          <th scope="col">{t('angleYears.angle')}</th>
          <th scope="col">{t('angleYears.visit')}</th>
          <th scope="col">{t('angleYears.found')}</th>
          <th scope="col">{t('angleYears.setTo')}</th>
          <th scope="col">{t('angleYears.mayBe')}</th>
        </tr>
      </thead>
      <tbody>
        {tracks.flatMap(({ what, points, limits: [low, high] }) =>
          points.map(({ visitId, number, at, found, set }, i) => (
            <tr key={`${what} ${visitId}`}>
              <th scope="row">{i === 0 ? what : ''}</th>
              <td>{t('angleYears.visitAt', { at: dayjs(at).format('D MMM YYYY'), number })}</td>
              <td>{showDegrees(found, 2)}</td>
              <td>{set === null ? '' : showDegrees(set, 2)}</td>
              <td>
                {t('angleYears.to', { low: showDegrees(low, 2), high: showDegrees(high, 2) })}
              </td>
            </tr>
          )),
        )}
      </tbody>
    </Box>
  );
}
