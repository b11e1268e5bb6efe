import { describe, expect, it } from 'vitest';
import type { Language, Paper, ReasonCode, VisitDraft } from '@keen/contract';
import { DEFAULT_SHOP_SETTINGS, paperSchema } from '@keen/contract';
import { byWheel } from '../../engine/case/resolveCase.ts';
import { diagnose } from '../explain/diagnose.ts';
import { rankVisitOptions } from '../decide/rankVisitOptions.ts';
import { draftToCase } from '../../visit/draftToCase.ts';
import { customerPaper } from './customerPaper.ts';
import type { PaperFacts } from './paperFacts.ts';
import { technicianPaper } from './technicianPaper.ts';

/** A car that toed in in front, measured and set. */
const draft: VisitDraft = {
  vehicle: { drive: 'fwd' },
  tires: byWheel((wheel) => ({
    newDepth: 8,
    distance: 30_000,
    pressure: { measured: 200, target: 230 },
    stations: [
      wheel.endsWith('f')
        ? { inner: 5.2, centre: 4.4, outer: 3.3 }
        : { inner: 6.2, centre: 6.2, outer: 'unreadable' },
    ],
    feather: wheel.endsWith('f') ? 'catchesOutward' : 'none',
    ...(wheel === 'rr' ? { damage: ['bulge' as const] } : {}),
  })),
  angles: { lf: { toe: 0.06 }, rf: { toe: 0.05 } },
  visit: { setRight: { before: { lf: { toe: 0.35 }, rf: { toe: 0.33 } } } },
};
const { file } = draftToCase(draft, '');
const { diagnosis, expectedMm, outlook } = diagnose(file);
const facts = (language: Language, change: Partial<PaperFacts> = {}): PaperFacts => ({
  shop: { name: 'Test Tires', town: 'Testhaven', settings: DEFAULT_SHOP_SETTINGS, logo: null },
  visit: { number: 7, arrivedAt: '2026-03-01T09:00:00.000Z', draft },
  vehicle: { label: 'Van', plate: 'T 1', customer: 'Pia' },
  advisor: 'Mira',
  file,
  diagnosis,
  expectedMm,
  outlook,
  weighing: rankVisitOptions(
    outlook,
    DEFAULT_SHOP_SETTINGS.prices,
    draft,
    diagnosis.recommendation.replace,
  ),
  decision: null,
  declined: null,
  language,
  units: { depth: 'mm', distance: 'km', pressure: 'bar' },
  ...change,
});
const everything = (paper: Paper) => JSON.stringify(paper);

