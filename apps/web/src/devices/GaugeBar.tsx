import { GAUGE_LOW_BATTERY } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { useLazyGaugeQuery } from '../api/deviceApi.ts';
import { browserSerial } from './serialLine.ts';
import { standInPort } from './standInPort.ts';
import type { GaugeLine, GaugeSource } from './useGauge.ts';
import { t } from '../words/devices.ts';

interface GaugeBarProps {
  line: GaugeLine;
  /** What is wrong with the last press; null where nothing is. */
  fault: string | null;
  onSource: (source: GaugeSource) => void;
}

/** Whether a gauge sends the readings, which way, and what is wrong with it. */
export function GaugeBar({ line, fault, onSource }: GaugeBarProps) {
  const [askGauge] = useLazyGaugeQuery();
  const [serialFault, setSerialFault] = useState<string | null>(null);

  async function connectSerial(): Promise<void> {
    setSerialFault(null);
    const standIn = await askGauge();
    if (standIn.data?.speaks === 'serial') {
      onSource({ kind: 'serial', port: standInPort() });
      return;
    }
    const serial = browserSerial();
    if (!serial) {
      setSerialFault(t('gaugeBar.thisBrowserHasNo'));
      return;
    }
    try {
      onSource({ kind: 'serial', port: await serial.requestPort() });
    } catch {
      setSerialFault(t('gaugeBar.noPortWasChosen'));
    }
  }

  return (
    <Box sx={{ display: 'grid', gap: 0.75, justifyItems: 'start' }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          onClick={() => onSource(line.state === 'off' ? { kind: 'radio' } : null)}
          aria-pressed={line.state !== 'off'}
        >
          {line.state === 'off' ? t('gaugeBar.connectTheGauge') : t('gaugeBar.disconnect')}
        </Button>
        {line.state === 'off' && (
          <Button variant="text" sx={{ px: 0.5 }} onClick={() => void connectSerial()}>
            {t('gaugeBar.serialLine')}
          </Button>
        )}
      </Box>
      {line.state === 'off' ? (
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {t('gaugeBar.aGaugeThatTypes')}
        </Box>
      ) : (
        <Box role="status" sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {wordsOf(line)}{' '}
          {line.state === 'ready' && (
            <Link component={RouterLink} to="/devices" color="inherit" target="_blank">
              {t('gaugeBar.playIt')}
            </Link>
          )}
        </Box>
      )}
      {(fault ?? serialFault) && (
        <Box role="alert" sx={{ color: 'var(--marker)', fontSize: '0.85rem' }}>
          {fault ?? serialFault}
        </Box>
      )}
    </Box>
  );
}

function wordsOf(line: GaugeLine): string {
  switch (line.state) {
    case 'off':
      return '';
    case 'calling':
      return t('gaugeBar.callingTheGauge');
    case 'lost':
      return line.isCalledAgain ? t('gaugeBar.theGaugeBrokeOff') : t('gaugeBar.theSerialLineBroke');
    case 'ready':
      return line.battery !== null && line.battery < GAUGE_LOW_BATTERY
        ? t('gaugeBar.itsBatteryIsLow', {
            device: line.device,
            percent: Math.round(100 * line.battery),
          })
        : t('gaugeBar.isReadySetIt', { device: line.device });
  }
}
