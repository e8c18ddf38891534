import { View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import type { Task } from '../../data/waterWorker';
import { BigButton } from '../../ui/BigButton';
import { Notice } from '../../ui/Notice';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';

/** How far a long run is, with the way to end it; what went wrong, with the way to begin again. */
export function Progress({ task, what }: { readonly task: Task<unknown>; readonly what: string }) {
  const palette = usePalette();
  const { state } = task;
  if (state.kind === 'running') {
    const share = state.of > 0 ? state.done / state.of : undefined;
    return (
      <View role="status" style={{ gap: 6 }}>
        <Words kind="small" muted>
          {state.of > 0 ? `${what}: ${state.done} of ${state.of}` : `${what} is being reckoned`}
        </Words>
        <ProgressBar
          {...(share === undefined ? { indeterminate: true } : { progress: share })}
          color={palette.accent}
          accessibilityLabel={`${what}, progress`}
        />
        <View style={{ alignItems: 'flex-start' }}>
          <BigButton mode="text" onPress={task.cancel}>
            Cancel
          </BigButton>
        </View>
      </View>
    );
  }
  if (state.kind === 'cancelled' || state.kind === 'failed') {
    return (
      <Notice
        tone={state.kind === 'failed' ? 'stop' : 'note'}
        icon={state.kind === 'failed' ? 'alert-octagon' : 'cancel'}
        actions={
          <BigButton mode="outlined" onPress={task.again}>
            Begin again
          </BigButton>
        }
      >
        {state.kind === 'failed' ? `${what} broke off: ${state.message}` : `${what} was cancelled.`}
      </Notice>
    );
  }
  return null;
}
