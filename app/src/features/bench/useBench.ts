import {
  fittingSetting,
  onBench,
  restingBench,
  SolverMemory,
  truthRow,
  type BenchState,
  type Netlist,
  type TruthRow,
} from '@harbor-latch/core/circuit/index';
import { createContext, useCallback, useContext, useMemo, useState } from 'react';

/** Benches by their circuit, kept while the application is open: going to another station clears nothing. */
const kept = new Map<string, Kept>();

interface Kept {
  readonly state: BenchState;
  readonly past: readonly BenchState[];
}

const PAST_AT_MOST = 100;

export interface Bench {
  readonly state: BenchState;
  /** The netlist with its faults, fuses and isolators as they stand. */
  readonly netlist: Netlist;
  /** The operating point, or why there is none. */
  readonly row: TruthRow;
  readonly canUndo: boolean;
  change(next: Partial<BenchState>): void;
  /** Changes the setting without a way back: for a switch held by hand. */
  hold(setting: BenchState['setting']): void;
  undo(): void;
  reset(): void;
}

/** The bench as it stands now: what answers a touch at once reads it here, past all that follows a moment later. */
export const BenchNow = createContext<Bench | null>(null);

/** The bench as it stands now. @throws outside its station. */
export function useBenchNow(): Bench {
  const bench = useContext(BenchNow);
  if (!bench) throw new Error('No bench above this component.');
  return bench;
}

/** A circuit on the bench: its state, its answer, and the way back. */
export function useBench(id: string, planned: Netlist): Bench {
  const [bench, setBench] = useState<Kept>(() => kept.get(id) ?? { state: restingBench, past: [] });
  const put = useCallback(
    (next: (before: Kept) => Kept) =>
      setBench((before) => {
        const after = next(before);
        kept.set(id, after);
        return after;
      }),
    [id],
  );
  const { state } = bench;
  const [memory] = useState(() => new SolverMemory());
  const { open, faults } = state;
  const netlist = useMemo(() => onBench(planned, { open, faults }), [planned, open, faults]);
  const row = useMemo(
    () => truthRow(netlist, fittingSetting(netlist, state.setting), memory),
    [netlist, state.setting, memory],
  );
  // The same as long as it is the same bench: what only does something is not shown anew.
  const hands = useMemo(
    (): Pick<Bench, 'change' | 'hold' | 'undo' | 'reset'> => ({
      change: (part) =>
        put(({ state: before, past }) => ({
          state: { ...before, ...part },
          past: [...past, before].slice(-PAST_AT_MOST),
        })),
      hold: (setting) => put(({ state: before, past }) => ({ state: { ...before, setting }, past })),
      undo: () => put(({ state: now, past }) => ({ state: past[past.length - 1] ?? now, past: past.slice(0, -1) })),
      reset: () => put(({ state: before, past }) => ({ state: restingBench, past: [...past, before] })),
    }),
    [put],
  );
  const canUndo = bench.past.length > 0;
  return useMemo(() => ({ state, netlist, row, canUndo, ...hands }), [state, netlist, row, canUndo, hands]);
}
