import { postRoles, type PanelPosts } from '@harbor-latch/core/trace/panelPosts';
import { spotName, type Spot } from '@harbor-latch/core/trace/panelOutline';
import { useRef } from 'react';
import { Pressable, View } from 'react-native';
import { Picture } from '../../photographs/Picture';
import { stylesFor } from '../../ui/stylesFor';
import { fonts } from '../../ui/theme';
import { Words } from '../../ui/Words';

const HEIGHT = 260;
const SPOT = 48;
/** Width of the words under a spot, px: no more than lies between two of them. */
const LABEL = 88;
const STEP = 0.03;

const useStyles = stylesFor(({ raised, muted, surface, accent, accentSoft, text }) => {
  const spot = {
    position: 'absolute',
    width: SPOT,
    height: SPOT,
    borderRadius: SPOT / 2,
    borderWidth: 2,
    alignItems: 'center',
    justifyContent: 'center',
    borderColor: text,
    backgroundColor: surface,
  } as const;
  return {
    box: {
      height: HEIGHT,
      borderRadius: 12,
      borderWidth: 2,
      borderColor: muted,
      backgroundColor: raised,
      overflow: 'hidden',
    },
    whole: { position: 'absolute', left: 0, top: 0, right: 0, bottom: 0 },
    spot,
    chosen: { ...spot, borderColor: accent, borderWidth: 4, backgroundColor: accentSoft },
    number: { fontFamily: fonts.bold },
    label: {
      position: 'absolute',
      width: LABEL,
      alignItems: 'center',
    },
    words: { backgroundColor: surface, borderRadius: 4, paddingHorizontal: 4, textAlign: 'center', lineHeight: 16 },
  };
});

/** The panel's back with its posts as numbered spots, on a plain ground or on a photograph. */
export function PostOutline({
  spots,
  panel,
  photo,
  chosen,
  onChoose,
  onEmpty,
  onMove,
}: {
  readonly spots: readonly Spot[];
  readonly panel: PanelPosts | null;
  /** The picture under it; null for none. */
  readonly photo: string | null;
  readonly chosen: string | null;
  readonly onChoose: (id: string | null) => void;
  /** An empty place was touched, 0 to 1 across and down. */
  readonly onEmpty: (x: number, y: number) => void;
  readonly onMove: (id: string, x: number, y: number) => void;
}) {
  const styles = useStyles();
  const box = useRef<View>(null);
  const touched = (event: { readonly nativeEvent: object }) => {
    const area = (box.current as unknown as HTMLElement | null)?.getBoundingClientRect();
    const { clientX, clientY } = event.nativeEvent as { readonly clientX?: number; readonly clientY?: number };
    if (!area || clientX === undefined || clientY === undefined) return;
    onEmpty(share((clientX - area.left) / area.width), share((clientY - area.top) / area.height));
  };
  return (
    <View ref={box} style={styles.box} role="group" aria-label="The panel’s back, seen from behind">
      {photo === null ? null : (
        <View style={styles.whole}>
          <Picture id={photo} fit="contain" />
        </View>
      )}
      <Pressable style={styles.whole} onPress={touched} tabIndex={-1} aria-hidden />
      {spots.map((spot) => {
        const role = panel?.roles.find(({ terminal }) => terminal !== null && terminal === spot.post)?.role;
        const words = [spot.printed, role && postRoles[role]].filter(Boolean).join(' · ');
        const near = { left: `calc(${spot.x * 100}% - ${SPOT / 2}px)`, top: spot.y * (HEIGHT - 4) - SPOT / 2 } as const;
        const keys = {
          onKeyDown: (event: { readonly key: string; preventDefault: () => void }) => {
            const by = arrows[event.key];
            if (!by) return;
            event.preventDefault();
            onMove(spot.id, share(spot.x + by[0]), share(spot.y + by[1]));
          },
        };
        return (
          <View key={spot.id}>
            <Pressable
              role="button"
              aria-pressed={spot.id === chosen}
              aria-label={`${spotName(spot)}${role ? `: ${postRoles[role]}` : ''}. Arrow keys move it.`}
              onPress={() => onChoose(spot.id === chosen ? null : spot.id)}
              style={[spot.id === chosen ? styles.chosen : styles.spot, near as object]}
              {...keys}
            >
              <Words style={styles.number}>{spot.id.slice(1)}</Words>
            </Pressable>
            {words === '' ? null : (
              <View
                aria-hidden
                style={[
                  styles.label,
                  {
                    left: `calc(${spot.x * 100}% - ${LABEL / 2}px)`,
                    top: spot.y * (HEIGHT - 4) + SPOT / 2 + 2,
                  } as object,
                ]}
              >
                <Words kind="small" numberOfLines={2} style={styles.words}>
                  {words}
                </Words>
              </View>
            )}
          </View>
        );
      })}
    </View>
  );
}

const share = (value: number) => Number(Math.min(0.95, Math.max(0.05, value)).toFixed(3));

const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};
