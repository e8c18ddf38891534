import type { Netlist, Part } from '../circuit';
import type { Repair } from './hypothesis';
import { made, pumpsOf, repairOf, type Candidate, type FaultGround } from './making';
import type { ShareGroup } from '../reference';

/** How bad a joint, a holder or a contact may be, Ω; all equally likely. */
const JOINT_OHM = [0.3, 1, 5, 50] as const;
const CONTACT_OHM = [1, 5, 50] as const;
const BATTERY_V = [11.8, 11, 9] as const;
const LEAK_OHM = [100, 1000, 10_000] as const;

/** What may be wrong with a part. */
export function ofPart(ground: FaultGround, part: Part): Candidate[] {
  const { nameOf, netlist } = ground;
  const { id } = part;
  const name = nameOf(id);
  switch (part.kind) {
    case 'joint':
      return ofJoint(ground, part.id, part.ways);
    case 'float-switch':
    case 'through-float':
    case 'probe-sensor':
      return ofFloat(ground, id, repairOf(`${id}:replace`, `Replace the ${name.toLowerCase()}`, true));
    case 'pump':
      return [
        ...(part.inside
          ? ofFloat(ground, id, repairOf(`${id}:replace`, 'Replace the pump: what starts it is inside', true))
          : []),
        ...made(ground, { code: 'winding-open', at: id, group: 'motor', repair: replacePump(id) }),
        ...made(ground, { code: 'brushes-worn', at: id, group: 'motor', repair: replacePump(id) }),
        ...made(ground, {
          code: 'rotor-locked',
          at: id,
          group: 'seized',
          repair: freePump(id),
          shows: { strainer: 'stuck fast' },
        }),
      ];
    case 'fuse':
      return [
        ...made(ground, {
          code: 'blown-fuse',
          at: id,
          group: 'fuse',
          repair: repairOf(`${id}:new`, `A new ${name.toLowerCase()} of the same rating`, true),
          shows: { [`fuse-look-${id}`]: 'blown', [`fuse-swap-${id}`]: 'holds' },
        }),
        ...pumpsOf(netlist)
          .filter((pump) => ground.blownBy({ code: 'rotor-locked', at: pump }).includes(id))
          .flatMap((pump) =>
            made(ground, {
              code: 'blown-fuse',
              at: id,
              group: 'fuse',
              repair: freePump(pump),
              with: [{ code: 'rotor-locked', at: pump }],
              where: [id, pump],
              shows: {
                [`fuse-look-${id}`]: 'blown',
                [`fuse-swap-${id}`]: 'far too much current',
                strainer: 'stuck fast',
              },
            }),
          ),
        ...made(ground, {
          code: 'holder-corroded',
          at: id,
          group: 'holder',
          degrees: JOINT_OHM,
          repair: repairOf(`${id}:holder`, `Replace the holder of the ${name.toLowerCase()}`, true),
          shows: { [`fuse-look-${id}`]: 'green or burnt clips' },
        }),
      ];
    case 'battery':
      return made(ground, {
        code: 'weak-battery',
        at: id,
        group: 'battery',
        degrees: BATTERY_V,
        repair: repairOf(`${id}:charge`, 'Charge the battery, then test it under load'),
      });
    case 'isolator':
      return made(ground, {
        code: 'isolator-off',
        at: id,
        group: 'battery',
        repair: repairOf(`${id}:on`, 'Turn the isolator on'),
        shows: { 'isolator-look': 'off' },
      });
    case 'three-way-switch':
    case 'on-off-switch':
    case 'relay':
      return made(ground, {
        code: 'worn-contact',
        at: id,
        group: 'panel',
        degrees: CONTACT_OHM,
        repair: repairOf(`${id}:replace`, `Replace the ${name.toLowerCase()}`, true),
      });
    case 'alarm':
      return made(ground, {
        code: 'alarm-silent',
        at: id,
        group: 'alarm',
        repair: repairOf(
          `${id}:alarm`,
          part.ownV === undefined ? 'Replace the alarm' : 'A new battery for the alarm',
          true,
        ),
      });
    case 'lamp':
      return made(ground, {
        code: 'light-negative-missing',
        at: id,
        group: 'light',
        repair: repairOf(`${id}:light`, 'The light: its bulb, its tap and its negative'),
        shows: { 'tug-panel': `${name} loose` },
      });
    default:
      return [];
  }
}

const replacePump = (pump: string) => repairOf(`${pump}:replace`, 'Replace the pump, or its motor', true);
const freePump = (pump: string) =>
  repairOf(`${pump}:unjam`, 'Open the pump and free its impeller; then a fuse of the same rating');

function ofJoint(ground: FaultGround, id: string, ways: readonly string[]): Candidate[] {
  const { nameOf, bandOf, netlist } = ground;
  const group: ShareGroup = bandOf(id) === 'panel' ? 'panel' : spliceGroup(netlist, id);
  const repair = repairOf(`${id}:remake`, `Remake ${nameOf(id)}`);
  const each = { at: id, group, repair } as const;
  return [
    ...made(ground, { ...each, code: 'corroded', degrees: JOINT_OHM }),
    ...made(ground, { ...each, code: 'intermittent' }),
    ...ways.flatMap((way) => [
      // Of a splice of two, one way is the whole of it.
      ...(ways.length > 2
        ? made(ground, { ...each, code: 'way-corroded', at: `${id}.${way}`, where: [id], degrees: JOINT_OHM })
        : []),
      ...made(ground, { ...each, code: 'way-off', at: `${id}.${way}`, where: [id] }),
    ]),
    ...made(ground, { ...each, code: 'leak', group: 'broken', degrees: LEAK_OHM }),
  ];
}

/** Where in the circuit a splice in the bilge stands. */
function spliceGroup({ conductors }: Netlist, joint: string): ShareGroup {
  const ends = conductors.flatMap(({ from, to }) => (from.part === joint ? [to] : to.part === joint ? [from] : []));
  if (ends.some(({ part, terminal }) => part === 'bus' || (part === 'pump' && terminal === 'minus')))
    return 'splice-negative';
  return ends.some(({ part, terminal }) => part === 'pump' && terminal === 'plus') ? 'splice-pump' : 'splice-float';
}

/** What senses water: its contact, how it moves, and how it hangs. */
function ofFloat(ground: FaultGround, id: string, replace: Repair): Candidate[] {
  return [
    ...made(ground, { code: 'worn-contact', at: id, group: 'float-dead', degrees: CONTACT_OHM, repair: replace }),
    ...made(ground, { code: 'stuck-down', at: id, group: 'float-dead', repair: replace }),
    ...made(ground, {
      code: 'stuck-down',
      at: id,
      group: 'float-stuck-down',
      repair: repairOf(`${id}:free`, 'Free the float, clean it, and see that it moves'),
      shows: { 'float-look': 'does not rise' },
    }).map((one) => ({ ...one, id: `${one.id}, held`, words: `${one.words}, held fast` })),
    ...made(ground, { code: 'stuck-up', at: id, group: 'float-stuck-up', repair: replace }),
  ];
}
