import { terminalName, type TerminalRef } from '../circuit';
import { pointWords, type Ground } from '../prove/ground';
import { cautions } from '../reference';
import { huntMinutes, type HuntTest } from './huntTest';
import { bandOf, shown, terminalsIn, type HuntSetting } from './testPieces';

/** With the bilge open: the float by hand, the pump, its hose, and volts at and across every splice. */
export function inBilge(ground: Ground, sets: readonly HuntSetting[]): HuntTest[] {
  const { netlist, pump, floats, plan } = ground;
  const joints = netlist.parts.filter((part) => part.kind === 'joint' && bandOf(ground, part.id) === 'bilge');
  const ways = joints.map((joint) => terminalsIn(ground, joint));
  const pumpEnds = pump ? terminalsIn(ground, pump) : [];
  const pairs: (readonly [TerminalRef, TerminalRef])[] = [
    // Every lead that may feed the pump against its negative.
    ...pumpEnds
      .filter(({ terminal }) => terminal !== 'minus')
      .map((end) => [end, { part: end.part, terminal: 'minus' }] as const),
    ...ways.flatMap((ends) => ends.flatMap((one, at) => ends.slice(at + 1).map((other) => [one, other] as const))),
    ...floats.flatMap((float) => {
      const [one, other] = terminalsIn(ground, float);
      return one && other && float.kind !== 'pump' ? [[one, other] as const] : [];
    }),
  ];
  const points = [...pumpEnds, ...ways.flat()];
  const volts = (
    between: readonly [TerminalRef, TerminalRef],
    id: string,
    { key, positions, words, running }: HuntSetting,
  ): HuntTest => ({
    id: `${id}-${key}`,
    place: 'bilge',
    minutes: huntMinutes.bilgeVolts,
    text: `Fuse in, ${words}: volts from ${pointWords(ground, between[0])} to ${pointWords(ground, between[1])}.`,
    instrument: 'voltmeter',
    set: positions,
    byHand: true,
    between,
    reads: { kind: 'volts', loaded: running },
  });
  return [
    shown(
      'cable-look',
      'bilge',
      huntMinutes.cable,
      'Lever off. Follow every cable through the bilge: chafe, cuts, green ends, heat.',
      'whole all along',
      'hands',
    ),
    ...(floats.some(({ kind }) => kind !== 'pump')
      ? [
          shown(
            'float-look',
            'bilge',
            huntMinutes.liftFloat,
            'Lever off. Lift the float and let it go: how it moves, what it hangs on, how it is mounted.',
            'moves freely, as mounted',
            'hands',
          ),
        ]
      : []),
    ...(pump
      ? [
          shown(
            'leads-look',
            'bilge',
            huntMinutes.leadsLook,
            'Look which lead of the pump is joined to which conductor.',
            'as drawn',
          ),
        ]
      : []),
    ...(floats.length > 0 ? sets.map((set) => lifted(set)) : []),
    ...(pump
      ? [
          shown(
            'strainer',
            'bilge',
            huntMinutes.strainer,
            `Fuse out, proved dead: open the strainer, look at the impeller and turn it. ${cautions.autoStart}`,
            'clean, whole, turns',
            'hands',
          ),
          shown(
            'hose',
            'bilge',
            huntMinutes.hose,
            'Lever off. Follow the hose from the pump to its outlet, and loosen it at the pump.',
            'whole, no kink, water stands in it',
            'hands',
          ),
        ]
      : []),
    ...sets.flatMap((set) => [
      ...pairs.map((between) => volts(between, `across-${between.map(terminalName).join('-')}`, set)),
      ...points.map((point) => volts([point, plan.ground], `volts-${terminalName(point)}`, set)),
    ]),
  ];
}

/** The float moved by hand, and what then runs. */
const lifted = ({ key, positions, words }: HuntSetting): HuntTest => ({
  id: `lift-${key}`,
  place: 'bilge',
  minutes: huntMinutes.liftFloat,
  text: `Fuse in, ${words}, the float moved by hand: look and listen.`,
  instrument: 'hands',
  set: positions,
  byHand: true,
  reads: { kind: 'seen' },
});
