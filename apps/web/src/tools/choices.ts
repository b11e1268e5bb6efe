/** Answers that several tools share. */
export const LENGTH_UNITS = [
  { value: 'mm', label: 'mm' },
  { value: 'in', label: 'inches' },
] as const;

export const TOE_UNITS = [
  { value: 'deg', label: 'degrees' },
  { value: 'min', label: 'minutes' },
  { value: 'mm', label: 'mm' },
  { value: 'in', label: 'inches' },
] as const;

export const SIDES = [
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
] as const;

export const RACKS = [
  { value: 'ahead', label: 'Ahead of the axle' },
  { value: 'behind', label: 'Behind the axle' },
] as const;

export const ADJUSTERS = [
  { value: 'single', label: 'One thread' },
  { value: 'turnbuckle', label: 'Turnbuckle' },
] as const;

export const LIFT_CAUTION =
  'Lift at the maker’s points, on stands or a lift made for it, wheels chocked; never under a car on a jack alone. The maker’s torque and procedure decide.';
export const SWING_CAUTION =
  'Wheels on free turn plates, rear wheels chocked, brake held by a pedal depressor; keep hands and feet clear while the wheels swing.';
