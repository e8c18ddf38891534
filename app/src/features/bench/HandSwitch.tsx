import type { SwitchPosition } from '@harbor-latch/core/circuit/index';
import { memo, useContext, useRef } from 'react';
import { Pressable, View } from 'react-native';
import { Press } from '../../ui/Press';
import { roving } from '../../ui/roving';
import { stylesFor } from '../../ui/stylesFor';
import { fonts } from '../../ui/theme';
import { useStable } from '../../ui/useStable';
import { TextScaleContext, Words } from '../../ui/Words';

const words: Readonly<Record<SwitchPosition, string>> = { manual: 'Manual', off: 'Off', auto: 'Auto' };

/** So wide a position is at least where there is room, of words of the usual size, px. */
const BASIS = 96;

const useSwitch = stylesFor(({ accent, accentSoft, muted, surface }) => {
  const position = {
    flexGrow: 1,
    flexBasis: BASIS,
    minHeight: 68,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 12,
    borderWidth: 1,
    borderColor: muted,
    backgroundColor: surface,
  } as const;
  return {
    whole: { gap: 4 },
    row: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
    position,
    // Where it stands takes the same room: nothing moves when it is turned.
    taken: {
      ...position,
      borderColor: accent,
      boxShadow: `inset 0 0 0 2px ${accent}`,
      backgroundColor: accentSoft,
    },
    words: { fontFamily: fonts.medium, fontSize: 18 },
  } as const;
});

/** The circuit's switch, as large as a glove; a manual that springs back is held. */
export const HandSwitch = memo(function HandSwitch({
  id,
  name,
  now,
  order,
  springs,
  onTurn,
  onHold,
}: {
  readonly id: string;
  readonly name: string;
  readonly now: SwitchPosition;
  readonly order: readonly SwitchPosition[];
  /** Whether its manual springs back. */
  readonly springs: boolean;
  readonly onTurn: (id: string, position: SwitchPosition) => void;
  readonly onHold: (id: string, position: SwitchPosition) => void;
}) {
  const styles = useSwitch();
  const before = useRef<SwitchPosition>('off');
  const held = useRef(false);
  const press = useStable(() => {
    if (held.current) return;
    held.current = true;
    before.current = now === 'manual' ? 'off' : now;
    onHold(id, 'manual');
  });
  const release = useStable(() => {
    if (!held.current) return;
    held.current = false;
    onHold(id, before.current);
  });
  const turn = useStable((position: SwitchPosition) => onTurn(id, position));
  return (
    <View style={styles.whole}>
      <Words kind="strong">{name}</Words>
      <View role="radiogroup" aria-label={name} style={styles.row} {...roving}>
        {order.map((position) => (
          <Position
            key={position}
            position={position}
            label={position === 'manual' && order.length === 2 ? 'On' : words[position]}
            taken={position === now}
            springs={springs && position === 'manual'}
            onTurn={turn}
            onPress={press}
            onRelease={release}
          />
        ))}
      </View>
    </View>
  );
});

/** One position of the switch. */
const Position = memo(function Position({
  position,
  label,
  taken,
  springs,
  onTurn,
  onPress,
  onRelease,
}: {
  readonly position: SwitchPosition;
  readonly label: string;
  readonly taken: boolean;
  readonly springs: boolean;
  readonly onTurn: (position: SwitchPosition) => void;
  readonly onPress: () => void;
  readonly onRelease: () => void;
}) {
  const styles = useSwitch();
  const scale = useContext(TextScaleContext);
  const keys = {
    onKeyDown: (event: { key: string; preventDefault: () => void }) => {
      if (event.key !== ' ' && event.key !== 'Enter') return;
      event.preventDefault();
      onPress();
    },
    onKeyUp: onRelease,
    onBlur: onRelease,
  };
  const own = taken ? styles.taken : styles.position;
  const look = scale === 1 ? own : [own, { flexBasis: BASIS * scale }];
  const state = { role: 'radio', 'aria-checked': taken, tabIndex: taken ? 0 : -1 } as const;
  const name = <Words style={styles.words}>{label}</Words>;
  // A hand that holds it, and lets it go, is heard by the library alone.
  return springs ? (
    <Pressable
      {...state}
      aria-label={`${label}, hold`}
      onPressIn={onPress}
      onPressOut={onRelease}
      {...keys}
      style={look}
    >
      {name}
      <Words kind="small" muted>
        springs back
      </Words>
    </Pressable>
  ) : (
    <Press {...state} aria-label={label} onPress={() => onTurn(position)} style={look}>
      {name}
    </Press>
  );
});
