import { format } from 'date-fns';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useYardState } from '../../data/boats';
import { useWaiting, type WaitingThing } from '../../data/waiting';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Empty } from '../../ui/Empty';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { Screen } from '../../ui/Screen';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

const doing: Readonly<Record<WaitingThing['what'], string>> = {
  save: 'Changes to be saved',
  remove: 'To be removed',
  aside: 'Your copy, to be kept among the versions',
  photo: 'A photograph to be sent',
  stock: 'A change of the stock to be sent',
  record: 'An entry of her records to be sent',
};

/** What a thing waits for. */
function waitsFor({ trouble }: WaitingThing): string {
  if (trouble?.kind === 'conflict') return 'Waits for you: it was changed elsewhere too';
  if (trouble?.kind === 'refused') return `Not taken: ${trouble.message}`;
  return 'Waits for a signal';
}

/** What is on this device and not on the server yet, with what each thing waits for. */
export function WaitingScreen() {
  const things = useWaiting();
  const yard = useYardState();
  const router = useRouter();
  const palette = usePalette();
  return (
    <Screen title="Waiting to be sent" back="/">
      {things.length === 0 ? (
        <Empty
          icon="check"
          title="Nothing waits"
          action={<BigButton onPress={() => router.navigate('/')}>To the yard</BigButton>}
        >
          Everything that was changed on this device is on the server.
        </Empty>
      ) : (
        <>
          <Card>
            {things.map((thing, index) => (
              <PressRow
                key={thing.id}
                role="link"
                label={`${thing.name}: ${doing[thing.what]}. ${waitsFor(thing)}`}
                onPress={() => router.navigate(thing.what === 'stock' ? '/stock' : `/boat/${thing.boatId}`)}
                style={{
                  flexDirection: 'row',
                  alignItems: 'center',
                  gap: 10,
                  padding: 14,
                  borderTopWidth: index === 0 ? 0 : 1,
                  borderColor: palette.line,
                }}
              >
                <Icon
                  name={thing.trouble ? 'alert-octagon' : 'cloud-off-outline'}
                  color={thing.trouble ? palette.stop : palette.muted}
                />
                <View style={{ flex: 1, minWidth: 0 }}>
                  <Words kind="strong" numberOfLines={1}>
                    {thing.name}
                  </Words>
                  <Words kind="small">{doing[thing.what]}</Words>
                  <Words kind="small" muted>
                    {`${waitsFor(thing)} · since ${format(thing.at, 'd MMM, HH:mm')}`}
                  </Words>
                </View>
                <Icon name="chevron-right" color={palette.muted} />
              </PressRow>
            ))}
          </Card>
          <View style={{ alignItems: 'flex-start' }}>
            <BigButton onPress={yard.retry}>Send now</BigButton>
          </View>
          <Words kind="small" muted>
            It is kept on this device and goes out by itself, in this order, as soon as the server can be reached.
            Nothing of it is given up.
          </Words>
        </>
      )}
    </Screen>
  );
}
