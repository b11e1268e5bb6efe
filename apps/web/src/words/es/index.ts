/** The app in Spanish, room by room. */
export const SPANISH = {};
