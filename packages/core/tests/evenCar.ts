import type { CaseFile } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { exampleCase, wear } from './exampleCase.ts';
import { WHEEL_ORDER } from '../src/engine/case/wheels.ts';

/**
 * A front-drive car in order, looked over in full: smooth, no waves, pressures at the placard, each tire
 * worn evenly over 30,000 km but for those given.
 * @param worn - depths of some tires, inner, centre, outer, mm
 */
export function evenCar(
  worn: Partial<Record<Wheel, [number, number, number]>>,
  change: (file: CaseFile) => void = () => undefined,
): CaseFile {
  return exampleCase((file) => {
    WHEEL_ORDER.forEach((wheel, tire) => {
      wear(file, wheel, worn[wheel] ?? (tire < 2 ? [5.5, 5.6, 5.5] : [6.3, 6.4, 6.3]));
      Object.assign(file.tires[wheel], {
        pressure: { target: 230, measured: 230 },
        feather: 'none',
        cupping: 'none',
      });
    });
    change(file);
  });
}
