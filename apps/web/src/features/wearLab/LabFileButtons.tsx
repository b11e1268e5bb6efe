import type { Units } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { saveFile } from '../../shared/saveFile.ts';
import { labCaseText, labPicture, labTable } from './labFiles.ts';
import type { LabSetup } from './labSetup.ts';
import { labSections } from './labTires.ts';
import { inkOf, savePicture } from './savePicture.ts';
import type { Driven } from './useLab.ts';
import { t } from '../../words/wearLab.ts';

const INKS = ['rubber', 'ink', 'soft', 'line', 'marker', 'paper'] as const;

interface LabFileButtonsProps {
  setup: LabSetup;
  asIs: Driven;
  unit: Units['depth'];
  undo: (() => void) | null;
  redo: (() => void) | null;
}

/** Takes the car along: as a link, a case, a table, a picture. */
export function LabFileButtons({ setup, asIs, unit, undo, redo }: LabFileButtonsProps) {
  const [copied, setCopied] = useState<'yes' | 'no' | null>(null);
  useEffect(() => {
    if (copied === null) return;
    const timer = setTimeout(() => setCopied(null), 4000);
    return () => clearTimeout(timer);
  }, [copied]);
  const picture = () => {
    const ink = Object.fromEntries(INKS.map((token) => [token, inkOf(token)])) as Record<
      (typeof INKS)[number],
      string
    >;
    void savePicture('wear-lab.png', labPicture(labSections(asIs, setup.km, null), unit, ink));
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      <Button disabled={!undo} onClick={() => undo?.()}>
        {t('labFileButtons.undo')}
      </Button>
      <Button disabled={!redo} onClick={() => redo?.()}>
        {t('labFileButtons.redo')}
      </Button>
      <Button
        onClick={() => {
          // The clipboard is missing on a line without https.
          const write =
            navigator.clipboard?.writeText(location.href) ?? Promise.reject(new Error());
          write.then(
            () => setCopied('yes'),
            () => setCopied('no'),
          );
        }}
      >
        {t('labFileButtons.copyTheLink')}
      </Button>
      <Button
        onClick={() =>
          saveFile('wear-lab.keen.json', labCaseText(asIs, setup.km), 'application/json')
        }
      >
        {t('labFileButtons.saveAsCaseFile')}
      </Button>
      <Button onClick={() => saveFile('wear-lab.csv', labTable(asIs), 'text/csv')}>
        {t('labFileButtons.saveAsCsv')}
      </Button>
      <Button onClick={picture}>{t('labFileButtons.saveAsPicture')}</Button>
      <Box role="status" sx={{ color: 'text.secondary' }}>
        {copied === 'yes' && t('labFileButtons.theLinkIsCopied')}
        {copied === 'no' && t('labFileButtons.copyItFromThe')}
      </Box>
    </Box>
  );
}
