import type { CaseFile, CaseTire } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';

/**
 * A front-drive car in order, looked over in full: smooth, no waves, pressures at the placard, each tire
 * worn evenly over 30,000 km but for those given.
 * @param worn - depths of some tires, inner, centre, outer, mm
 */
export function evenCar(
  worn: Partial<Record<Wheel, readonly [number, number, number]>>,
  change: (file: CaseFile) => void = () => undefined,
): CaseFile {
  const tire = (wheel: Wheel, usual: readonly [number, number, number]): CaseTire => {
    const [inner, centre, outer] = worn[wheel] ?? usual;
    return {
      newDepth: 8,
      distance: 30_000,
      pressure: { target: 230, measured: 230 },
      stations: [{ inner, centre, outer }],
      feather: 'none',
      cupping: 'none',
    };
  };
  const file: CaseFile = {
    format: 'keen-groove/case',
    version: 1,
    units: { depth: 'mm', distance: 'km', pressure: 'kPa' },
    vehicle: { label: 'made-up car', drive: 'fwd', use: 'street' },
    tires: {
      lf: tire('lf', [5.5, 5.6, 5.5]),
      rf: tire('rf', [5.5, 5.6, 5.5]),
      lr: tire('lr', [6.3, 6.4, 6.3]),
      rr: tire('rr', [6.3, 6.4, 6.3]),
    },
  };
  change(file);
  return file;
}
