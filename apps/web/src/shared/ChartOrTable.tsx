import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { t } from '../words/shared.ts';

interface ChartOrTableProps {
  heading: ReactNode;
  chart: ReactNode;
  table: ReactNode;
  /** Saves the table's figures as a file. */
  onSave: () => void;
}

/** A chart with its figures one press away, and their file beside them. */
export function ChartOrTable({ heading, chart, table, onSave }: ChartOrTableProps) {
  const [isTable, setTable] = useState(false);
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1 }}>{heading}</Box>
        {isTable && (
          <Button variant="text" onClick={onSave}>
            {t('chartOrTable.saveAsCsv')}
          </Button>
        )}
        <Button variant="text" onClick={() => setTable(!isTable)}>
          {isTable ? t('chartOrTable.asAChart') : t('chartOrTable.asATable')}
        </Button>
      </Box>
      {isTable ? table : chart}
    </>
  );
}
