import type { NextCheck } from '@keen/contract';
import { formatMoney, wheelsAt } from '@keen/core';
import type { CheckWorth, Slot } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/explain.ts';
import { term } from '../../words/terms.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

/** A check that would tell less than this is not worth asking for, bits. */
const ASK_FROM_BITS = 0.04;
/** Nor one that changes the advice less often than this, unless it tells a good deal of the cause, bits. */
const ASK_FROM_CHANCE = 0.03;
const ASK_ANYWAY_FROM_BITS = 0.2;
const MOST_OFFERED = 4;
/** What a check is worth is told from this sum on, minor units: below it would be shown as none. */
const TOLD_FROM_MINOR = 50;

interface Answerable {
  question: string;
  answers: readonly {
    label: string;
    enter: readonly (readonly [path: string, value: unknown])[];
  }[];
  /** What can hurt, said before it is done. */
  caution?: string;
  /** Where it is answered, when buttons cannot. */
  goTo?: { step: string; label: string };
}

/** The most useful next check, with its answers as buttons; answering updates at once. */
export function NextCheckBar({
  checks,
  worths,
  readFirst,
  onDecide,
}: {
  /** A rib that is to be read before anything else, since the answer depends on it. */
  readFirst: Slot | null;
  checks: readonly NextCheck[];
  /** What each is worth in money; null while that is worked out. */
  worths: readonly CheckWorth[] | null;
  onDecide: () => void;
}) {
  const { enter, goTo, undo, setActiveSlot } = useVisit();
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [picked, setPicked] = useState<string | null>(null);
  const worthOf = ({ check, where }: NextCheck) =>
    worths?.find((one) => one.check === check && one.where === where);
  const worthIt = checks
    .filter(
      (one) =>
        one.gain >= ASK_FROM_BITS &&
        answerable(one) &&
        !skipped.includes(keyOf(one)) &&
        worths !== null &&
        (one.gain >= ASK_ANYWAY_FROM_BITS || (worthOf(one)?.changes ?? 0) >= ASK_FROM_CHANCE),
    )
    .slice(0, MOST_OFFERED);
  const isReadFirst = readFirst !== null && picked === null;
  const next = isReadFirst
    ? undefined
    : (worthIt.find((check) => keyOf(check) === picked) ?? worthIt[0]);
  const others = worthIt.filter((check) => check !== next);
  const measuring = checks.find(({ check }) => check === 'measureAngles');
  const asked = next && answerable(next);
  return (
    <Box sx={{ borderTop: '2px solid var(--ink)', pt: 1.5 }}>
      {isReadFirst ? (
        <Typography sx={{ mb: 1 }}>
          <strong>
            {t('nextCheckBar.readFirst', {
              place: `${whereWords(readFirst.wheel)} ${term(`rib.${readFirst.rib}`)}`,
            })}
          </strong>
        </Typography>
      ) : next && asked ? (
        <Typography sx={{ mb: 1 }}>
          <strong>{t('nextCheckBar.mostUsefulNextCheck', { question: asked.question })}</strong>{' '}
          <CheckValue worth={worthOf(next)} />
        </Typography>
      ) : (
        <Typography sx={{ mb: 1 }} role="status">
          <strong>
            {worths ? t('nextCheckBar.nothingLeftToFeel') : t('nextCheckBar.workingOutWhatTo')}
          </strong>
        </Typography>
      )}
      {measuring && isWorthMeasuring(worthOf(measuring)) && (
        <Typography color="textSecondary" sx={{ mb: 1 }}>
          {t(
            measuring.where === 'rear'
              ? 'nextCheckBar.measuringRear'
              : 'nextCheckBar.measuringFront',
          )}{' '}
          <CheckValue worth={worthOf(measuring)} isRest />
        </Typography>
      )}
      {asked?.caution && (
        <Box sx={{ mb: 1 }}>
          <Notice kind="caution">{asked.caution}</Notice>
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        {isReadFirst && (
          <Button
            onClick={() => {
              setActiveSlot(readFirst);
              goTo('read');
            }}
          >
            {t('nextCheckBar.readIt')}
          </Button>
        )}
        {asked?.answers.map(({ label, enter: entries }) => (
          <Button
            key={label}
            onClick={() => entries.forEach(([path, value]) => enter(path, value))}
          >
            {label}
          </Button>
        ))}
        {asked?.goTo && (
          <Button onClick={() => goTo(asked.goTo?.step ?? 'read')}>{asked.goTo.label}</Button>
        )}
        {next && (
          <Button variant="text" onClick={() => setSkipped([...skipped, keyOf(next)])}>
            {t('nextCheckBar.skip')}
          </Button>
        )}
        {undo && (
          <Button variant="text" onClick={undo}>
            {t('nextCheckBar.undo')}
          </Button>
        )}
        <Button variant="contained" onClick={onDecide} sx={{ ml: 'auto' }}>
          {t('nextCheckBar.decide')}
        </Button>
      </Box>
      {others.length > 0 && (
        <Box
          component="ul"
          aria-label={t('nextCheckBar.otherChecks')}
          sx={{ m: 0, mt: 1, p: 0, listStyle: 'none' }}
        >
          {others.map((check) => (
            <Box component="li" key={keyOf(check)} sx={{ display: 'flex', alignItems: 'center' }}>
              <Button
                variant="text"
                onClick={() => setPicked(keyOf(check))}
                sx={{ minHeight: 36, px: 0, textAlign: 'left', fontWeight: 400 }}
              >
                {t('nextCheckBar.or', { question: answerable(check)?.question ?? '' })}
              </Button>
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

/** How often a check changes the advice, and what that is worth to this car. */
function CheckValue({
  worth,
  isRest = false,
}: {
  worth: CheckWorth | undefined;
  /** It goes on with a sentence that has begun. */
  isRest?: boolean;
}) {
  const { currency } = useVisit().session.shop.settings.prices;
  if (!worth) return null;
  if (worth.changes < ASK_FROM_CHANCE) {
    return (
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {t('nextCheckBar.tellsMoreOfThe')}
      </Box>
    );
  }
  const changes = oneTimeIn(worth.changes);
  if (worth.minor < TOLD_FROM_MINOR) {
    return (
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {t('nextCheckBar.changesTheAdviceOnly', { changes })}
      </Box>
    );
  }
  return (
    <Box component="span" sx={{ color: 'text.secondary' }}>
      {t(isRest ? 'nextCheckBar.changesTheAdviceRest' : 'nextCheckBar.changesTheAdvice', {
        changes,
        minor: formatMoney(worth.minor, currency, pageLocale, true),
      })}
    </Box>
  );
}

/** Whether measuring the angles is worth a line beside the checks that only take a hand. */
function isWorthMeasuring(worth: CheckWorth | undefined): boolean {
  return worth !== undefined && worth.changes >= ASK_FROM_CHANCE && worth.minor >= TOLD_FROM_MINOR;
}

/** A chance as people say it. */
function oneTimeIn(chance: number): string {
  if (chance >= 0.85) return t('nextCheckBar.nearlyAlways');
  if (chance >= 0.6) return t('nextCheckBar.twoTimesInThree');
  const count = Math.round(1 / chance);
  return t(`nextCheckBar.oneTimeIn${wholeNear(count)}`);
}

const WHOLES = [2, 3, 4, 5, 6, 7, 8, 9, 10, 20] as const;

/** Beyond ten, people say ten or twenty. */
function wholeNear(count: number): (typeof WHOLES)[number] {
  return WHOLES.find((whole) => whole === count) ?? (count < 15 ? 10 : 20);
}

function keyOf({ check, where }: NextCheck): string {
  return `${check}.${where}`;
}

/** Puts a check as a question with its answers; null for those done in a later step. */
function answerable({ check, where }: NextCheck): Answerable | null {
  const place = whereWords(where);
  switch (check) {
    case 'feelFeather':
      return {
        question: t('nextCheckBar.strokeTheTireAcross', { place }),
        answers: [
          {
            label: t('nextCheckBar.smooth'),
            enter: [[`tires.${where}.feather`, 'none']],
          },
          {
            label: t('nextCheckBar.catchesOut'),
            enter: [[`tires.${where}.feather`, 'catchesOutward']],
          },
          {
            label: t('nextCheckBar.catchesIn'),
            enter: [[`tires.${where}.feather`, 'catchesInward']],
          },
        ],
      };
    case 'feelWaves':
      return {
        question: t('nextCheckBar.feelTheTireFor', { place }),
        answers: [
          {
            label: t('nextCheckBar.none'),
            enter: [[`tires.${where}.cupping`, 'none']],
          },
          {
            label: t('nextCheckBar.some'),
            enter: [[`tires.${where}.cupping`, 'some']],
          },
          {
            label: t('nextCheckBar.heavy'),
            enter: [[`tires.${where}.cupping`, 'heavy']],
          },
        ],
      };
    case 'checkPlay': {
      const wheels = wheelsAt(where);
      const [first, ...others] = wheels;
      const none = others.map((wheel) => [`play.${wheel}`, 'none'] as const);
      // Where play was found is entered in Inspect; here the worst of the axle stands for it.
      return {
        question: t('nextCheckBar.shakeBothWheelsFor', { where }),
        caution: t('nextCheckBar.liftAtTheMakers'),
        answers: [
          {
            label: t('nextCheckBar.noPlay'),
            enter: wheels.map((wheel) => [`play.${wheel}`, 'none'] as const),
          },
          {
            label: t('nextCheckBar.some'),
            enter: [[`play.${first}`, 'some'], ...none],
          },
          {
            label: t('nextCheckBar.tooMuch'),
            enter: [[`play.${first}`, 'excessive'], ...none],
          },
        ],
      };
    }
    case 'checkPressure':
      return {
        question: t('nextCheckBar.checkThePressureOf', { place }),
        answers: [],
        goTo: { step: 'arrive', label: t('nextCheckBar.enterThePressure') },
      };
    case 'readRib':
      return {
        question: t('nextCheckBar.readTheMissingRibs', { place }),
        answers: [],
        goTo: { step: 'read', label: t('nextCheckBar.readThem') },
      };
    default:
      return null;
  }
}
