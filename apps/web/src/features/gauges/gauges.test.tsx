import type { Instrument, Study } from '@keen/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import Papa from 'papaparse';
import { studyDeal, studySoFar } from '@keen/core';
import { describe, expect, it } from 'vitest';
import { showPage } from '../../../tests/pageBench.tsx';
import { PERSON, SESSION } from '../../../tests/visitBench.tsx';
import { checksAsCsv } from './checksAsCsv.ts';
import { GaugesPage } from './GaugesPage.tsx';
import { numberIn, numbersIn } from './numberIn.ts';
import { studyAsCsv } from './studyAsCsv.ts';
import { StudyPage } from './StudyPage.tsx';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const OTHER = { id: id(9), name: 'Olga Other', role: 'advisor' as const };
const LEAD = {
  ...SESSION,
  person: { ...PERSON, role: 'lead' as const },
  people: [PERSON, OTHER],
};
const AT = '2026-03-01T09:00:00.000Z';

const gauge = (change: Partial<Instrument> = {}): Instrument => ({
  id: id(1),
  name: 'Gauge one',
  kind: 'depth',
  certified: null,
  block: [2, 8],
  retired: false,
  createdAt: AT,
  checks: [],
  ...change,
});
const check = (n: number, ...off: number[]) => ({
  id: id(100 + n),
  at: `2026-02-${String(n).padStart(2, '0')}T08:00:00.000Z`,
  by: 'Tess',
  note: '',
  points: off.map((each, i) => ({ known: [2, 8][i]!, read: [2, 8][i]! + each })),
});
const study = (change: Partial<Study> = {}): Study => ({
  id: id(2),
  name: 'All of us',
  readIn: 'mm',
  people: [PERSON.id, OTHER.id],
  marks: ['First', 'Second', 'Third'],
  trials: 2,
  createdAt: AT,
  closedAt: null,
  taken: 0,
  seed: 5,
  readings: [],
  ...change,
});
/** Marks of 3, 5, 7 mm; the second person deeper; each reading a little off in a fixed way. */
const whole = (sdMm = 0.05): Study['readings'] =>
  [0, 1].flatMap((person) =>
    [0, 1].flatMap((trial) =>
      [0, 1, 2].map((mark) => ({
        person,
        trial,
        mark,
        mm: 3 + 2 * mark + 0.1 * person + sdMm * (trial === 0 ? 1 : -1) * (mark === 1 ? -1 : 1),
      })),
    ),
  );
const STUDY = `/gauges/${id(2)}`;
const showGauges = (instruments: unknown, studies: unknown = { studies: [], before: null }) =>
  showPage(<GaugesPage />, {
    answers: {
      'GET /api/session': LEAD,
      'GET /api/instruments': instruments,
      'GET /api/gauge-studies': studies,
    },
  });
const showStudy = (one: Study, answers = {}) =>
  showPage(<StudyPage />, {
    path: '/gauges/:studyId',
    at: STUDY,
    answers: { 'GET /api/session': LEAD, [`GET /api/gauge-studies/${one.id}`]: one, ...answers },
  });

