import {
  findingId,
  waterSpeech,
  type CircuitFacts,
  type Finding,
  type Fix,
  type FixIdea,
  type Judgement,
  type Severity,
  type Topic,
  type WaterFacts,
} from '../findings';
import { defaults } from '../reference';
import { formatAmps, formatOpening, formatPercent, formatVolts, type UnitSystem } from '../units';
import type { Opening } from '../wiring';
import type { Circuit } from '../job';

/** A circuit's facts with what its rules say of them. */
export interface Judged<Facts = CircuitFacts> {
  readonly facts: Facts;
  readonly judgements: readonly Judgement[];
}

/** The figures that a change moves, before and after, in words. */
type Effect<Facts> = (before: Judged<Facts>, after: Judged<Facts>) => Fix['effect'];

/**
 * Turns judgements into findings: ideas are tried on the circuit in turn, and the first
 * whose finding goes without a new stop is offered as the fix. They are tried
 * when the fix is first read: a list of many circuits never asks.
 * @param again assesses another state of the same circuit
 * @param effectOf says what a change moves
 * @param beside what is judged beside the circuit and may become a stop by a change to it: of the battery that it shares
 */
export function tryFixes<Facts>(
  before: Judged<Facts>,
  again: (circuit: Circuit) => Judged<Facts> | null,
  effectOf: Effect<Facts>,
  beside: (judged: Judged<Facts>) => readonly Judgement[] = () => [],
): Finding[] {
  const tried = new Map<string, Judged<Facts> | null>();
  const outcomeOf = (idea: FixIdea) => {
    const key = JSON.stringify(idea.circuit);
    const known = tried.get(key);
    if (known !== undefined) return known;
    const outcome = again(idea.circuit);
    tried.set(key, outcome);
    return outcome;
  };
  return before.judgements.map(({ ideas = [], ...judgement }): Finding => {
    const finding = asFinding(judgement);
    if (Array.isArray(ideas) && ideas.length === 0) return finding;
    const fix = once(() => {
      let best: { readonly idea: FixIdea; readonly after: Judged<Facts>; readonly brings: number } | null = null;
      for (const idea of typeof ideas === 'function' ? ideas() : ideas) {
        const after = outcomeOf(idea);
        if (!after || !answers(finding, before.judgements, after.judgements)) continue;
        if (!answers(NOTHING, beside(before), beside(after))) continue;
        const brings = newCautions(before, after);
        if (best === null || brings < best.brings) best = { idea, after, brings };
        if (brings === 0) break;
      }
      if (!best) return undefined;
      const effect = effectOf(before, best.after);
      // A note may go without any figure that is shown moving.
      return { ...best.idea, effect: effect.length > 0 ? effect : ['this finding goes'] };
    });
    return withFix(finding, fix);
  });
}

/** The finding with a fix that is asked for when first read. */
export function withFix(finding: Finding, fix: () => Fix | undefined): Finding {
  return new FixableFinding(finding, fix);
}

/** The finding as plain data, its fix tried: to send elsewhere, or to copy. */
export function plainFinding({ id, code, severity, message, rule, source, at, topic, fix }: Finding): Finding {
  const finding: Finding = { id, code, severity, message, rule, source, at, topic };
  return fix === undefined ? finding : { ...finding, fix };
}

/**
 * A class, so that all share one getter: engines keep a shape for every object
 * whose getter is its own, and with the shape all that its getter knows.
 */
class FixableFinding implements Finding {
  readonly id: string;
  readonly code: string;
  readonly severity: Severity;
  readonly message: string;
  readonly rule: string;
  readonly source: string;
  readonly at: readonly string[];
  readonly topic: Topic;
  private readonly ask: () => Fix | undefined;

  constructor({ id, code, severity, message, rule, source, at, topic }: Finding, ask: () => Fix | undefined) {
    this.id = id;
    this.code = code;
    this.severity = severity;
    this.message = message;
    this.rule = rule;
    this.source = source;
    this.at = at;
    this.topic = topic;
    this.ask = once(ask);
  }

  get fix(): Fix | undefined {
    return this.ask();
  }

  /** For JSON, which knows an object's own properties only. */
  toJSON(): Finding {
    return plainFinding(this);
  }
}

function once<T>(work: () => T): () => T {
  let done: { readonly value: T } | undefined;
  return () => (done ??= { value: work() }).value;
}

