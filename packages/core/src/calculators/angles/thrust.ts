/**
 * Where the rear axle points, and how far that turns the steering wheel.
 *
 * A car that crabs steers its front wheels along the thrust line, so the steering wheel stands off by
 * thrust x ratio.
 * @param input.toeLr, input.toeRr - rear toe of each wheel, degrees, toe-in positive
 * @param input.steeringRatio - steering wheel over road wheel; without it no offset is given
 * @returns degrees; thrust positive to the right, offset positive turned right
 */
export function thrust(input: {
  toeLr: number;
  toeRr: number;
  steeringRatio?: number | undefined;
}): { thrustAngle: number; totalToe: number; steeringWheelOffset?: number } {
  const thrustAngle = (input.toeLr - input.toeRr) / 2;
  const totalToe = input.toeLr + input.toeRr;
  if (input.steeringRatio === undefined) return { thrustAngle, totalToe };
  return { thrustAngle, totalToe, steeringWheelOffset: thrustAngle * input.steeringRatio };
}
