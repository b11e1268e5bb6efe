/** The inks of the drawing, light and dark. Every text pair was checked against WCAG AA. */
export const TOKENS = {
  light: {
    paper: '#f5f2eb',
    sheet: '#fbf9f4',
    ink: '#1d272e',
    soft: '#55606a',
    line: '#d6cfc1',
    hairline: '#e6e0d4',
    control: '#8a8371',
    rubber: '#27435f',
    rubberPale: '#7d8d9c',
    marker: '#b8400f',
    onMarker: '#ffffff',
    onInk: '#fbf9f4',
  },
  dark: {
    paper: '#12181c',
    sheet: '#182026',
    ink: '#ece7dc',
    soft: '#a3aeb6',
    line: '#34404a',
    hairline: '#263038',
    control: '#6d7a84',
    rubber: '#8fb4d9',
    rubberPale: '#5f7890',
    marker: '#ff8b52',
    onMarker: '#12181c',
    onInk: '#12181c',
  },
} as const;

export type Scheme = keyof typeof TOKENS;
export type Token = keyof (typeof TOKENS)['light'];

/** The tokens as CSS custom properties, for our own drawings. */
export function tokenVariables(scheme: Scheme): Record<`--${Token}`, string> {
  return Object.fromEntries(
    Object.entries(TOKENS[scheme]).map(([name, value]) => [`--${name}`, value]),
  ) as Record<`--${Token}`, string>;
}
