import { papers } from '../../words/pageTexts.ts';
import type { Action, EstimateLine, PriceList, Wheel, WorkEstimate } from '@keen/contract';
import {
  applyPackage,
  changeLines,
  estimateLines,
  formatMoney,
  packageFits,
  sumEstimate,
} from '@keen/core';
import type { CostComparison } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { newId } from '../../shared/newId.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { Alternatives } from './Alternatives.tsx';
import { EstimateLineRow } from './EstimateLineRow.tsx';
import { SignDialog } from './SignDialog.tsx';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/decide.ts';

interface EstimateProps {
  weighing: CostComparison;
  /** What the estimate is made of when it is made again. */
  course: Action;
  replace: readonly Wheel[];
}

/** What it comes to, line by line: accepted, declined or later, and signed. */
export function Estimate({ weighing, course, replace }: EstimateProps) {
  const { draft, enter, session } = useVisit();
  const { prices } = session.shop.settings;
  const [isSigning, setSigning] = useState(false);
  const estimate = draft.visit?.estimate;
  const keep = (next: WorkEstimate) => enter('visit.estimate', next);
  const linesFor = (wanted: Action, sensors = 0) => {
    const { dampersFirst } = weighing;
    const extras = { arms: weighing.arms.length, sensors, dampersFirst };
    return estimateLines(wanted, replace, extras, prices, papers.prices, newId);
  };

  if (!estimate) {
    return (
      <Section>
        <Typography color="textSecondary">{t('estimate.fromTheShopsPrice')}</Typography>
        <Box>
          <Button onClick={() => keep(newEstimate(prices, linesFor(course)))}>
            {t('estimate.makeTheEstimate')}
          </Button>
        </Box>
        <Alternatives
          weighing={weighing}
          course={course}
          fitsTires={replace.length > 0}
          linesFor={linesFor}
          onTake={(lines) => keep(newEstimate(prices, lines))}
        />
      </Section>
    );
  }

  const setLines = (lines: EstimateLine[]) => keep(changeLines(estimate, lines));
  const money = (minor: number) => formatMoney(minor, estimate.currency);
  const all = sumEstimate(estimate);
  const accepted = sumEstimate(estimate, ({ answer }) => answer === 'accepted');
  const isAnswered = estimate.lines.some(({ answer }) => answer !== undefined);
  return (
    <Section version={estimate.version}>
      {estimate.lines.length === 0 && (
        <Typography color="textSecondary">{t('estimate.noLineYetNothing')}</Typography>
      )}
      <Box
        component="ul"
        aria-label={t('estimate.linesOfTheEstimate')}
        sx={{ m: 0, p: 0, listStyle: 'none' }}
      >
        {estimate.lines.map((line) => (
          <EstimateLineRow
            key={line.id}
            line={line}
            currency={estimate.currency}
            onChange={(next) =>
              setLines(estimate.lines.map((one) => (one.id === line.id ? next : one)))
            }
            onRemove={() => setLines(estimate.lines.filter((one) => one.id !== line.id))}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          variant="text"
          sx={{ px: 0.5 }}
          onClick={() =>
            setLines([
              ...estimate.lines,
              { id: newId(), what: t('estimate.work'), quantity: 1, unitMinor: 0 },
            ])
          }
        >
          {t('estimate.oneMoreLine')}
        </Button>
        <Button variant="text" onClick={() => setLines(linesFor(course))}>
          {t('estimate.fromThePriceList')}
        </Button>
        {prices.labour.map(({ name, hourMinor }) => (
          <Button
            key={name}
            variant="text"
            onClick={() =>
              setLines([
                ...estimate.lines,
                { id: newId(), what: name, quantity: 1, unitMinor: hourMinor },
              ])
            }
          >
            + {name}
          </Button>
        ))}
      </Box>
      {prices.packages
        .filter((pack) => packageFits(estimate.lines, pack))
        .map((pack) => {
          const lines = applyPackage(estimate.lines, pack);
          return (
            <Box
              key={pack.name}
              sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}
            >
              <Button onClick={() => setLines(lines)}>
                {t('estimate.asAPackage', { name: pack.name })}
              </Button>
              <span>
                <Rich
                  text={t('estimate.saves', {
                    saved: money(all.total - sumEstimate({ ...estimate, lines }).total),
                  })}
                />
              </span>
            </Box>
          );
        })}
      <Alternatives
        weighing={weighing}
        course={course}
        fitsTires={replace.length > 0}
        linesFor={linesFor}
        onTake={setLines}
      />
      <Box
        sx={{
          borderTop: '2px solid var(--ink)',
          pt: 1,
          display: 'grid',
          gridTemplateColumns: '1fr auto',
          rowGap: 0.25,
          '& > :nth-of-type(even)': { textAlign: 'right', fontVariantNumeric: 'tabular-nums' },
        }}
      >
        <span>{t('estimate.withoutTax')}</span>
        <span>{money(all.net)}</span>
        <span>{t('estimate.tax', { taxPercent: estimate.taxPercent })}</span>
        <span>{money(all.tax)}</span>
        <strong>{t('estimate.inAll')}</strong>
        <strong className="condensed" style={{ fontSize: '1.5rem' }}>
          {money(all.total)}
        </strong>
        {isAnswered && (
          <>
            <span>{t('estimate.acceptedWithTax')}</span>
            <strong>{money(accepted.total)}</strong>
          </>
        )}
      </Box>
      {estimate.signed ? (
        <Typography role="status">
          {t('estimate.signedByAChange', {
            name: estimate.signed.name,
            at: dayjs(estimate.signed.at).format('D MMM YYYY, HH:mm'),
            version: estimate.version + 1,
          })}
        </Typography>
      ) : (
        <Box>
          <Button
            variant="contained"
            disabled={estimate.lines.length === 0}
            onClick={() => setSigning(true)}
          >
            {t('estimate.handToTheCustomer')}
          </Button>
        </Box>
      )}
      <SignDialog
        isOpen={isSigning}
        estimate={estimate}
        onClose={() => setSigning(false)}
        onSigned={(signed) => {
          keep({ ...signed });
          setSigning(false);
        }}
      />
    </Section>
  );
}

function newEstimate(prices: PriceList, lines: EstimateLine[]): WorkEstimate {
  const { currency, taxPercent, taxMode } = prices;
  return { version: 1, currency, taxPercent, taxMode, lines };
}

function Section({ version, children }: { version?: number; children: React.ReactNode }) {
  return (
    <Box
      component="section"
      aria-labelledby="estimate-title"
      sx={{ display: 'grid', gap: 1.5, borderTop: '1px solid var(--line)', pt: 2 }}
    >
      <Typography variant="h2" component="h3" id="estimate-title">
        {version !== undefined && version > 1
          ? t('estimate.estimateVersion', { version })
          : t('estimate.theEstimate')}
      </Typography>
      {children}
    </Box>
  );
}
