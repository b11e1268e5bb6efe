import { angleRows, estimateRows, readingRows } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Papa from 'papaparse';
import { saveFile } from '../../shared/saveFile.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/handOver.ts';

/** The technician's sheet, and everything known of the visit as open files. */
export function VisitFiles() {
  const { detail, draft, preferences } = useVisit();
  const { id, number } = detail.visit;
  const tables = [
    { title: t('visitFiles.readings'), name: 'readings', rows: readingRows(draft) },
    { title: t('visitFiles.angles'), name: 'angles', rows: angleRows(draft) },
    { title: t('visitFiles.estimate'), name: 'estimate', rows: estimateRows(draft) },
  ];
  return (
    <Box component="section" aria-labelledby="files-title" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h2" component="h3" id="files-title">
        {t('visitFiles.forTheBayAnd')}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {(['en', 'es'] as const).map((language) => (
          <Button
            key={language}
            href={`/api/visits/${id}/sheet?kind=technician&language=${language}&paper=${preferences.paper}`}
            target="_blank"
            rel="noreferrer"
          >
            {language === 'en'
              ? t('visitFiles.techniciansSheetPdf')
              : t('visitFiles.hojaDelTécnicoPdf')}
          </Button>
        ))}
        <Button href={`/api/visits/${id}/case`} download>
          {t('visitFiles.caseFile')}
        </Button>
        {tables.map(({ title, name, rows }) => (
          <Button
            key={name}
            // A heading alone says nothing.
            disabled={rows.length < 2}
            onClick={() => saveFile(`visit-${number}-${name}.csv`, Papa.unparse(rows), 'text/csv')}
          >
            {t('visitFiles.csv', { title })}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
