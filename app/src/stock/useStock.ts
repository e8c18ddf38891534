import { stockOf, type StockState } from '@harbor-latch/core/build/stockLedger';
import type { StockChange } from '@harbor-latch/core/wire/index';
import { useCallback, useMemo } from 'react';
import { v7 } from 'uuid';
import type { Waiting } from '../device/rows';
import { dropStock, noteStock } from '../device/stockRows';
import { useSay } from '../ui/Said';
import { readSettings } from '../data/settings';
import { useYardOnDevice } from '../data/yardOnDevice';
import { useWhileSeen } from '../useWhileSeen';

/** An entry that the server did not take. */
export interface RefusedEntry {
  readonly id: string;
  readonly reason: string;
}

/** The yard's stock as this device has it. */
export interface StockHere {
  /** False until what lies on the device was read. */
  readonly ready: boolean;
  readonly state: StockState;
  readonly refused: readonly RefusedEntry[];
}

export function useStock(): StockHere {
  const { aboard } = useYardOnDevice();
  const entries = useWhileSeen(aboard, () => aboard.stock);
  // As text, which is the same until an entry is refused or taken: whatever else waits changes nothing here.
  const refusals = useWhileSeen(aboard, () => JSON.stringify(refusedOf(aboard.waiting)));
  const ready = useWhileSeen(aboard, () => aboard.ready);
  const state = useMemo(() => stockOf(entries), [entries]);
  const refused = useMemo(() => JSON.parse(refusals) as readonly RefusedEntry[], [refusals]);
  return useMemo(() => ({ ready, state, refused }), [ready, state, refused]);
}

function refusedOf(waiting: readonly Waiting[]): RefusedEntry[] {
  return waiting.flatMap((one) =>
    one.kind === 'stock' && one.refused !== null ? [{ id: one.id, reason: one.refused }] : [],
  );
}

/** What can be done with the stock. */
export interface StockHand {
  /** Notes what happened and says so, with a way back. */
  note(change: StockChange, said: string): void;
  /** Takes an entry back. */
  takeBack(entry: string, said: string): void;
  /** Gives up an entry that the server did not take. */
  giveUp(entry: string): void;
}

export function useStockHand(): StockHand {
  const { aboard } = useYardOnDevice();
  const say = useSay();
  const keep = useCallback(
    (what: StockChange) =>
      aboard.change((change) =>
        noteStock(change, what, { by: readSettings().person, now: Date.now(), newId: () => v7() }),
      ),
    [aboard],
  );
  return useMemo(
    () => ({
      note: (change, said) => void keep(change).then((entry) => say(said, () => void keep({ kind: 'undone', entry }))),
      takeBack: (entry, said) => void keep({ kind: 'undone', entry }).then(() => say(said)),
      giveUp: (entry) => void aboard.change((change) => dropStock(change, entry)),
    }),
    [aboard, keep, say],
  );
}
