/**
 * Which way a rod or sleeve turns as one kneels at the wheel and looks in toward the car's middle, where
 * the thread at its outer end is right-handed; the other way for a left-handed one. The same words hold
 * on both sides of the car, since one looks in on both.
 *
 * A right-handed thread unscrews anticlockwise as seen from behind the rod, which is clockwise as seen
 * from the end it points to. Source: geometry of a right-handed helix.
 * @param action - what the rod has to do
 * @example rodTurn('lengthen') // 'clockwise'
 */
export function rodTurn(action: 'lengthen' | 'shorten'): 'clockwise' | 'anticlockwise' {
  return action === 'lengthen' ? 'clockwise' : 'anticlockwise';
}
