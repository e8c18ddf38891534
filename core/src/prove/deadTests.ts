import { measureOhms, positionsOf, type FloatPosition, type Netlist, type TerminalRef } from '../circuit';
import {
  fusesOutWords,
  leverPosts,
  pointWords,
  positionsFor,
  pulled,
  settingOf,
  settingWords,
  widenedAt,
  type Ground,
  type Positions,
} from './ground';
import { seen, type ProveTest } from './proveTest';
import { windowAbout, windowRules } from './windows';

/** With the fuse out nothing may be live, the float lifted and the lever in every position. */
export function deadTests(ground: Ground): ProveTest[] {
  const { lever, fuses, plan } = ground;
  if (!lever || fuses.length === 0) return [];
  return leverPosts(ground).map((post): ProveTest => {
    const set = { ...positionsFor(ground, 'up', positionsOf(lever)[0] ?? null), fusesOut: fuses };
    return {
      id: `dead-${post.terminal}`,
      phase: 'commission',
      place: 'panel',
      power: 'dead',
      needed: true,
      text: `${fusesOutWords(ground)}${ground.floats.length > 0 ? ', float lifted' : ''}: volts from ${pointWords(ground, post)} to battery negative, the ${lever.kind === 'three-way-switch' ? 'lever' : 'switch'} in every position.`,
      set,
      instrument: 'voltmeter',
      between: [post, plan.ground],
      expect: windowAbout(0, 'unloaded', ground.rules),
      widenedBy: [],
      missHigh:
        'It is live from somewhere else: another feed, another circuit, a wrong wire. Find it before a hand goes in.',
      missLow: 'The probes are the wrong way round, or something feeds it backwards. Find it before a hand goes in.',
    };
  });
}

interface OhmCase {
  readonly id: string;
  readonly between: readonly [TerminalRef, TerminalRef];
  readonly set: Positions;
  readonly missHigh: string;
  readonly missLow: string;
}

/** With the fuse out: the way through the pump, and the way through the float, down and up. */
export function ohmTests(ground: Ground): ProveTest[] {
  const { lever, plan, fuses, pump } = ground;
  if (lever?.kind !== 'three-way-switch' || !pump) return [];
  const [manual, auto] = [
    { part: lever.id, terminal: 'manual' },
    { part: lever.id, terminal: 'auto' },
  ];
  const at = (lifted: FloatPosition): Positions => ({ ...positionsFor(ground, lifted, 'off'), fusesOut: fuses });
  const throughFloat = pump.inside === undefined && ground.floats.length > 0;
  const passing = ground.floats.find(({ kind }) => kind === 'through-float');
  const cases: OhmCase[] = [
    {
      id: 'ohms-manual-negative',
      between: [manual, plan.ground],
      set: at('down'),
      missHigh: 'A joint, the winding or the negative is open or corroded on the manual way.',
      missLow: 'Shorted: chafed cable, or a lead on the wrong post.',
    },
    ...(throughFloat
      ? (['down', 'up'] as const).map((lifted) => ({
          id: `ohms-manual-auto-${lifted}`,
          between: [manual, auto] as const,
          set: at(lifted),
          missHigh: 'The float does not close, or a joint of its leads is open.',
          missLow: 'The float never opens, or auto and manual touch.',
        }))
      : []),
    ...(passing
      ? [
          {
            id: 'ohms-float-negative',
            between: [
              { part: passing.id, terminal: 'pump-minus' },
              { part: passing.id, terminal: 'return' },
            ] as const,
            set: at('down'),
            missHigh: 'The float’s negative pair is open: the pump has no way back in any position.',
            missLow: '',
          },
        ]
      : []),
  ];
  return cases.flatMap((one) => ohmTest(ground, one) ?? []);
}

/** What an ohmmeter says without a figure that counts: closed is under half an ohm, its leads zeroed. */
const ohmAnswers = ['closed', 'some ohms', 'open'] as const;

function ohmTest(ground: Ground, { id, between, set, missHigh, missLow }: OhmCase): ProveTest | null {
  const [red, black] = between;
  const read = (netlist: Netlist) => measureOhms(pulled(netlist, set.fusesOut), settingOf(set), { red, black });
  const nominal = read(ground.netlist);
  if (nominal.kind === 'live') return null;
  const common = {
    id,
    phase: 'commission',
    place: ground.floats.some(({ id: float }) => float === red.part) ? 'bilge' : 'panel',
    power: 'dead',
    needed: true,
    text: `${fusesOutWords(ground)}, ${settingWords(ground, set)}: ohms from ${pointWords(ground, red)} to ${pointWords(ground, black)}.`,
    set,
    instrument: 'ohmmeter',
    between,
    missHigh,
    missLow,
  } as const;
  if (nominal.kind === 'open') return { ...common, expect: seen('open', ohmAnswers), widenedBy: [] };
  const { expect, widenedBy } = widenedAt(ground, nominal.ohm, 'ohms', (netlist) => {
    const other = read(netlist);
    return other.kind === 'ohms' ? other.ohm : null;
  });
  return nominal.ohm < windowRules.closedOhm && id !== 'ohms-manual-negative'
    ? { ...common, expect: seen('closed', ohmAnswers), widenedBy: [] }
    : { ...common, expect, widenedBy };
}
