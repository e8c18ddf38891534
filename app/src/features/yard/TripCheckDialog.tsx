import { routines } from '@harbor-latch/core/log/routine';
import type { Job } from '@harbor-latch/core/job/index';
import { pumpCircuits } from '@harbor-latch/core/schemes/index';
import { View } from 'react-native';
import { useRecorder } from '../../records/useRecords';
import { BigButton } from '../../ui/BigButton';
import { ModalDialog } from '../../ui/ModalDialog';
import { useSay } from '../../ui/Said';
import { Words } from '../../ui/Words';

export interface TripCheckProps {
  readonly boat: { readonly id: string; readonly name: string };
  /** Null where she is not on this device whole. */
  readonly job: Job | null;
  readonly circuits: readonly { readonly id: string; readonly name: string }[];
  readonly onClose: () => void;
}

/** A trip check: each pump ten seconds by hand, and whether water comes. One touch answers it. */
export function TripCheckDialog({ boat, job, circuits: all, onClose }: TripCheckProps) {
  // What has no pump is not run.
  const pumps = job && new Set(pumpCircuits(job).map(({ id }) => id));
  const circuits = all.filter(({ id }) => pumps?.has(id) ?? true);
  const record = useRecorder(boat);
  const say = useSay();
  const check = async (good: boolean, which: typeof circuits) => {
    onClose();
    const { words } = routines.trip;
    const rows: { readonly id: string; readonly row: { readonly id: string } }[] = [];
    for (const { id } of which) rows.push({ id, row: await record('check', id, { routine: 'trip', words, good }) });
    say(good ? `${boat.name}: checked, good` : `${boat.name}: noted as not good`, () => {
      for (const { id, row } of rows) void record('withdrawn', id, { entry: row.id });
    });
  };
  return (
    <ModalDialog title={`Trip check, ${boat.name}`} action="Close" onAction={onClose} onClose={onClose}>
      <Words>Manual for ten seconds, and a look at the outlet.</Words>
      <BigButton icon="check" onPress={() => void check(true, circuits)}>
        {circuits.length === 1 ? 'Water comes' : 'Water comes from all'}
      </BigButton>
      <View style={{ gap: 8 }}>
        {circuits.map((one) => (
          <BigButton key={one.id} mode="outlined" icon="alert" onPress={() => void check(false, [one])}>
            {circuits.length === 1 ? 'Not as it should be' : `Not good: ${one.name}`}
          </BigButton>
        ))}
      </View>
    </ModalDialog>
  );
}
