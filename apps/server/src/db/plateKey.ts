/** A plate as it is compared: spaces, dots and dashes do not matter. */
export function plateKeyOf(plate: string): string {
  return plate.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '') || plate;
}
