import type { AngleKind, Axle, Method, Wheel } from '@keen/contract';
import {
  axleOf,
  parseMeasure,
  plainToe,
  readingInUse,
  readingPairs,
  readingsOf,
  staleAngles,
  TOE_UNIT_WORDS,
  toeToDegrees,
  WHEELS_OF_AXLE,
} from '@keen/core';
import type { ReadingPair } from '@keen/core';
import Box from '@mui/material/Box';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { showDegrees } from '../shared/format.ts';
import { useSavingText } from '../shared/useSavingText.ts';
import { useVisit } from '../shared/visitContext.ts';
import type { AtHand } from '../shared/visitContext.ts';
import { useToeScale } from './useAngleWords.ts';
import { useReadings } from './useReadings.ts';
import { t } from '../words/angles.ts';
import { measureTexts } from '../words/core/measure.ts';

const MOST_DEG = 30;
const MOST_READINGS = 12;
const SAVE_AFTER_MS = 350;

interface ReadingsFieldProps {
  /** A wheel, or an axle whose total is read. */
  where: Wheel | Axle;
  kind: AngleKind;
  method: Method;
  label: string;
  /** Which way it has to go while it is typed, for the drawing. */
  change?: number | null;
  /** Whether what other methods read is said under it. */
  hasOthers?: boolean;
}

/**
 * One angle by one method: one reading, or several with spaces between, of which the mean is taken. What
 * another method read stays beside it.
 */
export function ReadingsField(props: ReadingsFieldProps) {
  const { where, kind, method, label, change = null, hasOthers = true } = props;
  const { draft, setAtHand } = useVisit();
  const take = useReadings();
  const isTotal = where === 'front' || where === 'rear';
  const wheels: readonly Wheel[] = isTotal ? WHEELS_OF_AXLE[where] : [where];
  const axle = isTotal ? where : axleOf(where);
  const scaleOf = useToeScale();
  const scale = kind === 'toe' ? scaleOf(axle) : { unit: 'deg' as const, diameter: 0 };
  const [wheel] = wheels as readonly [Wheel];
  const inUse = readingInUse(draft, wheel, kind);
  const own =
    readingsOf(draft, wheel, kind).find((one) => one.method === method) ??
    (inUse?.method === method ? inUse : null);
  // A stale figure is not offered: the next reading may well come to the same.
  const isStale = staleAngles(draft)[wheel]?.[kind] !== undefined;
  const share = isTotal ? 2 : 1;
  const plain = (degrees: number) =>
    kind === 'toe' ? plainToe(degrees * share, scale, isTotal) : String(Number(degrees.toFixed(3)));
  const shown = own && !isStale ? (own.repeats ?? [own.value]).map(plain).join('  ') : '';
  const { text, onType, onFocus, onBlur } = useSavingText({ shown, save, pauseMs: SAVE_AFTER_MS });
  const typed = degreesIn(text);
  const fault = faultOf(typed);
  const mark: AtHand = { kind, where, change };

  function degreesIn(from: string): number[] {
    return partsOf(from, scale.unit === 'in').map((part) =>
      kind === 'toe' ? toeToDegrees(part, scale, isTotal) / share : part,
    );
  }

  function save(next: string): void {
    const degrees = degreesIn(next);
    if (faultOf(degrees) !== null || next.trim() === shown) return;
    const value = degrees.length === 0 ? null : meanOf(degrees);
    if (value === null && (!own || isStale)) return;
    take(wheels.map((one) => ({ wheel: one, kind, method, value, repeats: degrees })));
  }

  return (
    <Box>
      <TextField
        fullWidth
        label={label}
        value={text}
        error={fault !== null}
        helperText={
          fault ??
          (typed.length > 1
            ? t('readingsField.meanOfReadings', {
                degrees: showDegrees(meanOf(typed) * share, 2),
                length: typed.length,
              })
            : typed.length === 1 && scale.unit !== 'deg' && kind === 'toe'
              ? showDegrees(typed[0]! * share, 2)
              : null)
        }
        onFocus={() => {
          onFocus();
          setAtHand(mark);
        }}
        onChange={({ target }) => onType(target.value)}
        onBlur={() => {
          onBlur();
          setAtHand(null);
        }}
        slotProps={{
          inputLabel: { shrink: true },
          htmlInput: { inputMode: 'text', autoComplete: 'off' },
          input: {
            endAdornment: (
              <InputAdornment position="end">
                {kind === 'toe' ? TOE_UNIT_WORDS[scale.unit] : '°'}
              </InputAdornment>
            ),
          },
        }}
      />
      {hasOthers && <Others pairs={readingPairs(draft, wheel, kind)} share={share} />}
    </Box>
  );
}

/** What other methods read of the same angle, and whether they agree. */
function Others({ pairs, share }: { pairs: readonly ReadingPair[]; share: number }) {
  if (pairs.length === 0) return null;
  return pairs.map(({ used, other, agree, apart }) => (
    <Box key={other.method} sx={{ fontSize: '0.8rem', mt: 0.5, lineHeight: 1.3 }}>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {t('readingsField.isUsedRead', {
          title: measureTexts.methods[used.method].title,
          degrees: showDegrees(used.value * share, 2),
          title2: measureTexts.methods[other.method].title.toLowerCase(),
          degrees2: showDegrees(other.value * share, 2),
        })}
      </Box>
      {agree ? (
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {t('readingsField.theyAgree')}
        </Box>
      ) : (
        <strong>
          {t('readingsField.apartMoreThanBoth', { apart: (apart * share).toFixed(2) })}
        </strong>
      )}
    </Box>
  ));
}

/** Readings with spaces between; in inches a fraction belongs to the whole number before it. */
function partsOf(text: string, isInches: boolean): number[] {
  const plain = text.replace(/[−–]/g, '-').replace(/["″′°]|\b(?:in|mm|deg)\b/g, ' ');
  const parts = isInches
    ? plain.split(/;|\s{2,}/).flatMap((part) => (part.trim() === '' ? [] : [part]))
    : plain.split(/[\s;]+/);
  return parts
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => parseMeasure(part) ?? Number.NaN);
}

function faultOf(readings: readonly number[]): string | null {
  if (readings.some((reading) => !Number.isFinite(reading)))
    return t('readingsField.numbersSuchAs0');
  if (readings.some((reading) => Math.abs(reading) > MOST_DEG))
    return t('readingsField.atMost', { mostDeg: MOST_DEG });
  if (readings.length > MOST_READINGS)
    return t('readingsField.atMostReadings', { mostReadings: MOST_READINGS });
  return null;
}

function meanOf(readings: readonly number[]): number {
  const mean = readings.reduce((sum, reading) => sum + reading, 0) / readings.length;
  return Number(mean.toFixed(4));
}
