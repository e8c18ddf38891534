import { keptConductorA } from '../circuit';
import { formatAmps, toldApart } from '../units';
import type { Behaviour, ConductorFacts } from './facts';
import type { Circuit } from '../job';
import type { Judgement, RuleFamily } from './finding';
import { backToPlan, withIdeas } from './fixes';
import { inWords, solvedRows } from './rows';

export interface Wired {
  readonly circuit: Circuit;
  readonly conductors: readonly ConductorFacts[];
  readonly behaviour: Behaviour;
}

/** Wiring found otherwise than planned: what differs, what ends nowhere, what is overloaded by it. */
export const wiringRules: RuleFamily<Wired> = (facts) => {
  const { circuit, behaviour } = facts;
  if (!circuit.rewired) return [];
  const idea = withIdeas(backToPlan(circuit));
  const { strays, differences } = behaviour;
  return [
    ...strays.map(({ conductor, message }): Judgement => ({
      code: 'conductor-to-nowhere',
      severity: 'stop',
      message,
      rule: 'Every conductor ends at a terminal.',
      source: 'Wiring as found',
      at: [conductor],
      ...idea,
    })),
    ...overloads(facts).map((judgement) => ({ ...judgement, ...idea })),
    ...(differences.length === 0
      ? []
      : [
          {
            code: 'wired-otherwise',
            severity: 'note' as const,
            message: `Wired otherwise than planned. ${differences.join(' ')}`,
            rule: 'Findings on behaviour follow the wiring as found; sizes follow the plan.',
            source: 'Wiring as found',
            at: [],
            ...idea,
          },
        ]),
  ];
};

function overloads(facts: Wired): Judgement[] {
  const rows = solvedRows(facts.behaviour);
  return facts.conductors.flatMap(({ planned, ampacity, size }): Judgement[] => {
    const worst = rows.reduce(
      (most, row) => {
        const amps = Math.abs(keptConductorA(row.point, planned.id));
        return amps > most.amps ? { amps, row } : most;
      },
      { amps: 0, row: rows[0] },
    );
    // What may carry nothing where it runs has a finding of its own.
    if (!worst.row || ampacity.amps === 0 || worst.amps <= ampacity.amps * (1 + 1e-9)) return [];
    const [may, does] = toldApart(ampacity.amps, worst.amps, formatAmps);
    return [
      {
        code: 'overloaded-as-found',
        severity: 'stop',
        message: `${planned.name}: as found it carries ${does} with ${inWords(facts, worst.row)}, and ${size} may carry ${may}. Pull the fuse before anything else.`,
        rule: 'Current within the conductor’s ampacity.',
        source: ampacity.source,
        at: [planned.id],
      },
    ];
  });
}