/** A judgement as a finding, before anything was tried. */
export function asFinding({ code, severity, message, rule, source, at, topic = 'wiring' }: Judgement): Finding {
  return { id: findingId({ code, at }), code, severity, message, rule, source, at, topic };
}

type Placed = Pick<Judgement, 'code' | 'at'>;

/** No finding is this one: asked whether it is gone, only new stops count. */
export const NOTHING: Placed = { code: '', at: ['nowhere'] };

/** Whether two findings are of one code and share a place, or have none. */
function meets(one: Placed, other: Placed): boolean {
  if (one.code !== other.code) return false;
  return one.at.length === 0 || other.at.length === 0 || one.at.some((place) => other.at.includes(place));
}

/** Whether the finding is gone from every place, with no stop that was not there before. */
export function answers(finding: Placed, before: readonly Judgement[], after: readonly Judgement[]): boolean {
  const stops = before.filter(({ severity }) => severity === 'stop');
  return after.every(
    (judgement) =>
      !meets(finding, judgement) &&
      (judgement.severity !== 'stop' || stops.some((stop) => meets(stop, judgement) && covers(stop, judgement))),
  );
}

/** Whether a finding before spoke of every place of the one after. */
function covers(before: Placed, after: Placed): boolean {
  return after.at.every((place) => before.at.includes(place));
}

/** Cautions that a change brings: of two that help, the one that brings fewer is offered. */
function newCautions(before: Judged<unknown>, after: Judged<unknown>): number {
  const known = new Set(before.judgements.filter(({ severity }) => severity !== 'note').map(findingId));
  return after.judgements.filter((one) => one.severity === 'caution' && !known.has(findingId(one))).length;
}

type Row<Facts> = readonly [what: string, figure: (judged: Judged<Facts>) => string];

const count = (severity: Severity) => (judged: Judged<unknown>) =>
  String(judged.judgements.filter((judgement) => judgement.severity === severity).length);

const counts: readonly Row<unknown>[] = [
  ['stops', count('stop')],
  ['cautions', count('caution')],
];

/** What a change moves of a float, whatever it serves. */
const floatRows = (units: UnitSystem): readonly Row<{ readonly water: WaterFacts | null }>[] => {
  const heightWords = (metres: number | undefined) =>
    metres === undefined ? 'open' : waterSpeech(units).height(metres);
  return [
    ['float’s base', ({ facts }) => heightWords(facts.water?.float?.zM)],
    ['switches on at', ({ facts }) => heightWords(facts.water?.float?.onM)],
    ['lowest it may stand', ({ facts }) => heightWords(facts.water?.window?.minM ?? undefined)],
  ];
};

const pumpRows = (units: UnitSystem): readonly Row<CircuitFacts>[] => [
  ['fuse', ({ facts }) => formatAmps(facts.protection.ratingA)],
  ['drop', ({ facts }) => formatPercent(facts.dropPercent)],
  [
    'at the pump from 12.0 V',
    ({ facts }) => formatVolts(facts.supplies.find((row) => row.supplyV === defaults.ratedSupplyV)?.pumpV ?? NaN),
  ],
  ['a stalled pump opens it', ({ facts }) => openingWords(facts.protection.lockedRotorOpening)],
  ['pumps at 12.8 V', ({ facts }) => flowWords(facts, units)],
];

/** What a change to a circuit with a pump moves. */
export const pumpEffect =
  (units: UnitSystem): Effect<CircuitFacts> =>
  (before, after) =>
    moved([...pumpRows(units), ...floatRows(units), ...counts], before, after);

/** What a change to an alarm moves. */
export const floatEffect =
  (units: UnitSystem): Effect<{ readonly water: WaterFacts | null }> =>
  (before, after) =>
    moved([...floatRows(units), ...counts], before, after);

function moved<Facts>(rows: readonly Row<Facts>[], before: Judged<Facts>, after: Judged<Facts>): string[] {
  return rows
    .filter(([, figure]) => figure(before) !== figure(after))
    .map(([what, figure]) => `${what} ${figure(before)} → ${figure(after)}`);
}

function flowWords({ water }: CircuitFacts, units: UnitSystem): string {
  const row = water?.poses[0]?.operating.find(({ supplyV }) => supplyV === defaults.runningSupplyV);
  return row ? waterSpeech(units).flow(row.flowLPerH) : 'not known';
}

function openingWords(opening: Opening): string {
  return opening.kind === 'opens'
    ? `after ${formatOpening(opening.seconds)}`
    : opening.kind === 'never'
      ? 'never'
      : 'not shown';
}
