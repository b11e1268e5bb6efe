import type { NextCheck, Wheel } from '@keen/contract';
import { WHEELS_OF_AXLE, whereWords } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** A check that would tell less than this is not worth asking for, bits. */
const ASK_FROM_BITS = 0.04;
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
  onDecide,
}: {
  checks: readonly NextCheck[];
  onDecide: () => void;
}) {
  const { enter, goTo, undo } = useVisit();
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [picked, setPicked] = useState<string | null>(null);
  const worthIt = checks
    .filter((one) => one.gain >= ASK_FROM_BITS && answerable(one) && !skipped.includes(keyOf(one)))
    .slice(0, MOST_OFFERED);
  const next = worthIt.find((check) => keyOf(check) === picked) ?? worthIt[0];
  const others = worthIt.filter((check) => check !== next);
  const measuring = checks.find(({ check }) => check === 'measureAngles');
  const asked = next && answerable(next);
  return (
    <Box sx={{ borderTop: '2px solid var(--ink)', pt: 1.5 }}>
      {next && asked ? (
        <Typography sx={{ mb: 1 }}>
          <strong>Most useful next check: {asked.question}</strong>
          {measuring && measuring.gain > next.gain && (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {' '}
              Measuring the {measuring.where} angles would tell more.
            </Box>
          )}
        </Typography>
      ) : (
        <Typography sx={{ mb: 1 }}>
          <strong>Nothing left to feel or look at would tell much more.</strong>
          {measuring && ` Measuring the ${measuring.where} angles would.`}
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
