import {
  type AnyFacts,
  findingId,
  ideasOf,
  waterSpeech,
  type CircuitFacts,
  type Finding,
  type Fix,
  type FixIdea,
  type Judgement,
  type Means,
  type Severity,
  type WaterFacts,
} from '../findings';
import { defaults } from '../reference';
import { formatAmps, formatOpening, formatPercent, formatVolts, type UnitSystem } from '../units';
import type { Opening } from '../wiring';
import type { Circuit } from '../job';

/** A circuit's facts with what its rules say of them. */
export interface Judged<Facts = AnyFacts> {
  readonly facts: Facts;
  readonly judgements: readonly Judgement[];
}

/** What a fix is tried with. */
export interface Trial<Facts> extends Means {
  readonly before: Judged<Facts>;
  /** Judges another state of the same circuit; null where something is then missing. */
  again(circuit: Circuit): Judged<Facts> | null;
  /** The figures that a change moves, before and after, in words. */
  effectOf(before: Judged<Facts>, after: Judged<Facts>): Fix['effect'];
  /** What is judged beside the circuit and may become a stop by a change to it: of the battery that it shares. */
  beside(judged: Judged<Facts>): readonly Judgement[];
}

/**
 * The fix of a judgement: its ideas are tried on the circuit in turn, and the one whose
 * finding goes without a new stop, and with the fewest new cautions, is offered.
 * Undefined where none does.
 */
export function tryFix<Facts>(judgement: Judgement, trial: Trial<Facts>): Fix | undefined {
  const { before, again, effectOf, beside } = trial;
  let best: { readonly idea: FixIdea; readonly after: Judged<Facts>; readonly brings: number } | null = null;
  for (const idea of ideasOf(judgement, trial)) {
    const after = again(idea.circuit);
    if (!after || !answers(judgement, before.judgements, after.judgements)) continue;
    if (!answers(NOTHING, beside(before), beside(after))) continue;
    const brings = newCautions(before, after);
    if (best === null || brings < best.brings) best = { idea, after, brings };
    if (brings === 0) break;
  }
  if (!best) return undefined;
  const effect = effectOf(before, best.after);
  // A note may go without any figure that is shown moving.
  return { ...best.idea, effect: effect.length > 0 ? effect : ['this finding goes'] };
}

/** A judgement as a finding. */
export function asFinding({ ideas = [], ...judgement }: Judgement): Finding {
  const { code, severity, message, rule, source, at, topic = 'wiring' } = judgement;
  const mayHaveFix = typeof ideas === 'function' || ideas.length > 0;
  return { id: findingId({ code, at }), code, severity, message, rule, source, at, topic, mayHaveFix };
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

/** What a change to a circuit moves. */
export function effectOf(units: UnitSystem, before: Judged, after: Judged): Fix['effect'] {
  return isPumped(before) && isPumped(after)
    ? moved([...pumpRows(units), ...floatRows(units), ...counts], before, after)
    : moved([...floatRows(units), ...counts], before, after);
}

function isPumped(judged: Judged): judged is Judged<CircuitFacts> {
  return judged.facts.kind === 'pump';
}

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
