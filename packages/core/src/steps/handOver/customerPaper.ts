import type { Paper, PaperBlock, PaperLine, PaperLines } from '@keen/contract';
import { CLOSING_POINTS } from '@keen/contract/words';
import { resolveCase } from '../../engine/case/resolveCase.ts';
import { createReasons } from '../explain/reasons.ts';
import { verdictOf } from '../explain/verdict.ts';
import { hundredIn, sureIn } from '../../words/texts.ts';
import { batteryVerdict } from '../../engine/vehicle/battery.ts';
import { reminders } from './reminders.ts';
import type { Reminder } from './reminders.ts';
import { angleBlock, leftWords } from './angleBlock.ts';
import { isSetAtHome } from '../setRight/closingList.ts';
import { estimateBlock, worthLines } from './moneyBlocks.ts';
import { courseWords } from '../explain/verdict.ts';
import {
  advisedCourse,
  complaintWords,
  dangerLine,
  line,
  lines,
  paperDrawing,
  paperHead,
  writerFor,
} from './paperFacts.ts';
import type { PaperFacts, Writer } from './paperFacts.ts';

/** Causes likelier than this are listed for the customer. */
const LISTED_FROM = 0.1;
const MOST_LISTED = 4;

/** The customer's sheet: what was found, why, what it is worth, what was done, what comes next. */
export function customerPaper(facts: PaperFacts): Paper {
  const writer = writerFor(facts);
  const { papers, texts } = writer;
  const verdict = verdictOf(facts.diagnosis, facts.file, { texts, unit: facts.units.depth });
  return {
    language: facts.language,
    title: `${papers.customerTitle}, ${facts.vehicle.plate}`,
    ...paperHead(facts, writer),
    unsafe: safety(facts, writer),
    headline: verdict.headline,
    intro: line(
      verdict.sure,
      [verdict.detail, sinceWords(facts, writer)].filter(Boolean).join(' '),
    ),
    drawing: paperDrawing(facts, writer),
    blocks: [
      { kind: 'pair', left: causes(facts, writer), right: advice(facts, writer) },
      ...given(declinedLine(facts, writer)),
      ...given(decided(facts, writer)),
      ...given(angleBlock(facts, writer, false)),
      ...given(done(facts, writer)),
      ...given(estimateBlock(facts.visit.draft.visit?.estimate, writer)),
      { kind: 'pair', left: next(facts, writer), right: watch(facts, writer) },
      ...given(alsoSeen(facts, writer)),
      ...given(note(facts)),
    ],
    footer: papers.footer,
  };
}

/** Since when the answer speaks of the tires, where that is not their whole life. */
function sinceWords({ diagnosis: { since } }: PaperFacts, { papers, about }: Writer): string {
  return since ? papers.since(about(since.km), since.because) : '';
}

function given<T extends PaperBlock>(block: T | null): T[] {
  return block ? [block] : [];
}

/** What must not be driven stands first, whatever else was found. */
function safety({ visit, decision }: PaperFacts, writer: Writer): PaperLine | null {
  const first = dangerLine(visit.draft, writer);
  if (!first || !decision || decision.answer === 'open') return first;
  const { refusedUnsafe, agreedUnsafe } = writer.papers;
  const said = decision.answer === 'no' ? refusedUnsafe : agreedUnsafe;
  return line(first.strong, `${first.text} ${said}`);
}

/** The causes with their chances, and the first reason for each from this car's own numbers. */
function causes(facts: PaperFacts, { papers, texts }: Writer): PaperLines {
  const reasonsFor = createReasons(resolveCase(facts.file), facts.units.depth, texts);
  const listed = facts.diagnosis.ranked
    .filter((cause) => cause.probability >= LISTED_FROM)
    .slice(0, MOST_LISTED)
    .map((ranked) => {
      const { because } = reasonsFor(ranked);
      const sure = sureIn(texts, ranked.probability);
      return line(
        `${texts.causes[ranked.cause]}, ${texts.places[ranked.where]}.`,
        `${sure}, ${hundredIn(texts, ranked.probability)}.`,
        because[0] ?? '',
      );
    });
  return lines(
    papers.heads.causes,
    listed.length > 0 ? listed : [line('', papers.nothingStandsOut)],
  );
}

function advice(facts: PaperFacts, writer: Writer): PaperLines {
  const { papers, texts, places } = writer;
  const { decision, diagnosis, weighing } = facts;
  const course = weighing.advised.course;
  const answers = complaintWords(facts, writer);
  const replace = decision ? decision.replace : diagnosis.recommendation.replace;
  return lines(papers.heads.advice, [
    line(
      `${courseWords(course, { fitsTires: replace.length > 0, ...weighing }, texts)}.`,
      course === 'partsThenAlign' ? `${papers.lookUnder} ${papers.partsHold}` : '',
    ),
    ...(answers === '' ? [] : [line('', answers)]),
    ...(replace.length > 0 ? [line(papers.replace(places(replace)))] : []),
    ...worthLines(facts, writer),
  ]);
}

