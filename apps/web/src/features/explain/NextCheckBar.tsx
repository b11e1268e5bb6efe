import type { NextCheck, Wheel } from '@keen/contract';
import { formatMoney, WHEELS_OF_AXLE, whereWords } from '@keen/core';
import type { CheckWorth } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** A check that would tell less than this is not worth asking for, bits. */
const ASK_FROM_BITS = 0.04;
/** Nor one that changes the advice less often than this, unless it tells a good deal of the cause, bits. */
const ASK_FROM_CHANCE = 0.03;
const ASK_ANYWAY_FROM_BITS = 0.2;
const MOST_OFFERED = 4;

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
  onDecide,
}: {
  checks: readonly NextCheck[];
  /** What each is worth in money; null while that is worked out. */
  worths: readonly CheckWorth[] | null;
  onDecide: () => void;
}) {
  const { enter, goTo, undo } = useVisit();
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
  const next = worthIt.find((check) => keyOf(check) === picked) ?? worthIt[0];
  const others = worthIt.filter((check) => check !== next);
  const measuring = checks.find(({ check }) => check === 'measureAngles');
  const asked = next && answerable(next);
  return (
    <Box sx={{ borderTop: '2px solid var(--ink)', pt: 1.5 }}>
      {next && asked ? (
        <Typography sx={{ mb: 1 }}>
          <strong>Most useful next check: {asked.question}.</strong>{' '}
          <CheckValue worth={worthOf(next)} />
        </Typography>
      ) : (
        <Typography sx={{ mb: 1 }} role="status">
          <strong>
            {worths
              ? 'Nothing left to feel or look at would change the advice.'
              : 'Working out what to check next…'}
          </strong>
        </Typography>
      )}
      {measuring && worths && (worthOf(measuring)?.changes ?? 0) >= ASK_FROM_CHANCE && (
        <Typography color="textSecondary" sx={{ mb: 1 }}>
          Measuring the {measuring.where} angles <CheckValue worth={worthOf(measuring)} isRest />
        </Typography>
      )}
      {asked?.caution && (
        <Box sx={{ mb: 1 }}>
          <Notice kind="caution">{asked.caution}</Notice>
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
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
            Skip
          </Button>
        )}
        {undo && (
          <Button variant="text" onClick={undo}>
            Undo
          </Button>
        )}
        <Button variant="contained" onClick={onDecide} sx={{ ml: 'auto' }}>
          Decide ↵
        </Button>
      </Box>
      {others.length > 0 && (
        <Box component="ul" aria-label="Other checks" sx={{ m: 0, mt: 1, p: 0, listStyle: 'none' }}>
          {others.map((check) => (
            <Box component="li" key={keyOf(check)} sx={{ display: 'flex', alignItems: 'center' }}>
              <Button
                variant="text"
                onClick={() => setPicked(keyOf(check))}
                sx={{ minHeight: 36, px: 0, textAlign: 'left', fontWeight: 400 }}
              >
                or {answerable(check)?.question}
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
        Tells more of the cause; the advice would hardly change.
      </Box>
    );
  }
  const verb = isRest ? 'changes' : 'Changes';
  return (
    <Box component="span" sx={{ color: 'text.secondary' }}>
      {verb} the advice {oneTimeIn(worth.changes)}, worth about{' '}
      {formatMoney(worth.minor, currency, 'en', true)} to this car.
    </Box>
  );
}

/** A chance as people say it. */
function oneTimeIn(chance: number): string {
  if (chance >= 0.85) return 'nearly always';
  if (chance >= 0.6) return 'two times in three';
  const count = Math.round(1 / chance);
  return `one time in ${WHOLE_WORDS[count] ?? (count < 15 ? 'ten' : 'twenty')}`;
}

const WHOLE_WORDS: Record<number, string> = {
  2: 'two',
  3: 'three',
  4: 'four',
  5: 'five',
  6: 'six',
  7: 'seven',
  8: 'eight',
  9: 'nine',
  10: 'ten',
};

function keyOf({ check, where }: NextCheck): string {
  return `${check}.${where}`;
}

/** Puts a check as a question with its answers; null for those done in a later step. */
function answerable({ check, where }: NextCheck): Answerable | null {
  const place = whereWords(where);
  switch (check) {
    case 'feelFeather':
      return {
        question: `stroke the ${place} tire across the ribs`,
        answers: [
          { label: 'Smooth', enter: [[`tires.${where}.feather`, 'none']] },
          { label: 'Catches out', enter: [[`tires.${where}.feather`, 'catchesOutward']] },
          { label: 'Catches in', enter: [[`tires.${where}.feather`, 'catchesInward']] },
        ],
      };
    case 'feelWaves':
      return {
        question: `feel the ${place} tire for waves`,
        answers: [
          { label: 'None', enter: [[`tires.${where}.cupping`, 'none']] },
          { label: 'Some', enter: [[`tires.${where}.cupping`, 'some']] },
          { label: 'Heavy', enter: [[`tires.${where}.cupping`, 'heavy']] },
        ],
      };
    case 'checkPlay': {
      const wheels: readonly Wheel[] =
        where === 'front' || where === 'rear' ? WHEELS_OF_AXLE[where] : [where];
      const [first, ...others] = wheels;
      const none = others.map((wheel) => [`play.${wheel}`, 'none'] as const);
      // Where play was found is entered in Inspect; here the worst of the axle stands for it.
      return {
        question: `shake both ${where} wheels for play`,
        caution:
          'Lift at the maker’s points, on stands or a lift made for it, wheels chocked; never under a car on a jack alone.',
        answers: [
          { label: 'No play', enter: wheels.map((wheel) => [`play.${wheel}`, 'none'] as const) },
          { label: 'Some', enter: [[`play.${first}`, 'some'], ...none] },
          { label: 'Too much', enter: [[`play.${first}`, 'excessive'], ...none] },
        ],
      };
    }
    case 'checkPressure':
      return {
        question: `check the pressure of the ${place} tire, cold`,
        answers: [],
        goTo: { step: 'arrive', label: 'Enter the pressure' },
      };
    case 'readRib':
      return {
        question: `read the missing ribs of the ${place} tire`,
        answers: [],
        goTo: { step: 'read', label: 'Read them' },
      };
    default:
      return null;
  }
}