describe('the shop’s gauges', () => {
  it('say how each stands by its checks', async () => {
    showGauges([
      gauge({ checks: [check(8, 0.05, -0.31), check(3, 0, 0)] }),
      gauge({ id: id(3), name: 'Rig', kind: 'readout', block: [0], certified: 0.03 }),
    ]);
    const off = await screen.findByText('Gauge one');
    expect(off.closest('li')).toHaveTextContent('Off by −0.31 mm at worst');
    expect(off.closest('li')).toHaveTextContent('Set it right or put it away');
    expect(off.closest('li')).toHaveTextContent('Too few checks to tell whether it drifts');
    expect(screen.getByText('Rig').closest('li')).toHaveTextContent('Never checked');
    expect(screen.getByText('Rig').closest('li')).toHaveTextContent('Certified to ±0.03°');
  });

  it('are checked place by place, and a slip is kept at its field', async () => {
    const { sent, answers } = showGauges([gauge()]);
    answers[`POST /api/instruments/${id(1)}/checks`] = [gauge()];
    fireEvent.click(await screen.findByRole('button', { name: 'Check Gauge one' }));
    const dialog = within(screen.getByRole('dialog', { name: 'Check Gauge one' }));
    const fields = dialog.getAllByLabelText('Reads, mm');
    fireEvent.change(fields[0]!, { target: { value: '2,05' } });
    fireEvent.change(fields[1]!, { target: { value: 'eight' } });
    fireEvent.click(dialog.getByRole('button', { name: 'Save the check' }));
    expect(await dialog.findByText('A number, such as 4.05')).toBeVisible();
    expect(sent()).toEqual([]);
    fireEvent.change(fields[1]!, { target: { value: '7.7' } });
    expect(dialog.getByRole('status')).toHaveTextContent('Off by −0.30 mm at worst');
    fireEvent.click(dialog.getByRole('button', { name: 'Save the check' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(sent()[0]!.body).toMatchObject({
      points: [
        { known: 2, read: 2.05 },
        { known: 8, read: 7.7 },
      ],
    });
  });

  it('are added with what they are checked against', async () => {
    const { sent } = showGauges([]);
    expect(await screen.findByText(/No gauge yet/)).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'Add a gauge' }));
    const dialog = within(screen.getByRole('dialog', { name: 'Add a gauge' }));
    fireEvent.change(dialog.getByLabelText('Checked against, mm'), { target: { value: '2; x' } });
    fireEvent.click(dialog.getByRole('button', { name: 'Save' }));
    expect(await dialog.findByText('What it is called in the shop')).toBeVisible();
    expect(dialog.getByText(/Up to ten numbers/)).toBeVisible();
    fireEvent.change(dialog.getByLabelText('Name on it'), { target: { value: 'Gauge two' } });
    fireEvent.change(dialog.getByLabelText('Checked against, mm'), { target: { value: '2; 5,5' } });
    fireEvent.click(dialog.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]!.body).toEqual({
      name: 'Gauge two',
      kind: 'depth',
      certified: null,
      block: [2, 5.5],
      retired: false,
    });
  });

  it('say so when they cannot be fetched, and are fetched again', async () => {
    const { answers } = showGauges(500);
    fireEvent.click(
      within(await screen.findByRole('alert')).getByRole('button', { name: 'Try again' }),
    );
    answers['GET /api/instruments'] = [gauge()];
    expect(await screen.findByText('Gauge one')).toBeVisible();
  });

  it('go out as CSV, a line a place', () => {
    const { data } = Papa.parse<Record<string, string>>(
      checksAsCsv([gauge({ checks: [check(8, 0.05, -0.31)] })]),
      { header: true },
    );
    expect(data.map(({ known, read, error, unit }) => [known, read, error, unit])).toEqual([
      ['2', '2.05', '0.05', 'mm'],
      ['8', '7.69', '-0.31', 'mm'],
    ]);
  });
});

