import type { CircuitFacts, Finding, Fix, FixIdea, Judgement, Severity } from '../findings';
import { defaults } from '../reference';
import { formatAmps, formatOpening, formatPercent, formatVolts } from '../units';
import type { Opening } from '../wiring';
import type { Circuit } from '../job';

/** A circuit's facts with what its rules say of them. */
export interface Judged {
  readonly facts: CircuitFacts;
  readonly judgements: readonly Judgement[];
}

/**
 * Turns judgements into findings: ideas are tried on the circuit in turn, and the first
 * whose finding goes without a new stop is offered as the fix. They are tried
 * when the fix is first read: a list of many circuits never asks.
 * @param again assesses another state of the same circuit
 */
export function tryFixes(before: Judged, again: (circuit: Circuit) => Judged | null): Finding[] {
  const tried = new Map<string, Judged | null>();
  const outcomeOf = (idea: FixIdea) => {
    const key = JSON.stringify(idea.circuit);
    const known = tried.get(key);
    if (known !== undefined) return known;
    const outcome = again(idea.circuit);
    tried.set(key, outcome);
    return outcome;
  };
  return before.judgements.map(({ ideas = [], ...finding }): Finding => {
    if (ideas.length === 0) return finding;
    const fix = once(() => {
      for (const idea of ideas) {
        const after = outcomeOf(idea);
        if (after && answers(finding, before, after)) return { ...idea, effect: effectOf(before, after) };
      }
      return undefined;
    });
    // Defined, not written as a getter in a literal: some translators copy such literals and so ask at once.
    return Object.defineProperty<Finding>({ ...finding }, 'fix', { get: fix, enumerable: true });
  });
}

function once<T>(work: () => T): () => T {
  let done: { readonly value: T } | undefined;
  return () => (done ??= { value: work() }).value;
}

function answers(finding: Omit<Judgement, 'ideas'>, before: Judged, after: Judged): boolean {
  const name = nameOf(finding);
  const stops = new Set(before.judgements.filter(({ severity }) => severity === 'stop').map(nameOf));
  return after.judgements.every(
    (judgement) => nameOf(judgement) !== name && (judgement.severity !== 'stop' || stops.has(nameOf(judgement))),
  );
}

function nameOf({ code, about }: Omit<Judgement, 'ideas'>): string {
  return `${code} ${about ?? ''}`;
}

/** The figures that a change moves, before and after. */
function effectOf(before: Judged, after: Judged): Fix['effect'] {
  const pumpV = ({ facts }: Judged) =>
    formatVolts(facts.supplies.find((row) => row.supplyV === defaults.ratedSupplyV)?.pumpV ?? NaN);
  const count = (severity: Severity) => (judged: Judged) =>
    String(judged.judgements.filter((judgement) => judgement.severity === severity).length);
  const rows: readonly (readonly [string, (judged: Judged) => string])[] = [
    ['fuse', ({ facts }) => formatAmps(facts.protection.ratingA)],
    ['drop', ({ facts }) => formatPercent(facts.dropPercent)],
    ['at the pump from 12.0 V', pumpV],
    ['opens on a stalled pump in', ({ facts }) => openingWords(facts.protection.lockedRotorOpening)],
    ['stops', count('stop')],
    ['cautions', count('caution')],
  ];
  return rows
    .filter(([, figure]) => figure(before) !== figure(after))
    .map(([what, figure]) => `${what} ${figure(before)} → ${figure(after)}`);
}

function openingWords(opening: Opening): string {
  return opening.kind === 'opens' ? formatOpening(opening.seconds) : opening.kind === 'never' ? 'never' : 'not shown';
}
