import { useYardOnDevice } from '../data/yardOnDevice';
import { downloadText } from '../data/files';
import { BigButton } from '../ui/BigButton';
import { Notice } from '../ui/Notice';

/** Says what an earlier release kept on this device and cannot be read: nothing of it is thrown away. */
export function UnreadNotice() {
  const [first, ...rest] = useYardOnDevice().unread();
  if (!first) return null;
  const all = [first, ...rest];
  return (
    <Notice
      tone="caution"
      icon="file-alert-outline"
      actions={
        <BigButton
          mode="outlined"
          onPress={() => all.forEach(({ key, text }) => downloadText(`${key}.json`, text, 'application/json'))}
        >
          Save it as a file
        </BigButton>
      }
    >
      {`${all.length === 1 ? 'A change' : `${all.length} changes`} kept by an earlier version cannot be read: ${first.why}`}
    </Notice>
  );
}
