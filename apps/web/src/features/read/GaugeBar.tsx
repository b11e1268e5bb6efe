import { GAUGE_LOW_BATTERY } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';
import type { GaugeLine } from './useGauge.ts';

interface GaugeBarProps {
  line: GaugeLine;
  /** The last press was off the tread. */
  isOutOfRange: boolean;
  onToggle: () => void;
}

/** Whether a gauge sends the readings, and what is wrong with it. */
export function GaugeBar({ line, isOutOfRange, onToggle }: GaugeBarProps) {
  return (
    <Box sx={{ display: 'grid', gap: 0.75, justifyItems: 'start' }}>
      <Button onClick={onToggle} aria-pressed={line.state !== 'off'}>
        {line.state === 'off' ? 'Connect the gauge' : 'Disconnect'}
      </Button>
      {line.state !== 'off' && (
        <Box role="status" sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {wordsOf(line)}{' '}
          {line.state === 'ready' && (
            <Link component={RouterLink} to="/devices" color="inherit" target="_blank">
              Play it
            </Link>
          )}
        </Box>
      )}
      {isOutOfRange && (
        <Box role="alert" sx={{ color: 'var(--marker)', fontSize: '0.85rem' }}>
          The gauge stood off the tread. Set it down in the groove and press again.
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
      return 'Calling the gauge …';
    case 'lost':
      return 'The gauge broke off; it is called again. The keys work meanwhile.';
    case 'ready':
      return line.battery < GAUGE_LOW_BATTERY
        ? `${line.device}: its battery is low, ${Math.round(100 * line.battery)} %.`
        : `${line.device} is ready: set it down and press.`;
  }
}
