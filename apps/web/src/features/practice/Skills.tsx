import type { PracticeSkills } from '@keen/contract';
import { formatMoney } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { showPoints } from './showPoints.ts';
import { t } from '../../words/practice.ts';
import { practiceTexts } from '../../words/core/practice.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

interface SkillsProps {
  skills: PracticeSkills;
  currency: string;
}

/** How well each part of the job goes: causes by kind, depths, courses, drills. */
export function Skills({ skills, currency }: SkillsProps) {
  const { causes, depthErrorMm, lost, bestLost, drills } = skills;
  const money = (minor: number) => formatMoney(minor, currency, pageLocale, true);
  if (causes.length === 0 && drills.length === 0) return null;
  return (
    <Box sx={{ display: 'grid', gap: 1, my: 1 }}>
      {causes.length > 0 && (
        <Table
          label={t('skills.pointsByKindOf')}
          head={[t('skills.cause'), t('skills.points'), t('skills.best'), t('skills.carsWithIt')]}
        >
          {causes.map(({ skill, points, bestPoints, cars }) => (
            <tr key={skill}>
              <th scope="row">{practiceTexts.skills[skill]}</th>
              <td>{showPoints(points)}</td>
              <td>{showPoints(bestPoints)}</td>
              <td>{cars}</td>
            </tr>
          ))}
        </Table>
      )}
      {depthErrorMm !== null && (
        <Typography>
          {t('skills.theDepthsNotedWere', { depthErrorMm: depthErrorMm.toFixed(2) })}
        </Typography>
      )}
      {lost !== null && bestLost !== null && (
        <Typography>
          {t('skills.theCoursesChosenCost', { lost: money(lost), bestLost: money(bestLost) })}
        </Typography>
      )}
      {drills.length > 0 && (
        <Table
          label={t('skills.benchDrillByKind')}
          head={[t('skills.benchDrill'), t('skills.right'), t('skills.asked')]}
        >
          {drills.map(({ kind, right, asked }) => (
            <tr key={kind}>
              <th scope="row">{practiceTexts.drillKinds[kind]}</th>
              <td>{right}</td>
              <td>{asked}</td>
            </tr>
          ))}
        </Table>
      )}
    </Box>
  );
}

interface TableProps {
  label: string;
  head: readonly string[];
  children: React.ReactNode;
}

function Table({ label, head, children }: TableProps) {
  return (
    <Box
      component="table"
      aria-label={label}
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        '& th, & td': {
          borderTop: '1px solid var(--hairline)',
          py: 0.5,
          textAlign: 'right',
          fontWeight: 450,
          width: '5.2rem',
        },
        '& th:first-of-type': { textAlign: 'left', width: 'auto' },
        '& thead th': { color: 'text.secondary', border: 0 },
      }}
    >
      <thead>
        <tr>
          {head.map((title) => (
            <th key={title} scope="col">
              {title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </Box>
  );
}
