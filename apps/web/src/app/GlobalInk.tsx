import GlobalStyles from '@mui/material/GlobalStyles';
import { tokenVariables } from './tokens.ts';
import type { Scheme } from './tokens.ts';

/** Page-wide ink: the tokens as variables, figures that line up, a focus ring one can see. */
export function GlobalInk({ scheme }: { scheme: Scheme }) {
  return (
    <GlobalStyles
      styles={{
        ':root': { ...tokenVariables(scheme), colorScheme: scheme },
        'html, body, #root': { height: '100%' },
        body: {
          margin: 0,
          background: 'var(--paper)',
          color: 'var(--ink)',
          fontVariantNumeric: 'tabular-nums',
          WebkitFontSmoothing: 'antialiased',
        },
        ':focus-visible': { outline: '2px solid var(--marker)', outlineOffset: 2 },
        '.condensed': { fontStretch: '72%' },
        '.visually-hidden': {
          position: 'absolute',
          width: 1,
          height: 1,
          overflow: 'hidden',
          clipPath: 'inset(50%)',
          whiteSpace: 'nowrap',
        },
        // On paper: nothing to press, every scrolled part at its full length.
        '@media print': {
          'html, body, #root, #root :has(main), main': {
            height: 'auto',
            minHeight: 0,
            overflow: 'visible',
          },
          'header, nav, button, [role="group"], .screen-only': {
            display: 'none !important',
          },
          'figure, section li': { breakInside: 'avoid' },
        },
        '@media (prefers-reduced-motion: reduce)': { '*': { scrollBehavior: 'auto !important' } },
      }}
    />
  );
}
