import { isFloat, positionsOf, type Part, type SwitchPosition, roles } from '@harbor-latch/core/circuit/index';
import type { Plan } from '@harbor-latch/core/schemes/index';
import { useContext, useRef } from 'react';
import { Pressable, View } from 'react-native';
import { FoldedCard } from '../../fields/FoldedCard';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { roving } from '../../ui/roving';
import { fonts, usePalette } from '../../ui/theme';
import { TextScaleContext, Words } from '../../ui/Words';
import type { Bench } from './useBench';

/** Switches, water, fuses and isolator: everything a hand or the bilge can do. */
export function BenchControls({ bench, plan }: { readonly bench: Bench; readonly plan: Plan }) {
  const { state, netlist } = bench;
  const nameOf = (id: string) => plan.parts.find(({ part }) => part.id === id)?.name ?? id;
  const own = netlist.parts.find(({ id }) => id === roles.switch);
  const further = netlist.parts.filter((part) => part.id !== roles.switch && positionsOf(part).length > 0);
  const floats = netlist.parts.filter(isFloat);
  const openable = netlist.parts.filter(({ kind }) => kind === 'fuse' || kind === 'isolator');
  const setOpen = (id: string, open: boolean) =>
    bench.change({ open: open ? [...state.open, id] : state.open.filter((one) => one !== id) });
  return (
    <View style={{ gap: 14 }}>
      {own ? <HandSwitch bench={bench} part={own} name={nameOf(roles.switch)} /> : null}
      {floats.map((part) => (
        <Labelled
          key={part.id}
          label={part.kind === 'pump' ? 'Water at the pump' : `Water at the ${nameOf(part.id).toLowerCase()}`}
        >
          <ChoiceRow
            label={`Water at ${nameOf(part.id)}`}
            value={state.setting.floats[part.id] ?? 'down'}
            choices={[
              { value: 'down', label: 'Low' },
              { value: 'up', label: 'High' },
            ]}
            onChoose={(position) =>
              bench.change({ setting: { ...state.setting, floats: { ...state.setting.floats, [part.id]: position } } })
            }
          />
        </Labelled>
      ))}
      {further.map((part) => (
        <Labelled key={part.id} label={part.kind === 'alarm' ? 'Alarm' : nameOf(part.id)}>
          <ChoiceRow
            label={part.kind === 'alarm' ? 'Mute of the alarm' : nameOf(part.id)}
            value={state.setting.switches[part.id] ?? 'off'}
            choices={
              part.kind === 'alarm'
                ? [
                    { value: 'off', label: 'Listening' },
                    { value: 'manual', label: 'Muted' },
                  ]
                : [
                    { value: 'off', label: 'Off' },
                    { value: 'manual', label: 'On' },
                  ]
            }
            onChoose={(position) =>
              bench.change({
                setting: {
                  ...state.setting,
                  switches: { ...state.setting.switches, [part.id]: position as SwitchPosition },
                },
              })
            }
          />
        </Labelled>
      ))}
      <Openable folded={openable.every(({ id }) => !state.open.includes(id))}>
        {openable.map((part) => {
          const fuse = part.kind === 'fuse';
          const name = fuse ? `${nameOf(part.id)}, ${part.ratingA}\u00a0A` : nameOf(part.id);
          return (
            <Labelled key={part.id} label={name}>
              <ChoiceRow
                label={name}
                value={state.open.includes(part.id) ? 'open' : 'in'}
                choices={
                  fuse
                    ? [
                        { value: 'in', label: 'In' },
                        { value: 'open', label: 'Pulled' },
                      ]
                    : [
                        { value: 'in', label: 'On' },
                        { value: 'open', label: 'Off' },
                      ]
                }
                onChoose={(position) => setOpen(part.id, position === 'open')}
              />
            </Labelled>
          );
        })}
      </Openable>
    </View>
  );
}

/** Fuses and isolators: folded as long as all are in, since they are seldom touched. */
function Openable({ folded, children }: { readonly folded: boolean; readonly children: readonly React.ReactNode[] }) {
  if (children.length === 0) return null;
  return folded ? (
    <FoldedCard title="Fuses and isolators" summary="All in and on">
      {children}
    </FoldedCard>
  ) : (
    <>{children}</>
  );
}

function Labelled({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <View
      style={{ flexDirection: 'row', alignItems: 'center', gap: 10, flexWrap: 'wrap', justifyContent: 'space-between' }}
    >
      <Words kind="strong" style={{ flexShrink: 1, minWidth: 110 }}>
        {label}
      </Words>
      {children}
    </View>
  );
}

const words: Readonly<Record<SwitchPosition, string>> = { manual: 'Manual', off: 'Off', auto: 'Auto' };

/** The circuit's switch, as large as a glove; a manual that springs back is held. */
function HandSwitch({ bench, part, name }: { readonly bench: Bench; readonly part: Part; readonly name: string }) {
  const palette = usePalette();
  const scale = useContext(TextScaleContext);
  const { setting } = bench.state;
  const before = useRef<SwitchPosition>('off');
  const held = useRef(false);
  const springs =
    (part.kind === 'three-way-switch' && part.momentaryManual) || (part.kind === 'on-off-switch' && part.momentary);
  const now = setting.switches[part.id] ?? 'off';
  const order: readonly SwitchPosition[] =
    part.kind === 'three-way-switch' ? ['manual', 'off', 'auto'] : ['manual', 'off'];
  const at = (position: SwitchPosition) => ({ ...setting, switches: { ...setting.switches, [part.id]: position } });
  const press = () => {
    if (held.current) return;
    held.current = true;
    before.current = now === 'manual' ? 'off' : now;
    bench.hold(at('manual'));
  };
  const release = () => {
    if (!held.current) return;
    held.current = false;
    bench.hold(at(before.current));
  };
  return (
    <View style={{ gap: 4 }}>
      <Words kind="strong">{name}</Words>
      <View role="radiogroup" aria-label={name} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }} {...roving}>
        {order.map((position) => {
          const taken = position === now;
          const spring = springs && position === 'manual';
          const label = position === 'manual' && part.kind === 'on-off-switch' ? 'On' : words[position];
          const key = {
            onKeyDown: (event: { key: string; preventDefault: () => void }) => {
              if (event.key !== ' ' && event.key !== 'Enter') return;
              event.preventDefault();
              press();
            },
            onKeyUp: release,
            onBlur: release,
          };
          return (
            <Pressable
              key={position}
              role="radio"
              aria-checked={taken}
              tabIndex={taken ? 0 : -1}
              aria-label={spring ? `${label}, hold` : label}
              {...(spring
                ? { onPressIn: press, onPressOut: release, ...key }
                : { onPress: () => bench.change({ setting: at(position) }) })}
              style={{
                flexGrow: 1,
                flexBasis: 96 * scale,
                minHeight: 68,
                alignItems: 'center',
                justifyContent: 'center',
                borderRadius: 12,
                borderWidth: taken ? 3 : 1,
                borderColor: taken ? palette.accent : palette.muted,
                backgroundColor: taken ? palette.accentSoft : palette.surface,
              }}
            >
              <Words style={{ fontFamily: taken ? fonts.bold : fonts.medium, fontSize: 18 }}>{label}</Words>
              {spring ? (
                <Words kind="small" muted>
                  springs back
                </Words>
              ) : null}
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
