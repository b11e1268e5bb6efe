import type { CaseFile, CaseTire } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';

/** A front-drive car worn as an ordinary one is, mm; `change` makes it the case of a test. */
export function exampleCase(change: (file: CaseFile) => void = () => undefined): CaseFile {
  const file: CaseFile = {
    format: 'keen-groove/case',
    version: 1,
    units: { depth: 'mm', distance: 'km', pressure: 'kPa' },
    vehicle: { label: 'made-up car', drive: 'fwd', use: 'street' },
    tires: {
      lf: evenTire(5),
      rf: evenTire(5),
      lr: evenTire(6.2),
      rr: evenTire(6.2),
    },
  };
  change(file);
  return file;
}

function evenTire(depth: number): CaseTire {
  return {
    newDepth: 8,
    distance: 30_000,
    stations: [{ inner: depth, centre: depth, outer: depth }],
  };
}

/** Sets the three depths of a tire, inner to outer, mm. */
export function wear(file: CaseFile, wheel: Wheel, depths: [number, number, number]): void {
  const [inner, centre, outer] = depths;
  file.tires[wheel].stations = [{ inner, centre, outer }];
}

/** The same car seen in a mirror: left and right change places. */
export function mirrored(file: CaseFile): CaseFile {
  const { lf, rf, lr, rr } = file.tires;
  return { ...file, tires: { lf: rf, rf: lf, lr: rr, rr: lr } };
}
