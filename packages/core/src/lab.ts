/** The wear lab: a car set up at will, driven on new tires by any physics. */
export * from './lab/contactPatch.ts';
export * from './lab/formulaPhysics.ts';
export * from './lab/labCar.ts';
export * from './lab/labCase.ts';
export * from './lab/namedTreads.ts';
export * from './lab/patchWords.ts';
export * from './lab/wearOn.ts';
