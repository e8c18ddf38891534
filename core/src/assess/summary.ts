import { bySeverity, type Severity } from '../findings/finding';
import type { AssessedCircuit, Assessment } from './assessed';
import { standingOf, worstStanding, type Standing } from './standing';

/** A circuit in one line. */
export interface CircuitSummary {
  readonly id: string;
  readonly standing: Standing;
  /** How many figures are still needed. */
  readonly needs: number;
  /** The worst that was found, notes left out; null where nothing was. */
  readonly worst: { readonly severity: Severity; readonly message: string } | null;
  /** The size of its first conductor; null while it is not sized. */
  readonly size: string | null;
  /** Null for an alarm with its own battery, or while it is not sized. */
  readonly ratingA: number | null;
  readonly dropPercent: number | null;
}

/** A boat in a few lines, for lists of many. */
export interface BoatSummary {
  readonly standing: Standing;
  readonly circuits: readonly CircuitSummary[];
}

/** What a list shows of an assessed circuit. */
export function summaryOf(assessed: AssessedCircuit): CircuitSummary {
  const { id } = assessed.circuit;
  const standing = standingOf(assessed);
  if (assessed.status === 'incomplete')
    return { id, standing, needs: assessed.needs.length, worst: null, size: null, ratingA: null, dropPercent: null };
  const [worst] = bySeverity(assessed.findings).filter(({ severity }) => severity !== 'note');
  return {
    id,
    standing,
    needs: 0,
    worst: worst ? { severity: worst.severity, message: worst.message } : null,
    size: assessed.facts.conductors[0]?.size ?? null,
    ratingA: assessed.status === 'sized' ? assessed.facts.protection.ratingA : null,
    dropPercent: assessed.status === 'sized' ? assessed.facts.dropPercent : null,
  };
}

/** What a list shows of an assessed boat. */
export function boatSummaryOf({ circuits }: Assessment): BoatSummary {
  return { standing: worstStanding(circuits.map(standingOf)), circuits: circuits.map(summaryOf) };
}
