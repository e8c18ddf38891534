import { entryInWords, knownEntry, photographsOf } from '@harbor-latch/core/records/known';
import { isKnownKind, recordKinds } from '@harbor-latch/core/records/kinds/index';
import { format } from 'date-fns';
import { View } from 'react-native';
import { Picture } from '../../photographs/Picture';
import type { RecordRow } from '../../device/rows';
import { BigButton } from '../../ui/BigButton';
import { ModalDialog } from '../../ui/ModalDialog';
import { Notice } from '../../ui/Notice';
import { Words } from '../../ui/Words';

const AHEAD_MS = 5 * 60_000;

/** One entry whole: what it says, who made it when, its fingerprint, and the way back, which is an entry of its own. */
export function EntryDialog({
  row,
  refused,
  withdrawn,
  onWithdraw,
  onClose,
}: {
  readonly row: RecordRow;
  readonly refused: string | null;
  /** Whether it was taken back already, or takes one back itself. */
  readonly withdrawn: boolean;
  readonly onWithdraw: () => void;
  readonly onClose: () => void;
}) {
  const { entry } = row.signed;
  const kind = isKnownKind(entry.kind) ? recordKinds[entry.kind].name : entry.kind;
  const photographs = photographsOf(entry);
  const known = knownEntry(entry);
  const note = known && 'note' in known.body ? known.body.note : undefined;
  const ahead = row.link !== null && Date.parse(entry.madeAt) - Date.parse(row.link.receivedAt) > AHEAD_MS;
  return (
    <ModalDialog title={kind} action="Close" onAction={onClose} onClose={onClose}>
      <Words>{entryInWords(entry)}</Words>
      {note === undefined ? null : <Words>{note}</Words>}
      <Words kind="small" muted>
        {`${format(new Date(entry.madeAt), 'd MMM yyyy, HH:mm')}${entry.by === '' ? '' : `, by ${entry.by}`}`}
      </Words>
      {ahead ? (
        <Notice tone="caution" icon="timer">
          The clock of the device ran ahead: the server had this entry before it says that it was made.
        </Notice>
      ) : null}
      {photographs.map((id) => (
        <View key={id} style={{ height: 220, borderRadius: 10, overflow: 'hidden' }}>
          <Picture id={id} small={false} />
        </View>
      ))}
      <Words kind="small" muted selectable>
        {`Fingerprint ${row.hash.replace(/(.{8})(?=.)/g, '$1 ')}`}
      </Words>
      <Words kind="small" muted>
        {refused ??
          (row.link === null
            ? 'Not yet in the chain: it waits for a signal.'
            : `Number ${row.link.number} in the boat’s chain.`)}
      </Words>
      {withdrawn || entry.kind === 'proof' ? null : (
        <View style={{ alignItems: 'flex-start' }}>
          <BigButton mode="outlined" icon="undo" onPress={onWithdraw}>
            It was wrong: take it back
          </BigButton>
        </View>
      )}
    </ModalDialog>
  );
}
