import type { Adjuster, CalculatorOutput, ShopSettings } from '@keen/contract';
import { shimPack } from '@keen/core';
import type { PlanStep } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { useSaveSettingsMutation } from '../../api/shopApi.ts';
import { joined } from '../../shared/joined.ts';
import { useVisit } from '../../shared/visitContext.ts';
import type { BenchTool } from '../../tools/tool.ts';
import { ToolDialog } from '../../tools/ToolDialog.tsx';
import { resultOf } from '../../tools/toolInput.ts';
import type { Worked } from '../../tools/toolInput.ts';
import { startFor } from './adjusters.ts';
import { saveCarTexts, savedCarTexts } from './carTexts.ts';
import { ThreadLeft } from './ThreadLeft.tsx';
import { t } from '../../words/setRight.ts';
import { whereWords } from '../../words/pageTexts.ts';

interface AdjusterDialogProps {
  step: PlanStep;
  plan: readonly PlanStep[];
  tool: BenchTool;
  adjuster: Adjuster;
  onClose: () => void;
}

/** What the hand needs beside the main figure. */
const SAID_WITH_IT = [t('adjusterDialog.fromTheWheel'), t('adjusterDialog.remainingError')];

/** The arithmetic of an adjuster, with the car's and the shop's figures where they are known. */
export function AdjusterDialog({ step, plan, tool, adjuster, onClose }: AdjusterDialogProps) {
  const { draft, detail, session, enter } = useVisit();
  const { settings } = session.shop;
  const [saveSettings] = useSaveSettingsMutation();
  const car = detail.visit.vehicle.id;

  function finish(worked: Worked): void {
    if (worked.ok && tool.name === 'eccentric') {
      enter(`visit.setRight.reach.${step.key}`, resultOf('eccentric', worked).output.range);
    }
    if (worked.ok && tool.name === 'rearShim') {
      const { stock } = resultOf('rearShim', worked).input;
      // What was typed as stock is the shop's stock from now on.
      if (stock.join() !== settings.hubShims.join()) {
        void saveSettings({ hubShims: stock });
      }
    }
    onClose();
  }

  return (
    <ToolDialog
      tool={tool}
      start={{
        ...savedCarTexts(car, tool.name),
        ...startFor(step, adjuster, { plan, settings, draft }),
      }}
      answer={(worked) =>
        worked.ok
          ? [
              ...tool
                .results(worked.output, worked.input as never)
                .filter(({ isMain, label }) => isMain || SAID_WITH_IT.includes(label))
                .map(({ label, value }) => `${label}: ${value}`),
              ...partWords(tool, worked, settings),
            ].join('; ')
          : ''
      }
      after={(worked) =>
        tool.name === 'tieRod' && (
          <ThreadLeft
            lengthChange={worked.ok ? resultOf('tieRod', worked).output.lengthChange : null}
            adjuster={adjuster === 'turnbuckle' ? 'turnbuckle' : 'single'}
          />
        )
      }
      onTexts={(texts) => saveCarTexts(car, tool.name, texts)}
      actions={(worked) => (
        <>
          {worked.ok && tool.name === 'wishboneShims' && (
            <StockWords
              thickness={resultOf('wishboneShims', worked).output}
              stock={settings.armShims}
            />
          )}
          {worked.ok && tool.name === 'rearShim' && (
            <Button
              component={Link}
              to={templatePath(worked, settings, detail.visit.vehicle.plate)}
              target="_blank"
            >
              {t('adjusterDialog.templateToPrint')}
            </Button>
          )}
          <Button variant="contained" onClick={() => finish(worked)}>
            {t('adjusterDialog.backToThePlan')}
          </Button>
        </>
      )}
      onClose={onClose}
    >
      {step.where && <Box sx={{ fontWeight: 650 }}>{whereWords(step.where)}</Box>}
    </ToolDialog>
  );
}

/** The stock's row of the shim that was chosen. */
function rowOf(worked: Worked, { hubShimParts }: ShopSettings) {
  const taper = worked.ok ? resultOf('rearShim', worked).output.angle : null;
  return hubShimParts.find((row) => row.taper === taper) ?? null;
}

function partWords(tool: BenchTool, worked: Worked, settings: ShopSettings): string[] {
  const row = tool.name === 'rearShim' ? rowOf(worked, settings) : null;
  if (!row) return [];
  return [
    row.template
      ? t('adjusterDialog.partTemplate', { part: row.part, template: row.template })
      : t('adjusterDialog.part', { part: row.part }),
  ];
}

function templatePath(worked: Worked, settings: ShopSettings, plate: string): string {
  if (!worked.ok) return '';
  const row = rowOf(worked, settings);
  const {
    input: { side },
    output: { angle, clock },
  } = resultOf('rearShim', worked);
  const query = new URLSearchParams({ side, taper: String(angle), clock: clock.toFixed(1), plate });
  if (row) query.set('part', [row.part, row.template].filter(Boolean).join(' '));
  return `/bench/shim-template?${query.toString()}`;
}

/** The nearest stack of shims that is in stock, for each bolt. */
function StockWords({
  thickness,
  stock,
}: {
  thickness: CalculatorOutput<'wishboneShims'>;
  stock: readonly number[];
}) {
  if (stock.length === 0) {
    return (
      <Box sx={{ mr: 'auto', color: 'text.secondary', fontSize: '0.85rem' }}>
        {t('adjusterDialog.noArmShimsAre')}
      </Box>
    );
  }
  const words = (['front', 'rear'] as const).map((bolt) => {
    const wanted = thickness[bolt];
    const { shims, total } = shimPack(Math.abs(wanted), stock);
    const stack = shims.join(' + ');
    const what =
      shims.length === 0
        ? t('adjusterDialog.none')
        : t(wanted < 0 ? 'adjusterDialog.takeOutMm' : 'adjusterDialog.addMm', { stack });
    const isNear = Math.abs(total - Math.abs(wanted)) > 0.05;
    return joined(
      t(bolt === 'front' ? 'adjusterDialog.frontBolt' : 'adjusterDialog.rearBolt', { what }),
      isNear && t('adjusterDialog.nearestTo', { mm: Math.abs(wanted).toFixed(2) }),
    );
  });
  return (
    <Box sx={{ mr: 'auto', fontWeight: 650 }}>
      {t('adjusterDialog.fromStock', { words: words.join('; ') })}
    </Box>
  );
}
