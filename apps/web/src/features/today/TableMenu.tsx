import type { DepthUnit, Visit } from '@keen/contract';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { lazy, Suspense, useState } from 'react';
import { saveFile } from '../../shared/saveFile.ts';
import { t } from '../../words/today.ts';

const ImportReadings = lazy(async () => ({
  default: (await import('./ImportReadings.tsx')).ImportReadings,
}));

async function saveReadings(visits: readonly Visit[], unit: DepthUnit): Promise<void> {
  const { readingsAsCsv } = await import('./readingFiles.ts');
  saveFile('tread-readings.csv', readingsAsCsv(visits, unit), 'text/csv');
}

/** Readings of many cars, in and out as a table. */
export function TableMenu({ visits, unit }: { visits: readonly Visit[]; unit: DepthUnit }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [isImporting, setImporting] = useState(false);
  const close = () => setAnchor(null);
  return (
    <>
      <Button
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {t('tableMenu.tables')}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        <MenuItem
          onClick={() => {
            close();
            setImporting(true);
          }}
        >
          {t('tableMenu.readingsFromATable')}
        </MenuItem>
        <MenuItem
          disabled={visits.length === 0}
          onClick={() => {
            close();
            void saveReadings(visits, unit);
          }}
        >
          {t('tableMenu.saveTheseReadingsAs')}
        </MenuItem>
      </Menu>
      {isImporting && (
        <Suspense fallback={null}>
          <ImportReadings unit={unit} onClose={() => setImporting(false)} />
        </Suspense>
      )}
    </>
  );
}
