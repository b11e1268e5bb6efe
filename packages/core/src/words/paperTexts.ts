import type { LineAnswer, ReminderKind, PriceItem } from '@keen/contract';
import type {
  Adjuster,
  ClosingPoint,
  Complaint,
  Cupping,
  Damage,
  DamageZone,
  Feather,
  LedgerState,
  Method,
  Part,
  Play,
  RotationPattern,
  SetStep,
  SetupState,
  Wheel,
} from '@keen/contract/words';
import type { DangerKind } from '../visit/dangers.ts';

/** Kinds of rows in the angle ledger, the first part of a row's key. */
export type LedgerKind =
  | 'camber'
  | 'crossCamber'
  | 'caster'
  | 'crossCaster'
  | 'sai'
  | 'included'
  | 'toe'
  | 'totalToe'
  | 'thrust'
  | 'setback'
  | 'toeOut';

/** What the papers say around the computation, in one language. */
export interface PaperTexts {
  customerTitle: string;
  technicianTitle: string;
  visit(number: number): string;
  /** At the drawing, over each tire. */
  wheelTitles: Record<Wheel, string>;
  /** How far the tires have run: see distanceOnTires. */
  runOn: {
    same(distance: string): string;
    axles(front: string, rear: string): string;
    range(least: string, most: string): string;
  };
  /** Why a car must not be driven: what and where, and what may happen. */
  dangers: Record<DangerKind, { what(places: string): string; why: string }>;
  legend(unit: string): string;
  in32: string;
  heads: {
    causes: string;
    advice: string;
    done: string;
    angles: string;
    estimate(version: number): string;
    next: string;
    alsoSeen: string;
    watch: string;
    readings: string;
    tires: string;
    parts: string;
    set: string;
    closing: string;
    complaints: string;
  };
  nothingStandsOut: string;
  /**
   * Since when the answer speaks of the tires.
   * @param distance - run since, with its unit
   */
  since(distance: string, because: 'putRight' | 'changed'): string;
  replace(places: string): string;
  lookUnder: string;
  partsHold: string;
  /** A life with its interval, distances as text. */
  life(median: string, low: string, high: string): string;
  lifeFit(life: string): string;
  lifeWith(withIt: string, asIs: string): string;
  saves(distance: string, money: string): string;
  oldTires(median: string, low: string, high: string): string;
  decided(action: string): string;
  because(reason: string): string;
  /** Work that was declined at an earlier visit: what, when, rubber as a count of tires, money. */
  declined(action: string, date: string, tires: string, money: string): string;
  answers: Record<'yes' | 'no' | 'open', string>;
  refusedUnsafe: string;
  agreedUnsafe: string;
  lineAnswers: Record<LineAnswer, string>;
  sum(taxPercent: string, tax: string): string;
  accepted: string;
  signedBy(name: string, date: string): string;
  /** The tablet turned round: the estimate to be answered and signed. */
  signing: {
    title: string;
    forCar(shop: string, car: string): string;
    saidYes(taxPercent: string): string;
    name: string;
    whoSigns: string;
    byFinger: string;
    signed: string;
    wipe: string;
    unanswered(count: number): string;
    sign: string;
    back: string;
  };
  prices: Record<PriceItem, string>;
  /** When something is due: by distance and, where it is known, by day. */
  afterDistance(distance: string): string;
  inMonths(months: number): string;
  next: Record<ReminderKind, string>;
  walk: {
    warningLights: string;
    codes: string;
    battery(share: number, isWeak: boolean): string;
    nutTorque(newtonMetres: string): string;
    lamps(isFault: boolean): string;
  };
  watch: { pressure: string; change: string; undone(action: string): string };
  angleColumns: { angle: string; before: string; now: string; limits: string; state: string };
  angles: Record<LedgerKind, string>;
  states: Record<LedgerState, string>;
  to(low: string, high: string): string;
  noAngles: string;
  doubt: string;
  closing: Record<ClosingPoint, string>;
  setupStates: Record<SetupState | 'open', string>;
  complaints: Record<Complaint, string>;
  gone(isGone: boolean): string;
  torqueUnknown: string;
  columns: {
    tire: string;
    place: string;
    size: string;
    date: string;
    pressure: string;
    touch: string;
    damage: string;
    step: string;
    adjuster: string;
    reach: string;
    fastener: string;
  };
  feathers: Record<Feather, string>;
  cuppings: Record<Cupping, string>;
  damages: Record<Damage, string>;
  /** Where damage is seen on a tire. */
  damageZones: Record<DamageZone, string>;
  plays: Record<Play, string>;
  parts: Record<Part, string>;
  noParts: string;
  methods: Record<Method, string>;
  adjusters: Record<Adjuster, string>;
  steps: Record<Exclude<SetStep, `${string}-${Wheel}`>, string>;
  measuredBy(what: string, method: string): string;
  recheckAfter(distance: string): string;
  /** Angles that were left out of their limits, named. */
  leftAsItIs(names: string): string;
  /** Set with tapes, strings or a level: to be looked at on a rig within this distance. */
  setAtHome(distance: string): string;
  rotation: Record<RotationPattern, string>;
  footer: string;
  technicianFooter: string;
  /** A page that ends. */
  linkEnds(date: string): string;
}
