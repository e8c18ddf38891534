import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { needsOf } from '@harbor-latch/core/assess/needs';
import type { Choices, Job } from '@harbor-latch/core/job/index';
import { useMemo } from 'react';
import { useWhileSeen } from '../useWhileSeen';
import type { AssessedBoat } from './assessment';
import { useDrafts } from './boats';

/**
 * A circuit as it was last assessed, under its own fields as they now are; what is
 * still needed where it was never assessed, which is nothing while it is being worked out.
 */
export function useCircuits(job: Job, { known }: AssessedBoat): readonly AssessedCircuit[] {
  return useMemo(
    () =>
      job.circuits.map((circuit): AssessedCircuit => {
        const last = known?.circuits.find((one) => one.circuit.id === circuit.id);
        return last ? underFields(last, circuit) : { status: 'incomplete', circuit, needs: needsOf(circuit) };
      }),
    [job.circuits, known],
  );
}

const underFieldsKnown = new WeakMap<AssessedCircuit, AssessedCircuit>();

/** The same assessment under other fields; the same object for the same fields. */
function underFields(last: AssessedCircuit, circuit: Job['circuits'][number]): AssessedCircuit {
  const known = underFieldsKnown.get(last);
  if (known?.circuit === circuit) return known;
  const one = { ...last, circuit };
  underFieldsKnown.set(last, one);
  return one;
}

const NONE: Choices = {};

/** What is chosen for a circuit at this moment, ahead of what follows from it. */
export function useChoicesNow(boatId: string, circuitId: string): Choices {
  const drafts = useDrafts();
  return useWhileSeen(drafts, () => {
    const circuits = drafts.all().get(boatId)?.job.circuits;
    return circuits?.find(({ id }) => id === circuitId)?.choices ?? NONE;
  });
}
