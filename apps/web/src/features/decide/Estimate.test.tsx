import { DEFAULT_PRICES } from '@keen/contract';
import type { PriceItem, VisitDraft, WorkEstimate } from '@keen/contract';
import { papers } from '../../words/pageTexts.ts';
import type { CostComparison } from '@keen/core';
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { SESSION, showStep } from '../../../tests/visitBench.tsx';
import { Estimate } from './Estimate.tsx';
import { answered } from './EstimateLineRow.tsx';

const ID = '5a6d4f0e-8b1c-4f7a-9c3e-2d1b0a9f8e7d';
const OTHER = '5a6d4f0e-8b1c-4f7a-9c3e-2d1b0a9f8e7e';
const estimate: WorkEstimate = {
  version: 1,
  currency: 'EUR',
  taxPercent: 20,
  taxMode: 'included',
  lines: [
    { id: ID, what: 'Wheel alignment', quantity: 1, unitMinor: 8_900 },
    { id: OTHER, what: 'New tire, front', quantity: 2, unitMinor: 9_800 },
  ],
};
const signed = { ...estimate, signed: { name: 'Tess Ter', at: '2026-03-01T10:00:00.000Z' } };
const WEIGHING = { choices: [], arms: [], sensors: null } as unknown as CostComparison;
const show = (kept?: WorkEstimate, rest: VisitDraft['visit'] = {}) =>
  showStep(<Estimate weighing={WEIGHING} course="align" replace={['lf', 'rf']} />, {
    draft: kept ? { visit: { ...rest, estimate: kept } } : {},
  });
const row = (name: string) => within(screen.getByRole('listitem', { name }));

describe('Estimate', () => {
  it('is made from the price list for the course and the tires', () => {
    const { enter } = show();
    fireEvent.click(screen.getByRole('button', { name: 'Make the estimate' }));
    const [[path, made]] = enter.mock.calls as [[string, WorkEstimate]];
    expect(path).toBe('visit.estimate');
    expect(made).toMatchObject({ version: 1, currency: 'EUR', taxPercent: 20 });
    expect(made.lines.map(({ unitMinor, quantity }) => unitMinor * quantity)).toEqual([
      DEFAULT_PRICES.items.align,
      2 * DEFAULT_PRICES.items.tireFront,
      2 * DEFAULT_PRICES.items.fitTire,
      2 * DEFAULT_PRICES.items.disposal,
    ]);
  });

  it('sums to the cent, and what was accepted apart', () => {
    show({
      ...estimate,
      lines: [{ ...estimate.lines[0]!, answer: 'accepted' }, estimate.lines[1]!],
    });
    const sums = screen.getByRole('region', { name: 'The estimate' });
    expect(sums).toHaveTextContent('In all€285.00');
    expect(sums).toHaveTextContent('Without tax€237.50Tax, 20 %€47.50');
    expect(sums).toHaveTextContent('Accepted, with tax€89.00');
  });

  it('keeps a no with its reason, and lets go of the reason when it becomes a yes', () => {
    const { enter } = show({
      ...estimate,
      lines: [{ ...estimate.lines[0]!, answer: 'declined', reason: 'sells the car' }],
    });
    expect(row('Wheel alignment').getByLabelText(/Why not/)).toHaveValue('sells the car');
    fireEvent.click(row('Wheel alignment').getByRole('button', { name: 'Yes' }));
    expect((enter.mock.calls[0]![1] as WorkEstimate).lines).toEqual([
      { ...estimate.lines[0]!, answer: 'accepted' },
    ]);
    expect(answered({ ...estimate.lines[0]!, answer: 'later' }, null)).toEqual(estimate.lines[0]);
  });

  it('refuses a price that is none, at its field', () => {
    const { enter } = show(estimate);
    const field = row('Wheel alignment').getByLabelText('Each, EUR');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: 'a lot' } });
    fireEvent.blur(field);
    expect(screen.getByText('An amount such as 98.50')).toBeVisible();
    expect(enter).not.toHaveBeenCalled();
  });

  it('becomes a new version when it is changed after it was signed', () => {
    const { enter } = show(signed);
    expect(screen.getByRole('status')).toHaveTextContent('Signed by Tess Ter');
    fireEvent.click(screen.getByRole('button', { name: 'Remove Wheel alignment' }));
    const [[, next]] = enter.mock.calls as [[string, WorkEstimate]];
    expect(next.version).toBe(2);
    expect(next.signed).toBeUndefined();
    expect(next.lines).toEqual([estimate.lines[1]]);
  });

  it('is signed only with every line answered, by name and by finger', () => {
    const { enter } = show(estimate);
    fireEvent.click(screen.getByRole('button', { name: 'Hand to the customer' }));
    const dialog = within(screen.getByRole('dialog', { name: 'What shall we do?' }));
    fireEvent.click(dialog.getByRole('button', { name: 'Sign' }));
    expect(dialog.getByRole('alert')).toHaveTextContent('2 lines have no answer yet');
    const say = (what: string, answer: string) =>
      fireEvent.click(
        within(dialog.getByRole('group', { name: what })).getByRole('button', { name: answer }),
      );
    say('Wheel alignment', 'Yes');
    say('New tire, front', 'Later');
    const pad = dialog.getByTestId('signature');
    fireEvent.pointerDown(pad, { clientX: 5, clientY: 5 });
    fireEvent.pointerMove(pad, { clientX: 9, clientY: 7 });
    fireEvent.pointerUp(pad);
    fireEvent.click(dialog.getByRole('button', { name: 'Sign' }));
    const [[, kept]] = enter.mock.calls as [[string, WorkEstimate]];
    expect(kept.lines.map(({ answer }) => answer)).toEqual(['accepted', 'later']);
    expect(kept.signed).toMatchObject({ name: 'Tess Ter' });
    expect(kept.signed!.strokes).toHaveLength(1);
    expect(kept.version).toBe(1);
  });
});