describe('a gauge study', () => {
  it('is laid out with people, marks and times', async () => {
    const { sent, answers } = showGauges([]);
    answers['POST /api/gauge-studies'] = study();
    fireEvent.click(await screen.findByRole('button', { name: 'New gauge study' }));
    const dialog = within(screen.getByRole('dialog', { name: 'New gauge study' }));
    expect(dialog.getByText('60 readings in all.')).toBeVisible();
    fireEvent.change(dialog.getByLabelText('Marks, one a line'), {
      target: { value: 'A\n\nB\nA' },
    });
    fireEvent.click(dialog.getByRole('button', { name: 'Start the study' }));
    expect(await dialog.findByText('Two to twenty marks, each once')).toBeVisible();
    fireEvent.change(dialog.getByLabelText('Marks, one a line'), { target: { value: 'A\nB' } });
    fireEvent.click(dialog.getByRole('button', { name: '2' }));
    fireEvent.click(dialog.getByRole('button', { name: 'Start the study' }));
    expect(await screen.findByText('elsewhere')).toBeVisible();
    expect(sent()[0]!.body).toMatchObject({
      people: [PERSON.id, OTHER.id],
      marks: ['A', 'B'],
      trials: 2,
      readIn: 'mm',
    });
  });

  it('deals the marks and shows nothing that was read before', async () => {
    const [first, second] = studyDeal(5, 1, { trials: 2, marks: 3 });
    const before = study();
    const { sent, answers } = showStudy(before);
    fireEvent.click(await screen.findByRole('button', { name: /Olga Other/ }));
    expect(screen.getByText(before.marks[first!.mark]!)).toBeVisible();
    const field = screen.getByLabelText('Depth, mm');
    fireEvent.change(field, { target: { value: 'much' } });
    fireEvent.click(screen.getByRole('button', { name: 'Next mark' }));
    expect(screen.getByText('A depth in mm, such as 5.3')).toBeVisible();
    const readings = [{ person: 1, ...first!, mm: 4.7 }];
    answers[`PUT /api/gauge-studies/${id(2)}/reading`] = study({ readings, taken: 1 });
    await userEvent.clear(field);
    await userEvent.type(field, '4.7{Enter}');
    expect(await screen.findByText(before.marks[second!.mark]!)).toBeVisible();
    expect(screen.getByLabelText('Depth, mm')).toHaveValue('');
    expect(sent()).toEqual([
      { what: `PUT /api/gauge-studies/${id(2)}/reading`, body: { person: 1, ...first, mm: 4.7 } },
    ]);
    expect(screen.queryByText(/4\.7/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /Delete the last/ }));
    await waitFor(() => expect(sent()).toHaveLength(2));
    expect(sent()[1]!.body).toEqual({ person: 1, ...first, mm: null });
  });

  it('keeps in its field what could not be saved', async () => {
    const { answers } = showStudy(study());
    fireEvent.click(await screen.findByRole('button', { name: /Olga Other/ }));
    answers[`PUT /api/gauge-studies/${id(2)}/reading`] = 409;
    const field = screen.getByLabelText('Depth, mm');
    fireEvent.change(field, { target: { value: '5.3' } });
    fireEvent.click(screen.getByRole('button', { name: 'Next mark' }));
    expect(await screen.findByText(/Not saved: Refused with 409/)).toBeVisible();
    expect(field).toHaveValue('5.3');
  });

  it('says plainly what can be seen, and lets the lead take it into use', async () => {
    const one = study({ readings: whole(), taken: 12, closedAt: AT });
    const { sent, answers } = showStudy(one);
    expect(
      await screen.findByRole('heading', {
        name: 'One person with this gauge can see half a millimetre.',
      }),
    ).toBeVisible();
    const spreads = within(screen.getByRole('table', { name: 'Spreads' }));
    const { result } = studySoFar({ people: 2, trials: 2, marks: 3 }, one.readings);
    expect(spreads.getByRole('row', { name: /One person, again/ })).toHaveTextContent(
      result!.repeatability.mm.toFixed(2),
    );
    answers[`PUT /api/gauge-studies/${id(2)}/used`] = { mm: 0.13, studyId: id(2), at: AT };
    fireEvent.click(screen.getByRole('button', { name: 'Use it for new visits' }));
    await waitFor(() => expect(sent()).toHaveLength(1));
  });

  it('half done says so, and is not taken into use', async () => {
    const readings = whole(0.4).filter(({ person, mark }) => person === 0 || mark < 2);
    showStudy(study({ readings, taken: readings.length }));
    expect(await screen.findByText(/So far, from 2 of 3 marks/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Use it for new visits' })).toBeDisabled();
    expect(screen.queryByRole('heading', { name: /can see half a millimetre\.$/ })).toBeNull();
  });

  it('not begun asks who reads and claims nothing', async () => {
    showStudy(study());
    expect(await screen.findByText('Too few readings to tell.')).toBeVisible();
    expect(screen.getByRole('button', { name: /Olga Other/ })).toHaveTextContent('0 of 6 read');
  });

  it('goes out as CSV with its spreads', () => {
    const one = study({ readings: whole(), taken: 12 });
    const { result } = studySoFar({ people: 2, trials: 2, marks: 3 }, one.readings);
    const { data } = Papa.parse<Record<string, string>>(
      studyAsCsv(one, ['Tess', 'Olga'], result!),
      { header: true },
    );
    expect(data.filter(({ what }) => what === 'reading')).toHaveLength(12);
    expect(Number(data.find(({ what }) => what === 'both together, sd')!.mm)).toBeCloseTo(
      result!.gauge.mm,
      4,
    );
  });
});

describe('numbers as people write them', () => {
  it('are read with a comma, a sign, and refused otherwise', () => {
    expect([' 4,05 ', '-0.3', '−0.3', '.5'].map(numberIn)).toEqual([4.05, -0.3, -0.3, 0.5]);
    expect(['', '4 05', '1e3', 'x', '0x10'].map(numberIn)).toEqual([null, null, null, null, null]);
    expect(numbersIn('2; 5,5 8')).toEqual([2, 5.5, 8]);
    expect(numbersIn('2; x')).toBeNull();
    expect(numbersIn(' ')).toEqual([]);
  });
});
