import type { DepthUnit, VisitDraft } from '@keen/contract';
import { DEFAULT_LIMITS_MM, sectionTires } from '@keen/core';
import type { Answer, ExpectedDepths, Slot } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { Theme } from '@mui/material/styles';
import { memo, useDeferredValue, useMemo } from 'react';
import { AxleSectionView } from '../../drawing/AxleSectionView.tsx';
import { SidePane } from './SidePane.tsx';
import { t } from '../../words/visit.ts';

interface EvidenceColumnProps {
  draft: VisitDraft;
  answer: Answer | null;
  /** Depths of settings being tried, drawn instead of the answer's. */
  tried: ExpectedDepths | null;
  unit: DepthUnit;
  activeSlot: Slot | null;
  spokenOf: readonly Slot[];
  onPick: ((slot: Slot) => void) | undefined;
}

/**
 * The rubber, beside every question: both axles from behind. On small screens it folds into a strip
 * that stays at the top.
 */
export const EvidenceColumn = memo(function EvidenceColumn(props: EvidenceColumnProps) {
  const { draft, unit, activeSlot, spokenOf, onPick, tried } = props;
  const isNarrow = useMediaQuery<Theme>((theme) => theme.breakpoints.down('md'));
  // A digit typed is painted before a new answer is.
  const answer = useDeferredValue(props.answer);
  const expected = tried ?? answer?.expectedMm ?? null;
  const tires = useMemo(() => sectionTires(draft, expected), [draft, expected]);
  const legalMm = draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal;
  const shared = { tires, legalMm, unit, activeSlot, spokenOf, onPick };
  return (
    <SidePane label={t('evidenceColumn.tread')}>
      {isNarrow ? (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
          <AxleSectionView axle="front" compact {...shared} />
          <AxleSectionView axle="rear" compact {...shared} />
        </Box>
      ) : (
        <Box sx={{ display: 'grid', gap: 2.5 }}>
          <Typography variant="h3" component="h2" color="textSecondary">
            {t('evidenceColumn.seenFromBehind', {
              unit: unit === 'mm' ? 'mm' : t('evidenceColumn.ofAnInch'),
            })}
          </Typography>
          <AxleSectionView axle="front" {...shared} />
          <AxleSectionView axle="rear" {...shared} />
          {answer && (
            <Box
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 1,
                color: 'text.secondary',
                fontSize: '0.8rem',
              }}
            >
              <svg width={30} height={12} aria-hidden>
                <rect y={2} width={30} height={8} fill="var(--soft)" opacity={0.22} />
                <line x1={0} x2={30} y1={6} y2={6} stroke="var(--ink)" strokeWidth={1.6} />
              </svg>
              {tried
                ? t('evidenceColumn.whatTheSettingsTried')
                : t('evidenceColumn.whatTheNamedCauses')}
            </Box>
          )}
        </Box>
      )}
    </SidePane>
  );
});