describe('the tablet turned round', () => {
  it('speaks the customer’s language, and keeps another when it is pressed', () => {
    const items: WorkEstimate = {
      ...estimate,
      lines: [
        { id: ID, item: 'align', what: papers.prices.align, quantity: 1, unitMinor: 10_000 },
        { id: OTHER, what: 'A thing of the shop’s own', quantity: 2, unitMinor: 2_050 },
      ],
    };
    const { enter } = show(items, { handOver: { language: 'es' } });
    fireEvent.click(screen.getByRole('button', { name: 'Hand to the customer' }));
    const dialog = within(screen.getByRole('dialog', { name: '¿Qué hacemos?' }));
    const [ours, own] = dialog.getAllByRole('listitem');
    expect(ours).toHaveTextContent(/^Alineación completa, todos los ángulos100,00/);
    expect(own).toHaveTextContent(/^2 × A thing of the shop’s own41,00/);
    fireEvent.click(dialog.getByRole('button', { name: 'Firmar' }));
    expect(dialog.getByRole('alert')).toHaveTextContent('Faltan por contestar 2 líneas');
    fireEvent.click(dialog.getByRole('button', { name: 'English' }));
    expect(enter).toHaveBeenCalledWith('visit.handOver.language', 'en');
  });
});

describe('packages, hours and alternatives', () => {
  const items: WorkEstimate = {
    ...estimate,
    lines: [
      { id: ID, item: 'align', what: 'Wheel alignment', quantity: 1, unitMinor: 10_000 },
      { id: OTHER, item: 'fitTire', what: 'Fit', quantity: 4, unitMinor: 2_000 },
    ],
  };
  const pack = { name: 'Both', items: ['align', 'fitTire'] as PriceItem[], offPercent: 10 };
  const settings = {
    ...SESSION.shop.settings,
    prices: { ...DEFAULT_PRICES, packages: [pack] },
  };
  const showWith = (choices: unknown[] = [], change: Partial<CostComparison> = {}) =>
    showStep(
      <Estimate
        weighing={{ ...WEIGHING, choices, ...change } as CostComparison}
        course="align"
        replace={['lf', 'rf']}
      />,
      {
        draft: { visit: { estimate: items } },
        session: { ...SESSION, shop: { ...SESSION.shop, settings } },
      },
    );
  const linesOf = ({ enter }: ReturnType<typeof showWith>) =>
    (enter.mock.calls.at(-1) as [string, WorkEstimate])[1].lines;

  it('takes a package that fits, and says what it saves', () => {
    const shown = showWith();
    expect(screen.getByText('€18.00')).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'As a package: Both' }));
    expect(linesOf(shown).map(({ unitMinor, pack: name }) => [unitMinor, name])).toEqual([
      [9_000, 'Both'],
      [1_800, 'Both'],
    ]);
  });

  it('adds an hour of work at the shop’s rate', () => {
    const shown = showWith();
    fireEvent.click(screen.getByRole('button', { name: '+ Work by the hour' }));
    expect(linesOf(shown).at(-1)).toMatchObject({ quantity: 1, unitMinor: 7_200 });
  });

  it('offers other courses, cheapest over the tires’ life first, without those that are barred', () => {
    const shown = showWith([
      { course: 'fitOnly', perThousandKm: 900, bar: null },
      { course: 'balanceOrDampers', perThousandKm: 700, bar: 'unlikely' },
      { course: 'checkAlignment', perThousandKm: 800, bar: null },
      { course: 'align', perThousandKm: 600, bar: null },
    ]);
    const offered = screen.getAllByRole('button', { name: / now$/ });
    expect(offered.map((button) => button.textContent)).toEqual([
      expect.stringMatching(/^Have the alignment checked/),
      expect.stringMatching(/^Fit the new tires/),
    ]);
    fireEvent.click(offered[0]!);
    expect(linesOf(shown)[0]).toMatchObject({ item: 'check' });
  });

  it('offers air with pressure sensors where soft tires took rubber', () => {
    const sensors: CostComparison['sensors'] = {
      wheels: ['lf', 'rf'],
      minor: 11_800,
      atStake: 30_000,
    };
    const air = { course: 'inflateAndWatch', perThousandKm: 500, bar: null };
    const shown = showWith([air], { sensors });
    fireEvent.click(screen.getByRole('button', { name: /with pressure sensors.* now$/ }));
    expect(linesOf(shown)).toContainEqual(
      expect.objectContaining({ item: 'pressureSensor', quantity: 2 }),
    );
  });
});
