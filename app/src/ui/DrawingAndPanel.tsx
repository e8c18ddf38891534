import type { ReactNode } from 'react';
import { View } from 'react-native';
import type { Room } from './room';
import { Scrolled } from './Scrolled';
import { usePalette } from './theme';

/** A drawing with a panel that scrolls: beside it where there is room, else under it. */
export function DrawingAndPanel({
  room,
  drawing,
  share,
  of,
  tabs = null,
  children,
}: {
  readonly room: Room;
  /** Null where the panel needs none. */
  readonly drawing: ReactNode;
  /** How much of the height the panel takes under a drawing. */
  readonly share: `${number}%`;
  /** What the panel is about: of another it is shown from its top. */
  readonly of: string;
  /** Above what scrolls. */
  readonly tabs?: ReactNode;
  readonly children: ReactNode;
}) {
  const palette = usePalette();
  const body = (
    <Scrolled key={of} content={{ padding: 14, gap: 12, paddingBottom: 32 }}>
      {children}
    </Scrolled>
  );
  const surface = { backgroundColor: palette.surface, borderColor: palette.line };
  if (room.beside)
    return (
      <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
        {drawing}
        <View style={{ width: room.toolsWidth, ...surface, borderLeftWidth: 1 }}>
          {tabs}
          {body}
        </View>
      </View>
    );
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      {drawing}
      <View
        style={{ ...(drawing ? { height: share } : { flex: 1 }), ...surface, borderTopWidth: drawing || tabs ? 1 : 0 }}
      >
        {tabs}
        {body}
      </View>
    </View>
  );
}
