import { format } from 'date-fns';
import { useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { Dialog, TextInput } from 'react-native-paper';
import { BigButton } from '../ui/BigButton';
import { ModalDialog } from '../ui/ModalDialog';
import { PressRow } from '../ui/PressRow';
import { useShortcut } from '../ui/Shortcuts';
import { ToolButton } from '../ui/ToolButton';
import { Words } from '../ui/Words';
import { Picture } from './Picture';
import type { Photographs } from './usePhotographs';

/** The whole side of a kept photograph, px. */
const WHOLE = 1600;

/** One photograph large, with its note; the others by arrows. */
export function PhotographViewer({
  photographs: { list, note, remove },
  at,
  onAt,
  onClose,
}: {
  readonly photographs: Photographs;
  readonly at: string;
  readonly onAt: (id: string) => void;
  readonly onClose: () => void;
}) {
  const [near, setNear] = useState(false);
  const { height } = useWindowDimensions();
  const index = list.findIndex(({ id }) => id === at);
  const one = list[index];
  const step = (by: number) => {
    const next = list[index + by];
    setNear(false);
    if (next) onAt(next.id);
  };
  useShortcut({ keys: 'left', shown: '←', does: 'The photograph before' }, () => step(-1));
  useShortcut({ keys: 'right', shown: '→', does: 'The next photograph' }, () => step(1));
  if (!one) return null;
  const says = one.note ?? `Photograph ${index + 1} of ${list.length}`;
  const room = Math.max(160, Math.min(height * 0.5, 520));
  const takeOff = () => {
    remove(one.id);
    const next = list[index + 1] ?? list[index - 1];
    if (next) onAt(next.id);
    else onClose();
  };
  return (
    <ModalDialog title={`Photograph ${index + 1} of ${list.length}`} onClose={onClose}>
      <Dialog.Content style={{ gap: 10, paddingHorizontal: 16 }}>
        {near ? (
          <ScrollView style={{ height: room }}>
            <ScrollView horizontal>
              <View style={{ width: WHOLE, height: WHOLE }}>
                <Picture id={one.photo} says={says} fit="contain" />
              </View>
            </ScrollView>
          </ScrollView>
        ) : (
          <PressRow label="Look closer" onPress={() => setNear(true)} style={{ height: room }}>
            <Picture id={one.photo} says={says} fit="contain" />
          </PressRow>
        )}
        <View style={{ flexDirection: 'row', alignItems: 'center' }}>
          <ToolButton icon="arrow-left" label="The photograph before" disabled={index === 0} onPress={() => step(-1)} />
          <ToolButton
            icon={near ? 'magnify-minus-outline' : 'magnify-plus-outline'}
            label={near ? 'Show all of it' : 'Look closer'}
            onPress={() => setNear(!near)}
          />
          <ToolButton
            icon="arrow-right"
            label="The next photograph"
            disabled={index === list.length - 1}
            onPress={() => step(1)}
          />
          <Words kind="small" muted style={{ flex: 1, textAlign: 'right' }}>
            {[format(new Date(one.addedAt), 'd MMM yyyy, HH:mm'), one.addedBy].filter(Boolean).join(' · ')}
          </Words>
        </View>
        <TextInput
          key={one.id}
          mode="outlined"
          label="What is to be seen"
          accessibilityLabel="What is to be seen"
          defaultValue={one.note ?? ''}
          maxLength={1000}
          multiline
          onChangeText={(text) => note(one.id, text)}
        />
      </Dialog.Content>
      <Dialog.Actions style={{ justifyContent: 'space-between' }}>
        <BigButton mode="text" icon="delete-outline" onPress={takeOff}>
          Take it off
        </BigButton>
        <BigButton onPress={onClose}>Done</BigButton>
      </Dialog.Actions>
    </ModalDialog>
  );
}
