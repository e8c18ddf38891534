import {
  inFlow,
  inMillimetres,
  type CircuitFacts,
  type Finding,
  type Fix,
  type FixIdea,
  type Judgement,
  type Severity,
  type WaterFacts,
} from '../findings';
import { defaults } from '../reference';
import { formatAmps, formatOpening, formatPercent, formatVolts } from '../units';
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
 */
export function tryFixes<Facts>(
  before: Judged<Facts>,
  again: (circuit: Circuit) => Judged<Facts> | null,
  effectOf: Effect<Facts>,
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
  return before.judgements.map(({ ideas = [], ...finding }): Finding => {
    if (Array.isArray(ideas) && ideas.length === 0) return finding;
    const fix = once(() => {
      for (const idea of typeof ideas === 'function' ? ideas() : ideas) {
        const after = outcomeOf(idea);
        if (after && answers(finding, before, after)) return { ...idea, effect: effectOf(before, after) };
      }
      return undefined;
    });
    return withFix(finding, fix);
  });
}

/** The finding with a fix that is asked for when first read. */
export function withFix(finding: Finding, fix: () => Fix | undefined): Finding {
  return new FixableFinding(finding, fix);
}

/** The finding as plain data, its fix tried: to send elsewhere, or to copy. */
export function plainFinding({ code, severity, message, rule, source, about, fix }: Finding): Finding {
  return {
    code,
    severity,
    message,
    rule,
    source,
    ...(about === undefined ? {} : { about }),
    ...(fix === undefined ? {} : { fix }),
  };
}

/**
 * A class, so that all share one getter: engines keep a shape for every object
 * whose getter is its own, and with the shape all that its getter knows.
 */
class FixableFinding implements Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly message: string;
  readonly rule: string;
  readonly source: string;
  readonly about?: string;
  private readonly ask: () => Fix | undefined;

  constructor({ code, severity, message, rule, source, about }: Finding, ask: () => Fix | undefined) {
    this.code = code;
    this.severity = severity;
    this.message = message;
    this.rule = rule;
    this.source = source;
    if (about !== undefined) this.about = about;
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

function answers(finding: Omit<Judgement, 'ideas'>, before: Judged<unknown>, after: Judged<unknown>): boolean {
  const name = nameOf(finding);
  const stops = new Set(before.judgements.filter(({ severity }) => severity === 'stop').map(nameOf));
  return after.judgements.every(
    (judgement) => nameOf(judgement) !== name && (judgement.severity !== 'stop' || stops.has(nameOf(judgement))),
  );
}

function nameOf({ code, about }: Omit<Judgement, 'ideas'>): string {
  return `${code} ${about ?? ''}`;
}

type Row<Facts> = readonly [what: string, figure: (judged: Judged<Facts>) => string];

const count = (severity: Severity) => (judged: Judged<unknown>) =>
  String(judged.judgements.filter((judgement) => judgement.severity === severity).length);

const counts: readonly Row<unknown>[] = [
  ['stops', count('stop')],
  ['cautions', count('caution')],
];

/** What a change moves of a float, whatever it serves. */
const floatRows: readonly Row<{ readonly water: WaterFacts | null }>[] = [
  ['float’s base', ({ facts }) => heightWords(facts.water?.float?.zM)],
  ['switches on at', ({ facts }) => heightWords(facts.water?.float?.onM)],
  ['lowest it may stand', ({ facts }) => heightWords(facts.water?.window?.minM ?? undefined)],
];

const pumpRows: readonly Row<CircuitFacts>[] = [
  ['fuse', ({ facts }) => formatAmps(facts.protection.ratingA)],
  ['drop', ({ facts }) => formatPercent(facts.dropPercent)],
  [
    'at the pump from 12.0 V',
    ({ facts }) => formatVolts(facts.supplies.find((row) => row.supplyV === defaults.ratedSupplyV)?.pumpV ?? NaN),
  ],
  ['a stalled pump opens it', ({ facts }) => openingWords(facts.protection.lockedRotorOpening)],
  ['pumps at 12.8 V', ({ facts }) => flowWords(facts)],
];

/** What a change to a circuit with a pump moves. */
export const pumpEffect: Effect<CircuitFacts> = (before, after) =>
  moved([...pumpRows, ...floatRows, ...counts], before, after);

/** What a change to an alarm moves. */
export const floatEffect: Effect<{ readonly water: WaterFacts | null }> = (before, after) =>
  moved([...floatRows, ...counts], before, after);

function moved<Facts>(rows: readonly Row<Facts>[], before: Judged<Facts>, after: Judged<Facts>): string[] {
  return rows
    .filter(([, figure]) => figure(before) !== figure(after))
    .map(([what, figure]) => `${what} ${figure(before)} → ${figure(after)}`);
}

function heightWords(metres: number | undefined): string {
  return metres === undefined ? 'open' : inMillimetres(metres);
}

function flowWords({ water }: CircuitFacts): string {
  const row = water?.poses[0]?.operating.find(({ supplyV }) => supplyV === defaults.runningSupplyV);
  return row ? inFlow(row.flowLPerH) : 'not known';
}

function openingWords(opening: Opening): string {
  return opening.kind === 'opens'
    ? `after ${formatOpening(opening.seconds)}`
    : opening.kind === 'never'
      ? 'never'
      : 'not shown';
}
