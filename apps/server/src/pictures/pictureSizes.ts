/** Longest side of a stored picture, pixels: a date code can be read on it. */
export const PHOTO_SIDE = 2_400;
/** Longest side of a logo, pixels: sharp at 300 dots an inch. */
export const LOGO_SIDE = 1_000;