function decided(facts: PaperFacts, { papers, texts }: Writer): PaperLines | null {
  const { decision, weighing } = facts;
  if (!decision) return null;
  const isOwn = decision.action !== advisedCourse(facts) && decision.reason !== '';
  return lines('', [
    line(
      papers.decided(
        lower(
          courseWords(
            decision.action,
            { fitsTires: decision.replace.length > 0, ...weighing },
            texts,
          ),
        ),
      ),
      [isOwn ? papers.because(decision.reason) : '', papers.answers[decision.answer]]
        .filter(Boolean)
        .join(' '),
    ),
  ]);
}

/** What was advised before and declined, with what that has cost. */
function declinedLine({ declined, shop }: PaperFacts, writer: Writer): PaperLines | null {
  if (!declined) return null;
  const { papers, texts, date, number, money } = writer;
  const { advised, arrivedAt, tires, cost } = declined;
  return lines('', [
    line(
      '',
      papers.declined(
        lower(texts.actionsAlone[advised]),
        date(arrivedAt),
        number(tires, 1),
        money(cost, shop.settings.prices.currency, true),
      ),
    ),
  ]);
}

/** How soon what was set by hand is looked at on a rig (common practice, no source). */
const RIG_WITHIN_KM = 500;

/** What was done before the car was given back, and whether the complaints are gone. */
function done({ visit }: PaperFacts, writer: Writer): PaperLines | null {
  const { papers, about } = writer;
  const { closing = {}, complaintGone = {} } = visit.draft.visit?.setRight ?? {};
  const points = CLOSING_POINTS.filter((point) => closing[point] === 'done').map(
    (point) => papers.closing[point],
  );
  const complaints = (visit.draft.complaints ?? []).flatMap((complaint) => {
    const isGone = complaintGone[complaint];
    return isGone === undefined ? [] : [`${papers.complaints[complaint]}: ${papers.gone(isGone)}`];
  });
  const said = [...points, ...complaints];
  const more = [
    ...leftWords(visit.draft, writer),
    ...(isSetAtHome(visit.draft) ? [papers.setAtHome(about(RIG_WITHIN_KM))] : []),
  ];
  if (said.length + more.length === 0) return null;
  return lines(papers.heads.done, [
    ...(said.length > 0 ? [line('', `${said.join('. ')}.`)] : []),
    ...more.map((words) => line('', words)),
  ]);
}

function next(facts: PaperFacts, { papers, about }: Writer): PaperLines {
  const { visit, outlook, decision } = facts;
  const wheelsOff = decision?.answer === 'yes' && decision.replace.length > 0;
  const when = ({ afterKm, months }: Reminder) =>
    afterKm === null ? papers.inMonths(months ?? 0) : papers.afterDistance(about(afterKm));
  return lines(
    papers.heads.next,
    reminders(visit.draft, outlook, wheelsOff).map((reminder) =>
      line(`${when(reminder)}:`, `${papers.next[reminder.what]}.`),
    ),
  );
}

function watch(facts: PaperFacts, { papers, texts }: Writer): PaperLines {
  const { decision, weighing } = facts;
  const course = advisedCourse(facts);
  const isUndone = decision?.answer === 'no' && course !== 'fitOnly';
  const work = courseWords(course, { fitsTires: false, ...weighing }, texts);
  return lines(papers.heads.watch, [
    ...(isUndone ? [line('', papers.watch.undone(lower(work)))] : []),
    line('', papers.watch.pressure),
    line('', papers.watch.change),
  ]);
}

/** What was noted on the walk round the car. */
function alsoSeen({ visit }: PaperFacts, { papers, number }: Writer): PaperLines | null {
  const { warningLights, codes, battery, nutTorque, lamps } = visit.draft.visit?.quick ?? {};
  const { walk } = papers;
  const facts: string[] = [];
  if (warningLights) facts.push(`${walk.warningLights}: ${plain(warningLights)}`);
  if (codes) facts.push(`${walk.codes}: ${plain(codes)}`);
  if (battery) {
    const { share, isWeak } = batteryVerdict(battery);
    facts.push(walk.battery(Math.round(100 * share), isWeak));
  }
  if (nutTorque !== undefined) facts.push(walk.nutTorque(number(nutTorque, 0)));
  if (lamps) facts.push(walk.lamps(lamps === 'fault'));
  if (facts.length === 0) return null;
  return lines('', [line(`${papers.heads.alsoSeen}:`, `${facts.join('. ')}.`)]);
}

/** The shop's own sentence. */
function note({ shop, language }: PaperFacts): PaperLines | null {
  const own = shop.settings.sheetNote[language];
  return own === '' ? null : lines('', [line('', own)]);
}

function plain(text: string): string {
  return text.replace(/\.$/, '');
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
