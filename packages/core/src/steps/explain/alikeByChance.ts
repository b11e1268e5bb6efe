import type { Cause } from '@keen/contract/words';

/** A place goes with the likeliest one of its cause from this part of that one's chance on. */
const GOES_WITH = 0.5;

/**
 * Puts places of one cause together that are about as likely as its likeliest, then likewise those left over:
 * low pressure in all four tires is one thing to say.
 * @param places - of any causes, in the order in which their groups come
 */
export function alikeByChance<Place extends { cause: Cause; probability: number }>(
  places: readonly Place[],
): Place[][] {
  return [...new Set(places.map(({ cause }) => cause))].flatMap((cause) =>
    split(places.filter((place) => place.cause === cause)),
  );
}

function split<Place extends { probability: number }>(places: readonly Place[]): Place[][] {
  if (places.length === 0) return [];
  const most = Math.max(...places.map(({ probability }) => probability));
  const goes = ({ probability }: Place) => probability >= GOES_WITH * most;
  return [places.filter(goes), ...split(places.filter((place) => !goes(place)))];
}
