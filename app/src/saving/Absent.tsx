import { useRouter } from 'expo-router';
import { ActivityIndicator } from 'react-native-paper';
import { View } from 'react-native';
import type { YardState } from '../data/boats';
import { BigButton } from '../ui/BigButton';
import { Empty } from '../ui/Empty';
import { Screen } from '../ui/Screen';

/** Stands in while a boat is loading, or says why it is not there. */
export function Absent({
  yard,
  what,
  back,
}: {
  readonly yard: YardState;
  readonly what: 'boat' | 'circuit';
  readonly back: string;
}) {
  const router = useRouter();
  if (yard.loading) {
    return (
      <Screen title="Harbor Latch" back={back}>
        <View style={{ paddingVertical: 64 }}>
          <ActivityIndicator accessibilityLabel="Loading" />
        </View>
      </Screen>
    );
  }
  return (
    <Screen title={`No such ${what}`} back={back}>
      {yard.away ? (
        <Empty
          icon="cloud-off-outline"
          title="The server is away"
          action={<BigButton onPress={yard.retry}>Try again</BigButton>}
        >
          {`This ${what} is not on this device, and the server cannot be reached just now.`}
        </Empty>
      ) : (
        <Empty
          icon="help-circle-outline"
          title={`This ${what} is not here`}
          action={<BigButton onPress={() => router.navigate('/')}>To the yard</BigButton>}
        >
          It may have been removed, or the address is mistyped.
        </Empty>
      )}
    </Screen>
  );
}
