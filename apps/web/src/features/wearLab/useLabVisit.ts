import type { CaseFile } from '@keen/contract';
import { WHEELS } from '@keen/contract';
import { skipToken } from '@reduxjs/toolkit/query';
import { ASSUMED, draftToCase } from '@keen/core';
import { useMemo } from 'react';
import { useVisitQuery } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { spaced } from '../../shared/joined.ts';
import type { LabSetup } from './labSetup.ts';

interface LabVisit {
  title: string;
  file: CaseFile;
  km: number;
  newMm: number;
}

/** The visit that the page starts from. */
export function useLabVisit({ from }: LabSetup): {
  visit: LabVisit | null;
  failure: string | null;
} {
  const id = 'visit' in from ? from.visit : null;
  const { data, error } = useVisitQuery(id ?? skipToken);
  const visit = useMemo(() => {
    if (!data || id === null) return null;
    const { history } = data;
    const { vehicle, draft, arrivedAt } = data.visit;
    const title = spaced(vehicle.plate, vehicle.label);
    // In mm and km whatever the tread was read in: the page reckons in them.
    const { file } = draftToCase(draft, title, {}, { arrivedAt, others: history });
    const km = Math.max(...WHEELS.map((wheel) => draft.tires?.[wheel]?.distance ?? 0));
    return {
      title,
      file,
      km: km > 0 ? km : ASSUMED.distanceKm,
      newMm: draft.tires?.lf?.newDepth ?? ASSUMED.newDepthMm,
    };
  }, [data, id]);
  return { visit, failure: error ? failureOf(error).text : null };
}
