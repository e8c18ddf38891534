import type { Ref, ReactNode } from 'react';
import { ScrollView, StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';

const { fills, block } = StyleSheet.create({
  fills: { flex: 1 },
  block: { display: 'block' } as object,
});

/**
 * A column that scrolls down. Right inside what scrolls stands a plain block: where a flexible column does, the browser lays
 * out most of the page for one word that changes in it, about four times what it takes so.
 */
export function Scrolled({
  room,
  style = fills,
  content,
  region,
  children,
}: {
  /** What scrolls. */
  readonly room?: Ref<ScrollView>;
  /** Of the room in which it scrolls; it fills what there is where nothing is said. */
  readonly style?: StyleProp<ViewStyle>;
  /** Of the column itself. */
  readonly content: StyleProp<ViewStyle>;
  /** What a screen reader hears of it, where nothing in it can be reached by keys: it can itself then. */
  readonly region?: string;
  readonly children: ReactNode;
}) {
  const reached = region === undefined ? {} : { tabIndex: 0 as const, role: 'region' as const, 'aria-label': region };
  return (
    <ScrollView ref={room} style={style} contentContainerStyle={block} {...reached}>
      <View style={content}>{children}</View>
    </ScrollView>
  );
}
