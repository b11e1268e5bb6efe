/** Two columns where there is room, one below the other where there is not. */
export const SIDE_BY_SIDE = {
  display: 'grid',
  columnGap: 7,
  rowGap: 4,
  alignItems: 'start',
  gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' },
} as const;
