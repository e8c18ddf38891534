import { useRouter } from 'expo-router';
import type { YardState } from '../data/boats';
import { useWaiting } from '../data/waiting';
import { BigButton } from '../ui/BigButton';
import { Notice } from '../ui/Notice';

/** Says that the server is away, and what waits for it or for the user. Nothing where all is well. */
export function WaitingNotice({ yard, boats }: { readonly yard: YardState; readonly boats: number }) {
  const router = useRouter();
  const things = useWaiting();
  const asked = new Set(things.filter(({ trouble }) => trouble).map(({ boatId }) => boatId)).size;
  if (!yard.away && asked === 0) return null;
  const words = [
    yard.away
      ? boats > 0
        ? 'The server is away. You see what this device holds; changes are kept here and saved later.'
        : 'The server is away, and this device holds no boats yet.'
      : null,
    yard.away && things.length > 0
      ? `${things.length === 1 ? '1 thing waits' : `${things.length} things wait`} for a signal.`
      : null,
    asked > 0 ? `${asked === 1 ? '1 boat waits' : `${asked} boats wait`} for you to decide.` : null,
  ];
  return (
    <Notice
      tone="caution"
      icon="cloud-off-outline"
      actions={
        <>
          {things.length > 0 ? (
            <BigButton mode="outlined" onPress={() => router.navigate('/waiting')}>
              Look at them
            </BigButton>
          ) : null}
          {yard.away ? (
            <BigButton mode="outlined" onPress={yard.retry}>
              Try again
            </BigButton>
          ) : null}
        </>
      }
    >
      {words.filter(Boolean).join(' ')}
    </Notice>
  );
}
