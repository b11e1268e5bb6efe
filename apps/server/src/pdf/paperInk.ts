/** The colours of the printed sheet. */
export const INK = {
  rubber: '#27435f',
  ink: '#1d272e',
  soft: '#5b6670',
  line: '#b9b2a4',
  marker: '#b8400f',
};
