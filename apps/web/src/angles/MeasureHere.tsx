import type { AngleKind, Axle, Method, Wheel } from '@keen/contract';
import { METHOD_FACTS, sideOf } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { showDegrees } from '../shared/format.ts';
import { useVisit } from '../shared/visitContext.ts';
import { ToolField } from '../tools/ToolField.tsx';
import { workOut } from '../tools/toolInput.ts';
import type { Texts } from '../tools/toolInput.ts';
import { FromReadings } from './FromReadings.tsx';
import {
  anglesFound,
  gaugeTexts,
  gaugeTool,
  savedTexts,
  KIND_OF,
  readFields,
  wholeTexts,
} from './gaugeFields.ts';
import { ReadingsField } from './ReadingsField.tsx';
import { useReadings } from './useReadings.ts';
import { Rich } from '../shared/Rich.tsx';
import { t } from '../words/angles.ts';
import { measureTexts } from '../words/core/measure.ts';

interface MeasureHereProps {
  kind: AngleKind;
  where: Wheel | Axle;
  method: Method;
  change: number | null;
}

/** The next reading of one angle, in place: what the method reads at this wheel, and nothing else. */
export function MeasureHere({ kind, where, method, change }: MeasureHereProps) {
  const { calculator } = METHOD_FACTS[method];
  if (!calculator || KIND_OF[calculator] !== kind) {
    return (
      <Box sx={{ maxWidth: 220 }}>
        <ReadingsField
          where={where}
          kind={kind}
          method={method}
          label={t('measureHere.nowReads')}
          change={change}
          hasOthers={false}
        />
      </Box>
    );
  }
  return <ByGauge key={`${kind} ${where} ${method}`} {...{ kind, where, method, change }} />;
}

/** By a gauge that has been set up: its readings at this wheel. */
function ByGauge({ kind, where, method, change }: MeasureHereProps) {
  const { draft, enter, setAtHand } = useVisit();
  const take = useReadings();
  const calculator = METHOD_FACTS[method].calculator!;
  const fields = readFields(calculator, where);
  const start = gaugeTexts(draft, calculator, where);
  const [typed, setTyped] = useState<Texts>({});
  const [isSettingUp, setSettingUp] = useState(false);
  const { texts, read } = wholeTexts(calculator, { ...start, ...typed });
  const side = calculator === 'camberFromLevel' ? { side: sideOf(where as Wheel) } : {};
  const tool = gaugeTool(calculator);
  const { Drawing } = tool;
  const worked = workOut(tool, { ...texts, ...side });
  const found = anglesFound(calculator, worked, where, read) ?? {};
  const wheels = (Object.keys(found) as Wheel[]).filter(
    (wheel) => where === 'front' || where === 'rear' || wheel === where,
  );
  const isTyped = fields.some(({ path }) => typed[path] !== undefined);
  const own = fields.map(({ path }) => path);
  const missing = worked.ok
    ? []
    : Object.keys(worked.faults).filter((path) => !own.some((one) => path.startsWith(one)));
  const isShort = missing.length > 0;

  function save(event: FormEvent): void {
    event.preventDefault();
    if (wheels.length === 0) return;
    const all = { ...start, ...typed };
    enter(`visit.measure.gauge.${calculator}`, savedTexts(draft, calculator, where, all));
    take(wheels.map((wheel) => ({ wheel, kind, method, value: found[wheel]! })));
    setTyped({});
  }

  return (
    <Box
      component="form"
      onSubmit={save}
      onFocus={() => setAtHand({ kind, where, change })}
      onBlur={() => setAtHand(null)}
      sx={{ display: 'grid', gap: 1 }}
    >
      <Box sx={{ fontWeight: 600, fontSize: '0.85rem' }}>
        {t('measureHere.measureAgainHereBy', {
          title: measureTexts.methods[method].title.toLowerCase(),
        })}
      </Box>
      {isShort ? (
        <Button sx={{ justifySelf: 'start' }} onClick={() => setSettingUp(true)}>
          {t('measureHere.setUp', { title: measureTexts.methods[method].title.toLowerCase() })}
        </Button>
      ) : (
        <Box sx={{ display: 'flex', gap: 1.25, alignItems: 'flex-end', flexWrap: 'wrap' }}>
          {fields.map((field) => (
            <Box key={field.path} sx={{ width: field.kind === 'choice' ? 'auto' : 170 }}>
              <ToolField
                field={field}
                text={{ ...start, ...typed }[field.path] ?? ''}
                fault={
                  typed[field.path] !== undefined && !worked.ok
                    ? (worked.faults[field.path] ?? null)
                    : null
                }
                onChange={(text) => setTyped({ ...typed, [field.path]: text })}
              />
            </Box>
          ))}
          <Button type="submit" variant="contained" disabled={!isTyped || wheels.length === 0}>
            {t('measureHere.save')}
          </Button>
          <Button variant="text" onClick={() => setSettingUp(true)}>
            {t('measureHere.theGaugesOwnFigures')}
          </Button>
        </Box>
      )}
      {isTyped && wheels.length > 0 && (
        <Box role="status">
          <Rich
            text={t('measureHere.reads', {
              angle:
                where === 'front' || where === 'rear'
                  ? showDegrees(
                      wheels.reduce((sum, wheel) => sum + found[wheel]!, 0),
                      2,
                    )
                  : showDegrees(found[wheels[0]!]!, 2),
            })}
          />
        </Box>
      )}
      {worked.ok && (
        <Box sx={{ maxWidth: 360 }} aria-hidden>
          <Drawing input={worked.input} output={worked.output} />
        </Box>
      )}
      {isSettingUp && (
        <FromReadings
          calculator={calculator}
          method={method}
          at={where}
          onClose={() => setSettingUp(false)}
        />
      )}
    </Box>
  );
}
