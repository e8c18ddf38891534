import { useEffect, useState, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { useYardOnDevice } from '../../data/yardOnDevice';
import { Words } from '../../ui/Words';

interface Room {
  readonly pictures: number;
  readonly usedBytes: number | null;
  readonly quotaBytes: number | null;
  /** Whether the browser promised not to clear it under pressure. */
  readonly lasting: boolean;
}

const megabytes = (bytes: number) =>
  bytes < 1e9 ? `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)}\u00a0MB` : `${(bytes / 1e9).toFixed(1)}\u00a0GB`;

const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** What lies on this device, how much room it takes, and whether it is safe there. */
export function OnDevice() {
  const { aboard } = useYardOnDevice();
  const boats = useSyncExternalStore(aboard.subscribe, () => aboard.boats.size);
  const waiting = useSyncExternalStore(aboard.subscribe, () => aboard.waiting.length);
  const [room, setRoom] = useState<Room | null>(null);
  useEffect(() => {
    let seen = true;
    const look = async () => {
      const { usage = null, quota = null } = (await navigator.storage?.estimate().catch(() => null)) ?? {};
      const lasting = (await navigator.storage?.persisted().catch(() => false)) ?? false;
      const pictures = (await aboard.photoIds().catch(() => [])).length;
      if (seen) setRoom({ pictures, usedBytes: usage, quotaBytes: quota, lasting });
    };
    void look();
    return () => {
      seen = false;
    };
  }, [aboard, boats, waiting]);
  const size =
    room?.usedBytes === null || room?.usedBytes === undefined
      ? null
      : `${megabytes(room.usedBytes)} used${room.quotaBytes ? ` of ${megabytes(room.quotaBytes)}` : ''}, application and all`;
  return (
    <View style={{ gap: 2 }}>
      <Words>
        {[
          counted(boats, 'boat', 'boats'),
          room ? counted(room.pictures, 'picture', 'pictures') : null,
          waiting === 0
            ? 'nothing waits to be sent'
            : counted(waiting, 'thing waits to be sent', 'things wait to be sent'),
        ]
          .filter(Boolean)
          .join(' · ')}
      </Words>
      {size === null ? null : <Words kind="small">{size}</Words>}
      <Words kind="small" muted>
        {aboard.lasting
          ? room?.lasting
            ? 'The browser keeps it for good.'
            : 'The browser may clear it when room runs out; what was sent is on the server too.'
          : 'There is no room on this device: what you enter is held while the page stays open.'}
      </Words>
    </View>
  );
}
