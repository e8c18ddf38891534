import type { BodyOf, RecordKind } from '@harbor-latch/core/records/kinds/index';
import { standing, type KnownEntry } from '@harbor-latch/core/records/known';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { recordsAfter } from '../data/api';
import { readSettings } from '../data/settings';
import { useYardOnDevice } from '../data/yardOnDevice';
import type { Aboard } from '../device/Aboard';
import { deviceKeyOf } from '../device/deviceKey';
import { keepRecord, linksBrought, signedRow } from '../device/recordRows';
import type { RecordRow, Waiting } from '../device/rows';
import { useWhileSeen } from '../useWhileSeen';

/** The records of a boat as this device has them. */
export interface RecordsHere {
  /** False until what lies on the device was read. */
  readonly ready: boolean;
  readonly rows: readonly RecordRow[];
  /** Those that count, in the order in which they were made. */
  readonly entries: readonly KnownEntry[];
  /** Entries that the server did not take, with its reason. */
  readonly refused: ReadonlyMap<string, string>;
}

const NONE: readonly RecordRow[] = [];

/** The records of a boat, followed as they are written here, in other tabs and elsewhere. */
export function useRecords(boat: string): RecordsHere {
  const { aboard, feed } = useYardOnDevice();
  const written = useWhileSeen(aboard, () => aboard.recordsWritten);
  const whole = useWhileSeen(aboard, () => aboard.feed?.whole ?? true);
  // As text, which is the same until an entry is refused or taken: whatever else waits changes nothing here.
  const refusals = useWhileSeen(aboard, () => JSON.stringify(refusedOf(aboard.waiting)));
  const feedState = useWhileSeen(feed, () => feed.state);
  const [read, setRead] = useState<{ readonly boat: string; readonly rows: readonly RecordRow[] } | null>(null);
  useEffect(() => {
    let wanted = true;
    void aboard.records(boat).then((rows) => {
      if (wanted) setRead({ boat, rows });
    });
    return () => {
      wanted = false;
    };
  }, [aboard, boat, written]);
  useEffect(() => {
    // Of a large yard only the records of boats that are looked at are brought.
    if (!whole && feedState.kind === 'current') void bringRecords(aboard, boat).catch(() => undefined);
  }, [aboard, boat, whole, feedState]);
  const rows = read?.boat === boat ? read.rows : NONE;
  const entries = useMemo(() => standing(rows.map(({ signed }) => signed.entry)), [rows]);
  const refused = useMemo(() => new Map(JSON.parse(refusals) as ReturnType<typeof refusedOf>), [refusals]);
  return useMemo(() => ({ ready: read?.boat === boat, rows, entries, refused }), [read, boat, rows, entries, refused]);
}

/** The entries that the server did not take, by id, each with its reason. */
function refusedOf(waiting: readonly Waiting[]): (readonly [string, string])[] {
  return waiting.flatMap((one) => (one.kind === 'record' && one.refused !== null ? [[one.id, one.refused]] : []));
}

async function bringRecords(aboard: Aboard, boat: string): Promise<void> {
  const there = await aboard.records(boat);
  let reached = Math.max(0, ...there.map(({ link }) => link?.number ?? 0));
  for (let more = true; more;) {
    const page = await recordsAfter(boat, reached);
    if (page.records.length > 0) await aboard.change((change) => linksBrought(change, page.records));
    reached += page.records.length;
    ({ more } = page);
  }
}

/** Records something: signed by this device, kept on it, and sent when there is a signal. @returns the row as it is kept */
export type Recorder = <K extends RecordKind>(kind: K, circuit: string | null, body: BodyOf<K>) => Promise<RecordRow>;

/** Records of a boat. */
export function useRecorder(boat: { readonly id: string; readonly name: string }): Recorder {
  const { aboard } = useYardOnDevice();
  const { id, name } = boat;
  return useCallback(
    async (kind, circuit, body) => {
      const hand = { by: readSettings().person, now: Date.now(), newId: () => v7() };
      const key = await deviceKeyOf(aboard);
      const row = await signedRow({ boat: { id, name }, circuit, kind, body }, key, hand);
      await aboard.change((change) => keepRecord(change, row, name, hand));
      return row;
    },
    [aboard, id, name],
  );
}
