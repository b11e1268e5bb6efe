export const tools = {
  toolDialog: {
    notAllNumbersAre: 'Not all numbers are there yet.',
  },
  toolField: {
    outwardUp: 'outward; up',
  },
  choices: {
    left: 'Left',
    right: 'Right',
    aheadOfTheAxle: 'Ahead of the axle',
    behindTheAxle: 'Behind the axle',
    oneThread: 'One thread',
    turnbuckle: 'Turnbuckle',
    liftAtTheMakers:
      'Lift at the maker’s points, on stands or a lift made for it, wheels chocked; never under a car on a jack alone. The maker’s torque and procedure decide.',
    wheelsOnFreeTurn:
      'Wheels on free turn plates, rear wheels chocked, brake held by a pedal depressor; keep hands and feet clear while the wheels swing.',
  },
  toolInput: {
    lengthsInMm5: 'Lengths in mm; 5 1/2 in works too.',
    aNumberSuchAs: 'A number, such as 8.5 or 39 3/8',
    expected: 'Expected {{expected}}',
  },
  tools: {
    measure: 'Measure',
    whatItMeans: 'What it means',
    setRight: 'Set right',
  },
} as const;
