import type { CaseFile } from '@keen/contract';
import type { LabPlan } from '@keen/core/lab';
import type { WorldName } from '@keen/simulator/lab';
import { useEffect, useRef, useState } from 'react';
import type { LabQuestion, LabReply } from './labBand.worker.ts';
import type { Band, MeanCar } from './otherCars.ts';
import { t } from '../../words/wearLab.ts';

interface LabWork {
  /** What other cars have left; the last one known while a newer one is worked out. */
  band: Band | null;
  /** The mean car of the visit, once it is read. */
  mean: MeanCar | null;
  failure: string | null;
}

/**
 * Has the cars of a band driven off the page's thread.
 * @param file - the case of the visit that the page starts from; null for none
 * @param onMean - is told the mean car of that visit once its tread is read
 */
export function useLabWorker(
  plan: LabPlan,
  world: WorldName,
  file: CaseFile | null,
  onMean: (mean: MeanCar) => void,
): LabWork {
  const [work, setWork] = useState<LabWork>({ band: null, mean: null, failure: null });
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const tell = useRef(onMean);
  useEffect(() => {
    tell.current = onMean;
  });
  const key = file && JSON.stringify({ ...file, visit: undefined });

  useEffect(() => {
    const started = new Worker(new URL('./labBand.worker.ts', import.meta.url), { type: 'module' });
    worker.current = started;
    started.onmessage = ({ data }: MessageEvent<LabReply>) => {
      if (data.kind === 'band') {
        if (data.id === asked.current) setWork((was) => ({ ...was, band: data.band }));
      } else if (data.kind === 'visit') {
        setWork((was) => ({ ...was, mean: data.mean }));
        tell.current(data.mean);
      } else setWork((was) => ({ ...was, failure: data.text }));
    };
    started.onerror = () =>
      setWork((was) => ({ ...was, failure: t('useLabWorker.theLabsWorkerStopped') }));
    return () => {
      started.terminate();
      worker.current = null;
    };
  }, []);

  useEffect(() => {
    if (key === null) return;
    const question: LabQuestion = { kind: 'visit', file: JSON.parse(key) as CaseFile };
    worker.current?.postMessage(question);
  }, [key]);

  const ofVisit = work.mean !== null && key !== null;
  useEffect(() => {
    const question: LabQuestion = { kind: 'band', id: ++asked.current, plan, world, ofVisit };
    worker.current?.postMessage(question);
  }, [plan, world, ofVisit]);

  return work;
}
