/** The look of a small table of figures. */
export const FIGURES = {
  borderCollapse: 'collapse',
  width: '100%',
  '& th, & td': {
    py: 0.75,
    pl: 1.5,
    borderBottom: '1px solid var(--hairline)',
    textAlign: 'right',
    verticalAlign: 'baseline',
    fontVariantNumeric: 'tabular-nums',
  },
  '& th:first-of-type': { textAlign: 'left', pl: 0 },
  '& tbody th': { fontWeight: 400 },
} as const;
