import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo } from 'react';
import { t } from '../../words/read.ts';

/** A key of the fast entry, from the keyboard or the pad. */
export type PadKey = `${number}` | 'back' | 'unreadable' | 'previous' | 'next' | 'commit';

interface KeypadProps {
  onKey: (key: PadKey) => void;
  canBack: boolean;
}

/** As large as the screen allows; for gloves and thumbs. */
export const Keypad = memo(function Keypad({ onKey, canBack }: KeypadProps) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(3, 1fr)',
        gap: 1,
        touchAction: 'manipulation',
      }}
      role="group"
      aria-label={t('keypad.keypad')}
    >
      {(['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const).map((digit) => (
        <PadButton key={digit} onPress={() => onKey(digit)}>
          {digit}
        </PadButton>
      ))}
      <PadButton small disabled={!canBack} onPress={() => onKey('back')}>
        {t('keypad.backOne')}
      </PadButton>
      <PadButton onPress={() => onKey('0')}>0</PadButton>
      <PadButton small onPress={() => onKey('unreadable')}>
        {t('keypad.cannotBeRead')}
      </PadButton>
    </Box>
  );
});

interface PadButtonProps {
  children: string;
  onPress: () => void;
  small?: boolean;
  disabled?: boolean;
}

function PadButton({ children, onPress, small = false, disabled = false }: PadButtonProps) {
  return (
    <Button
      disabled={disabled}
      // The keyboard goes on working after a press: the button does not keep the focus.
      onMouseDown={(event) => event.preventDefault()}
      onClick={onPress}
      sx={{
        minHeight: { xs: 'max(60px, 9vh)', md: 62 },
        minWidth: 0,
        fontSize: small ? '0.95rem' : '1.65rem',
        fontWeight: small ? 500 : 650,
        fontStretch: small ? '85%' : '78%',
        lineHeight: 1.1,
        borderColor: 'var(--line)',
      }}
    >
      {children}
    </Button>
  );
}
