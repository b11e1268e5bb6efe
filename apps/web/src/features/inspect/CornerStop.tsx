import type { Play, Wheel } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { CornerView, cornerPoints, pointTitle } from '../../drawing/CornerView.tsx';
import type { CornerPoint } from '../../drawing/CornerView.tsx';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { Photos } from './Photos.tsx';
import { t } from '../../words/inspect.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { inspectTexts } from '../../words/core/inspect.ts';

const FINDINGS: readonly { value: Play; label: string; key: string }[] = [
  { value: 'none', label: t('cornerStop.none'), key: 'N' },
  { value: 'some', label: t('cornerStop.some'), key: 'S' },
  { value: 'excessive', label: t('cornerStop.tooMuch'), key: 'X' },
];

/** The joints and parts behind one wheel: each a mark on the drawing, answered one after the other. */
export function CornerStop({ wheel }: { wheel: Wheel }) {
  const { draft, enter } = useVisit();
  const [chosen, setChosen] = useState<CornerPoint | null>(null);
  const parts = draft.visit?.inspect?.parts?.[wheel] ?? {};
  const findings: Partial<Record<CornerPoint, Play>> = { ...parts };
  if (draft.play?.[wheel]) findings.shaken = draft.play[wheel];
  const points = cornerPoints(wheel);
  const isOpen = (point: CornerPoint) => (findings[point] ?? 'unknown') === 'unknown';
  const at = chosen ?? points.find(isOpen) ?? 'shaken';
  const found = findings[at];
  const isWorn = found === 'some' || found === 'excessive';

  function answer(finding: Play | null): void {
    enter(at === 'shaken' ? `play.${wheel}` : `visit.inspect.parts.${wheel}.${at}`, finding);
    // A worn one stays in view, with what it does and its picture.
    const next = points.slice(points.indexOf(at) + 1).find(isOpen);
    setChosen(finding === 'none' ? (next ?? at) : at);
  }

  function move(by: number): void {
    const to = points.indexOf(at) + by;
    setChosen(points[Math.min(points.length - 1, Math.max(0, to))] ?? null);
  }

  useHotkeys('right', () => move(1), { preventDefault: true });
  useHotkeys('left', () => move(-1), { preventDefault: true });
  useHotkeys(['n', 's', 'x'], (_event, { hotkey }) => {
    const pressed = FINDINGS.find(({ key }) => key.toLowerCase() === hotkey);
    if (pressed) answer(pressed.value);
  });

  const title = `${pointTitle(at)}, ${whereWords(wheel)}`;
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <CornerView wheel={wheel} findings={findings} at={at} onPick={setChosen} />
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <Choice
          label={title}
          options={FINDINGS}
          value={found === undefined || found === 'unknown' ? null : found}
          onChange={answer}
        />
        {isWorn && at !== 'shaken' && <Photos subject={`${at} ${wheel}`} label={pointTitle(at)} />}
      </Box>
      {at === 'shaken' && (
        <Typography color="textSecondary">{t('cornerStop.handsAtTheTop')}</Typography>
      )}
      {isWorn && at !== 'shaken' && <Typography>{sentence(inspectTexts.partsThen[at])}</Typography>}
      {at === 'shaken' && found === 'excessive' && (
        <Notice kind="caution">{t('cornerStop.aJointSoLoose')}</Notice>
      )}
    </Box>
  );
}

function sentence(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
