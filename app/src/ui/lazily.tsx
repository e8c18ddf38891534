import { useEffect, useState, type ComponentType } from 'react';
import { View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { BigButton } from './BigButton';
import { Empty } from './Empty';
import { ModalDialog } from './ModalDialog';
import { Screen } from './Screen';
import { usePalette } from './theme';
import { Words } from './Words';

/** A screen whose code comes when it is first shown, or before. */
export interface LazyScreen<Props> {
  (props: Props): React.JSX.Element;
  /** Brings its code; a failure is left for when the screen is shown. */
  fetchAhead(): Promise<void>;
}

/**
 * A screen that is loaded apart from the rest. The renderer's own way of waiting
 * for code keeps its stand-in for a third of a second at least, however soon the
 * code is there; this one shows the screen as soon as it can, and at once when it
 * was fetched ahead.
 * @param Coming what stands in its place until then
 */
export function lazily<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  Coming: ComponentType<Props> = PageComing,
): LazyScreen<Props> {
  let there: ComponentType<Props> | null = null;
  let coming: Promise<void> | null = null;
  const fetchOnce = () => {
    coming ??= load().then(
      (component) => {
        there = component;
      },
      (error: unknown) => {
        coming = null;
        throw error;
      },
    );
    return coming;
  };

  function Lazy(props: Props) {
    const [state, setState] = useState<'waiting' | 'ready' | 'failed'>(there ? 'ready' : 'waiting');
    useEffect(() => {
      if (state !== 'waiting') return;
      let shown = true;
      const become = (next: 'ready' | 'failed') => () => {
        if (shown) setState(next);
      };
      fetchOnce().then(become('ready'), become('failed'));
      return () => {
        shown = false;
      };
    }, [state]);
    if (state === 'failed') return <NotHere onRetry={() => setState('waiting')} />;
    const Shown = state === 'ready' ? there : null;
    return Shown ? <Shown {...props} /> : <Coming {...props} />;
  }

  return Object.assign(Lazy, { fetchAhead: () => fetchOnce().catch(() => undefined) });
}

/** So long a page may take before it is said that it is coming, ms. */
const PATIENCE_MS = 400;
/** About what four buttons take, px. */
const PART_HEIGHT = 220;

/** Whether it takes so long by now that something is said. */
function useLong(): boolean {
  const [long, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), PATIENCE_MS);
    return () => clearTimeout(timer);
  }, []);
  return long;
}

function PageComing() {
  const palette = usePalette();
  const long = useLong();
  return (
    <View style={{ flex: 1, gap: 16, alignItems: 'center', justifyContent: 'center', backgroundColor: palette.ground }}>
      {long ? (
        <>
          <ActivityIndicator size="large" accessibilityLabel="The page is being loaded" />
          <Words muted>Loading the page</Words>
        </>
      ) : null}
    </View>
  );
}

/** In place of a dialog whose code comes. */
export function DialogComing({ onClose }: { readonly onClose: () => void }) {
  if (!useLong()) return null;
  return (
    <ModalDialog title="One moment" action="Close" onAction={onClose} onClose={onClose}>
      <ActivityIndicator accessibilityLabel="Being loaded" />
    </ModalDialog>
  );
}

/** In place of a part of a page whose code comes. */
export function PartComing() {
  return (
    <View style={{ minHeight: PART_HEIGHT, justifyContent: 'center' }}>
      {useLong() ? <ActivityIndicator accessibilityLabel="Being loaded" /> : null}
    </View>
  );
}

/** The code of a page did not come: without a connection, or from a server that has a newer one. */
function NotHere({ onRetry }: { readonly onRetry: () => void }) {
  return (
    <Screen title="Not loaded" back="/">
      <Empty
        icon="cloud-off-outline"
        title="This page is not on this device yet"
        action={<BigButton onPress={onRetry}>Try again</BigButton>}
      >
        It could not be fetched from the server. What you entered is kept on this device.
      </Empty>
    </Screen>
  );
}
