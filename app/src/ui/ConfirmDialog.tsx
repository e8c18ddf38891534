import type { ReactNode } from 'react';
import { ScrollView } from 'react-native';
import { Button, Dialog } from 'react-native-paper';
import { ModalDialog } from './ModalDialog';
import { Words } from './Words';

/** Asks before something that replaces or removes. */
export function ConfirmDialog({
  title,
  text,
  more,
  actions,
  onClose,
}: {
  readonly title: string;
  readonly text: string;
  readonly more?: ReactNode;
  readonly actions: readonly { readonly label: string; readonly onPress: () => void }[];
  readonly onClose: () => void;
}) {
  return (
    <ModalDialog title={title} onClose={onClose}>
      <Dialog.Content>
        <Words>{text}</Words>
      </Dialog.Content>
      {more === undefined ? null : (
        <Dialog.ScrollArea style={{ maxHeight: 320 }}>
          <ScrollView>{more}</ScrollView>
        </Dialog.ScrollArea>
      )}
      <Dialog.Actions style={{ flexWrap: 'wrap' }}>
        <Button onPress={onClose} contentStyle={{ minHeight: 48 }}>
          Cancel
        </Button>
        {actions.map(({ label, onPress }) => (
          <Button key={label} mode="contained-tonal" onPress={onPress} contentStyle={{ minHeight: 48 }}>
            {label}
          </Button>
        ))}
      </Dialog.Actions>
    </ModalDialog>
  );
}
