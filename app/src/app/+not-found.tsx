import { useRouter } from 'expo-router';
import { BigButton } from '../ui/BigButton';
import { Empty } from '../ui/Empty';
import { Screen } from '../ui/Screen';

export default function NotFoundRoute() {
  const router = useRouter();
  return (
    <Screen title="Nothing here" back="/">
      <Empty
        icon="help-circle-outline"
        title="There is nothing at this address"
        action={<BigButton onPress={() => router.navigate('/')}>To the yard</BigButton>}
      >
        The address may be mistyped.
      </Empty>
    </Screen>
  );
}