describe('customerPaper', () => {
  it('says what must not be driven before anything else, and that it was refused', () => {
    const { unsafe } = customerPaper(facts('en'));
    expect(unsafe!.strong).toBe('Not safe to drive: right rear.');
    expect(unsafe!.text).not.toMatch(/declined|agreed/);
    const decision = {
      action: 'align',
      advised: 'align',
      answer: 'no',
      reason: '',
      replace: [],
    } as const;
    const refused = customerPaper(facts('en', { decision: { ...decision, replace: [] } }));
    expect(refused.unsafe!.text).toContain('declined the work');
    expect(everything(refused)).toContain('Advised and not done: align the wheels');
  });

  it.each([
    ['en', 'too much play: left front. Below the legal limit: left rear.', 'The work was agreed'],
    ['es', 'holgura excesiva: delantera izquierda', 'El trabajo está acordado'],
  ] as const)(
    'names a joint and worn tread among what must not be driven, in %s',
    (language, what, agreed) => {
      const { visit } = facts(language);
      const tires = { ...draft.tires, rr: { ...draft.tires!.rr, damage: [] } };
      tires.lr = { ...tires.lr, stations: [{ inner: 1.4, centre: 3, outer: 3 }] };
      const unfit = { ...draft, tires, play: { lf: 'excessive' as const } };
      const decision = {
        action: 'partsThenAlign',
        advised: null,
        answer: 'yes',
        reason: '',
      } as const;
      const given = facts(language, {
        visit: { ...visit, draft: unfit },
        decision: { ...decision, replace: [] },
      });
      for (const paper of [customerPaper(given), technicianPaper(given)]) {
        expect(paper.unsafe!.strong).toContain(what);
      }
      expect(customerPaper(given).unsafe!.text).toContain(agreed);
    },
  );

  it('takes the tread for what the angles as found did to it, not those set since', () => {
    const paper = customerPaper(facts('en'));
    expect(paper.headline).toBe(
      'The front wheels have been toeing in. That is eating both outer edges.',
    );
    const table = paper.blocks.find((block) => block.kind === 'table')!;
    expect(table.rows[0]!.cells).toEqual([
      'Total toe, front axle',
      '+0.68°',
      '+0.11°',
      '−0.10° to +0.30°',
      'in',
    ]);
  });

  it.each([
    ['en', 'Dampers and balance first, then align'],
    ['es', 'Primero los amortiguadores y el equilibrado, después alinear'],
  ] as const)('says in %s that dampers come before the alignment', (language, course) => {
    const plain = facts(language);
    const align = plain.weighing.choices.find((one) => one.course === 'align')!;
    const weighing = { ...plain.weighing, advised: align, dampersFirst: true };
    const waves = { ...plain, weighing, outlook: { ...outlook, dampersFirst: true } };
    expect(everything(customerPaper(waves))).toContain(course);
    expect(everything(technicianPaper(waves))).toContain(course);
    expect(everything(customerPaper(plain))).not.toContain(course);
  });

  it.each([
    ['en', 'swap the two front tires', 'pulls the car to the left'],
    ['es', 'intercambie los dos neumáticos delanteros', 'tira del coche hacia la izquierda'],
  ] as const)('answers in %s what the driver reports, on both papers', (language, swap, pull) => {
    const answering = (...codes: ReasonCode[]) => {
      const recommendation = { ...diagnosis.recommendation, codes };
      const given = facts(language, { diagnosis: { ...diagnosis, recommendation } });
      return [customerPaper(given), technicianPaper(given)].map(everything);
    };
    for (const paper of answering({ code: 'unexplained', figures: ['pull'] })) {
      expect(paper).toContain(swap);
    }
    for (const paper of answering({ code: 'pull', figures: ['camber', 1, 'left'] })) {
      expect(paper).toContain(pull);
    }
    for (const paper of answering()) expect(paper).not.toContain(swap);
  });

  it('keeps to the schema in both languages, and to the customer’s units', () => {
    const miles = { depth: 'in32', distance: 'mi', pressure: 'psi' } as const;
    const english = customerPaper(facts('en', { units: miles }));
    const spanish = customerPaper(facts('es'));
    for (const paper of [english, spanish]) expect(paperSchema.parse(paper)).toEqual(paper);
    expect(english.drawing!.legend).toContain('32nds of an inch');
    expect(english.intro.text).toMatch(/32nds lost at the worst rib/);
    expect(everything(english)).toMatch(/18\s641\smi on these tires/u);
    expect(everything(spanish)).toMatch(/\d\d\s000\skm/u);
    expect(JSON.stringify([spanish.headline, spanish.blocks])).not.toMatch(
      /\b(wheels?|tires? |advised|inner)\b/,
    );
  });

  it('speaks of an earlier decline with what it has cost', () => {
    const declined = {
      number: 3,
      arrivedAt: '2025-03-01T09:00:00.000Z',
      advised: 'align',
      reason: 'not now',
      lostMm: byWheel(() => 1),
      tires: 0.8,
      cost: 9_400,
      work: 8_900,
    } as const;
    expect(everything(customerPaper(facts('en', { declined })))).toContain(
      'Advised on 1 March 2025 and declined: align the wheels. Since then the fault has used up about 0.8 tires, some €94.',
    );
  });
});

describe('technicianPaper', () => {
  it('tells toe as it was measured, in a length at its diameter, each half of a total', () => {
    const measured = {
      ...draft,
      visit: { ...draft.visit, measure: { toeIn: { unit: 'in' as const, diameter: 457.2 } } },
    };
    const { visit } = facts('en');
    const text = everything(technicianPaper(facts('en', { visit: { ...visit, draft: measured } })));
    // 18 in x sin 0.35 = 0.110; in all 18 (sin 0.35 + sin 0.33) = 0.214.
    expect(text).toContain('+0.110 in');
    expect(text).toContain('+0.214 in');
    const spanish = technicianPaper(facts('es', { visit: { ...visit, draft: measured } }));
    expect(everything(spanish)).toContain('+0,110 in');
  });

  it('says where damage is seen, where that is known', () => {
    const { visit } = facts('en');
    const at = {
      ...draft,
      visit: { ...draft.visit, tires: { rr: { damageAt: { bulge: 'innerSidewall' as const } } } },
    };
    const text = everything(technicianPaper(facts('en', { visit: { ...visit, draft: at } })));
    expect(text).toContain('bulge (inner sidewall)');
  });

  it('has every reading, what could not be read, and each angle with its doubt', () => {
    const paper = technicianPaper(facts('en'));
    expect(paperSchema.parse(paper)).toEqual(paper);
    const [depths, tires] = paper.blocks.filter((block) => block.kind === 'table');
    expect(depths!.rows.map(({ cells }) => cells)).toContainEqual(['Left rear', '6.2', '6.2', '×']);
    expect(tires!.rows[0]!.cells).toContain('2.00 / 2.30');
    expect(everything(paper)).toMatch(/\+0\.06° ± 0\.\d\d/);
    expect(everything(paper)).toContain('bulge');
  });
});
