import type { ReaderFault, ReaderState, Wheel } from '@keen/contract';
import { RIBS } from '@keen/contract';
import { PASSING, WHEEL_ORDER, passFaults } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import {
  usePassReaderMutation,
  usePlayReaderMutation,
  useReaderQuery,
} from '../../api/deviceApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { WheelRow } from './WheelRow.tsx';
import { t } from '../../words/devicesPage.ts';

const FAULTS: readonly { value: ReaderFault; label: string }[] = [
  { value: 'none', label: t('readerPanel.none') },
  { value: 'dirtyWindow', label: t('readerPanel.dirtyWindow') },
  { value: 'dropsOut', label: t('readerPanel.dropsOut') },
];

/** The drive-over reader: the made-up car, how it comes over, and what is wrong with the reader. */
export function ReaderPanel() {
  const { data: reader, isError } = useReaderQuery();
  const [play, { isError: isLost }] = usePlayReaderMutation();
  const [drive, driving] = usePassReaderMutation();
  const set = (change: Partial<ReaderState>) => reader && void play({ ...reader, ...change });
  return (
    <Box component="section" aria-labelledby="reader-title" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h1" component="h2" id="reader-title">
          {t('readerPanel.theDriveOverReader')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('readerPanel.pressDriveOverThe', {
            slowestKmh: PASSING.slowestKmh,
            fastestKmh: PASSING.fastestKmh,
          })}
        </Typography>
      </Box>
      {isError && <Notice kind="caution">{t('readerPanel.theReaderDoesNot')}</Notice>}
      {(isLost || driving.isError) && (
        <Notice kind="caution">{t('readerPanel.thatDidNotReach')}</Notice>
      )}
      {!reader && !isError && <Skeleton variant="rectangular" height={260} />}
      {reader && (
        <>
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
            <Choice
              label={t('readerPanel.theReaderIs')}
              options={[
                { value: 'on', label: t('readerPanel.on') },
                { value: 'off', label: t('readerPanel.off') },
              ]}
              value={reader.isOn ? 'on' : 'off'}
              onChange={(value) => value && set({ isOn: value === 'on' })}
            />
            <Choice
              label={t('readerPanel.itsFault')}
              options={FAULTS}
              value={reader.fault}
              onChange={(fault) => fault && set({ fault })}
            />
            {reader.fault === 'dirtyWindow' && (
              <Choice<Wheel>
                label={t('readerPanel.atThe')}
                options={WHEEL_ORDER.map((value) => ({ value, label: WHEEL_LABELS[value] }))}
                value={reader.faultAt}
                onChange={(faultAt) => faultAt && set({ faultAt })}
              />
            )}
          </Box>
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
            <Passing
              label={t('readerPanel.speed')}
              unit="km/h"
              reader={reader}
              field="speed"
              set={set}
            />
            <Passing
              label={t('readerPanel.outOfSquare')}
              unit="°"
              reader={reader}
              field="skew"
              set={set}
            />
            <Passing
              label={t('readerPanel.wheelsTurned')}
              unit="°"
              reader={reader}
              field="steer"
              set={set}
            />
            <Button
              variant="contained"
              disabled={!reader.isOn || driving.isLoading}
              onClick={() => void drive()}
            >
              {t('readerPanel.sendTheCarOver')}
            </Button>
          </Box>
          {passFaults(reader).length > 0 && (
            <Box sx={{ color: 'text.secondary' }}>{t('readerPanel.aPassLikeThis')}</Box>
          )}
          <Box>
            <Typography variant="h3" color="textSecondary" sx={{ mb: 1 }}>
              {t('readerPanel.treadThatTheTires')}
            </Typography>
            {WHEEL_ORDER.map((wheel) => (
              <WheelRow
                key={wheel}
                wheel={wheel}
                label={t('readerPanel.treadOf', { tire: WHEEL_LABELS[wheel] })}
                columns={3}
                phoneColumns={3}
              >
                {RIBS.map((rib) => (
                  <NumberField
                    key={rib}
                    label={rib}
                    unit="mm"
                    decimals={2}
                    max={30}
                    value={reader.tires[wheel][rib]}
                    onChange={(mm) =>
                      set({
                        tires: {
                          ...reader.tires,
                          [wheel]: { ...reader.tires[wheel], [rib]: mm ?? 0 },
                        },
                      })
                    }
                  />
                ))}
              </WheelRow>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}

interface PassingProps {
  label: string;
  unit: string;
  reader: ReaderState;
  field: 'speed' | 'skew' | 'steer';
  set: (change: Partial<ReaderState>) => void;
}

function Passing({ label, unit, reader, field, set }: PassingProps) {
  const isSpeed = field === 'speed';
  return (
    <Box sx={{ width: 150 }}>
      <NumberField
        label={label}
        unit={unit}
        decimals={1}
        min={isSpeed ? 0 : -60}
        max={isSpeed ? 100 : 60}
        value={reader[field]}
        onChange={(value) => set({ [field]: value ?? 0 })}
      />
    </Box>
  );
}
