import type { Axle, GaugeCalculator, Method, Wheel } from '@keen/contract';
import { sideOf } from '@keen/core';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Choice } from '../shared/Choice.tsx';
import { showDegrees } from '../shared/format.ts';
import { useVisit } from '../shared/visitContext.ts';
import { ToolDialog } from '../tools/ToolDialog.tsx';
import type { Texts, Worked } from '../tools/toolInput.ts';
import {
  anglesFound,
  gaugeTexts,
  gaugeTool,
  savedTexts,
  KIND_OF,
  PLACES,
  wholeTexts,
} from './gaugeFields.ts';
import type { Found } from './gaugeFields.ts';
import { PlateReadings } from './PlateReadings.tsx';
import { useReadings } from './useReadings.ts';
import { t } from '../words/angles.ts';
import { whereWords } from '../words/pageTexts.ts';

interface FromReadingsProps {
  calculator: GaugeCalculator;
  method: Method;
  /** Where it is opened for; the first place of its kind otherwise. */
  at?: Wheel | Axle;
  onClose: () => void;
}

/** Asks for the readings of a gauge and takes the angles over into the visit; the gauge is remembered. */
export function FromReadings({ calculator, method, at, onClose }: FromReadingsProps) {
  const places = PLACES[calculator];
  const [place, setPlace] = useState<Wheel | Axle>(at ?? places?.[0] ?? 'lf');
  return (
    <AtPlace
      key={place}
      calculator={calculator}
      method={method}
      place={place}
      places={places}
      onPlace={setPlace}
      onClose={onClose}
    />
  );
}

interface AtPlaceProps {
  calculator: GaugeCalculator;
  method: Method;
  place: Wheel | Axle;
  places: readonly (Wheel | Axle)[] | null;
  onPlace: (place: Wheel | Axle) => void;
  onClose: () => void;
}

function AtPlace({ calculator, method, place, places, onPlace, onClose }: AtPlaceProps) {
  const { draft, enter } = useVisit();
  const take = useReadings();
  const [swing, setSwing] = useState<number | null>(null);
  const found = (worked: Worked, texts: Texts) =>
    anglesFound(calculator, worked, place, wholeTexts(calculator, texts).read);

  function apply(angles: Found, texts: Texts): void {
    enter(`visit.measure.gauge.${calculator}`, savedTexts(draft, calculator, place, texts));
    take(
      (Object.entries(angles) as [Wheel, number][]).map(([wheel, value]) => ({
        wheel,
        kind: KIND_OF[calculator],
        method,
        value,
      })),
    );
    onClose();
  }

  return (
    <ToolDialog
      tool={gaugeTool(calculator)}
      start={gaugeTexts(draft, calculator, place)}
      complete={(texts) => wholeTexts(calculator, texts).texts}
      given={{
        ...(calculator === 'camberFromLevel' ? { side: sideOf(place as Wheel) } : {}),
        ...(swing === null ? {} : { angle: swing.toFixed(6) }),
      }}
      answer={(worked, texts) =>
        (Object.entries(found(worked, texts) ?? {}) as [Wheel, number][])
          .map(([wheel, value]) => `${whereWords(wheel)} ${showDegrees(value, 2)}`)
          .join(', ')
      }
      actions={(worked, texts) => {
        const angles = found(worked, texts);
        return (
          <>
            <Button onClick={onClose}>{t('fromReadings.cancel')}</Button>
            <Button
              variant="contained"
              disabled={!angles}
              onClick={() => angles && apply(angles, texts)}
            >
              {t('fromReadings.use')}
            </Button>
          </>
        );
      }}
      onClose={onClose}
    >
      {places && (
        <Choice
          label={t('fromReadings.atThe')}
          dense
          options={places.map((value) => ({ value, label: whereWords(value) }))}
          value={place}
          onChange={(next) => next && onPlace(next)}
        />
      )}
      {calculator === 'casterFromSwing' && <PlateReadings onSwing={setSwing} />}
    </ToolDialog>
  );
}
