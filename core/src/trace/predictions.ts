import { defaults } from '../reference';
import {
  mapParts,
  measureOhms,
  measureVolts,
  motorAt,
  solve,
  terminalName,
  turns,
  withFaults,
  type Doing,
  type NetConductor,
  type Netlist,
  type OperatingPoint,
  type Part,
  type Setting,
  type TerminalRef,
} from '../circuit';
import { pulled, type Ground, type Positions } from '../prove/ground';
import { windowAbout, type ReadAs } from '../prove/windows';
import { waterFaultOf } from '../water';
import type { HuntTest, Reading } from './huntTest';
import type { Hypothesis } from './hypothesis';

/** Slower than this share of the sound pump it is heard, and its stream is thin. */
const SLOW_SHARE = 0.75;

/** What is heard of a pump, seen of a light, heard of an alarm: no ear tells dry from wet or forwards from backwards. */
const perceived: Readonly<Partial<Record<Doing, string>>> = {
  running: 'running',
  runningDry: 'running',
  runningBackwards: 'running',
  standing: 'standing',
  humming: 'humming',
  locked: 'humming',
  lit: 'lit',
  dim: 'dim',
  dark: 'dark',
  sounding: 'sounding',
  mutedLit: 'lit, no sound',
  silent: 'silent',
};

/** What comes and goes. */
export const UNSTEADY = 'on and off';

/** What every test reads under every hypothesis: one solve for each hypothesis and setting, with the meter’s own load. */
export class Predictions {
  private readonly netlists = new Map<string, Netlist>();
  private readonly points = new Map<string, OperatingPoint | null>();
  private readonly probes: readonly TerminalRef[];
  private readonly feed: string | null;

  /** @param restingV the battery as it was read at rest, V; null: as surveyed */
  constructor(
    private readonly ground: Ground,
    tests: readonly HuntTest[],
    private readonly restingV: number | null,
  ) {
    const touched = tests.flatMap(({ between, reads }) =>
      between && reads.kind === 'volts' && terminalName(between[1]) === terminalName(ground.plan.ground) ? between : [],
    );
    this.probes = [...new Map(touched.map((end) => [terminalName(end), end])).values()].filter(
      (end) => terminalName(end) !== terminalName(ground.plan.ground),
    );
    this.feed = ground.plan.ids?.afterFuse ?? null;
  }

  /** What a test reads: a figure as a meter shows it, or words. */
  reading(hypothesis: Hypothesis, test: HuntTest): Reading {
    const { reads, id } = test;
    switch (reads.kind) {
      case 'shown':
        return hypothesis.shows[id] ?? reads.sound;
      case 'ohms':
        return this.ohms(hypothesis, test);
      case 'outlet':
        return this.outlet(hypothesis, test);
      default: {
        const point = this.point(hypothesis, test);
        if (!point) return UNSTEADY;
        if (reads.kind === 'seen') return this.seen(point);
        if (reads.kind === 'amps')
          return Math.abs(this.feed === null ? point.partA(this.ground.pump?.id ?? '') : point.conductorA(this.feed));
        return this.volts(hypothesis, test, point);
      }
    }
  }

  /** Against battery negative from the one solve; from point to point with one meter alone, since an end that hangs free follows the other. */
  private volts(hypothesis: Hypothesis, test: HuntTest, point: OperatingPoint): Reading {
    const [red, black] = test.between ?? [];
    if (!red || !black) return UNSTEADY;
    if (terminalName(black) === terminalName(this.ground.plan.ground)) return point.voltsAt(red);
    try {
      const netlist = pulled(this.netlist(hypothesis), test.set.fusesOut);
      return measureVolts(netlist, this.setting(hypothesis, test), { red, black });
    } catch {
      return UNSTEADY;
    }
  }

  private netlist(hypothesis: Hypothesis): Netlist {
    const known = this.netlists.get(hypothesis.id);
    if (known) return known;
    const { restingV } = this;
    const base =
      restingV === null
        ? this.ground.netlist
        : mapParts(this.ground.netlist, (part) => (part.kind === 'battery' ? { ...part, emfV: restingV } : part));
    const faulty = withFaults(base, hypothesis.faults);
    const idle = hypothesis.water !== null && waterFaultOf(hypothesis.water).idle;
    const wet = idle
      ? mapParts(faulty, (part) => (part.kind === 'pump' ? { ...part, condition: 'dry' } : part))
      : faulty;
    this.netlists.set(hypothesis.id, wet);
    return wet;
  }

  private setting(hypothesis: Hypothesis, { set, byHand }: Pick<HuntTest, 'set' | 'byHand'>): Setting {
    const held = hypothesis.water === null || byHand ? undefined : waterFaultOf(hypothesis.water).floatInWater;
    const floats =
      held === undefined ? set.floats : Object.fromEntries(Object.keys(set.floats).map((id) => [id, held]));
    return { switches: set.switches, floats };
  }

  private point(hypothesis: Hypothesis, test: Pick<HuntTest, 'set' | 'byHand'>): OperatingPoint | null {
    const setting = this.setting(hypothesis, test);
    const key = `${hypothesis.id} ${JSON.stringify(setting)} ${test.set.fusesOut.join()}`;
    const known = this.points.get(key);
    if (known !== undefined) return known;
    const point = this.solved(hypothesis, test.set, setting);
    this.points.set(key, point);
    return point;
  }

  private solved(hypothesis: Hypothesis, { fusesOut }: Positions, setting: Setting): OperatingPoint | null {
    try {
      const netlist = metered(pulled(this.netlist(hypothesis), fusesOut), this.probes, this.ground.plan.ground);
      return solve(netlist, setting, this.ground.memory);
    } catch {
      return null;
    }
  }

  private seen(point: OperatingPoint): string {
    const { netlist, plan, pump } = this.ground;
    const words = netlist.parts.flatMap((part) => {
      const doing = isPerceived(part) ? point.doingOf(part.id) : null;
      const word = doing === null ? undefined : perceived[doing];
      const name = plan.parts.find((planned) => planned.part.id === part.id)?.name;
      if (word === undefined || name === undefined) return [];
      const slow = part.id === pump?.id && word === 'running' && this.isSlow(point);
      return [`${name} ${slow ? 'running slowly' : word}`];
    });
    return words.join(', ');
  }

  private isSlow(point: OperatingPoint): boolean {
    return this.speed(point) < SLOW_SHARE * this.soundSpeed();
  }

  private speed(point: OperatingPoint): number {
    const { pump } = this.ground;
    if (!pump) return 0;
    return Math.abs(motorAt(pump.motor, point.voltsAcross(pump.id, 'plus', 'minus'), 'sound').speedRatio);
  }

  private soundSpeedRatio: number | undefined;
  /** How fast the sound pump turns where it runs. */
  private soundSpeed(): number {
    if (this.soundSpeedRatio !== undefined) return this.soundSpeedRatio;
    const speeds = this.ground.floats.length > 0 ? (['up', 'down'] as const) : (['down'] as const);
    const positions = [...(this.ground.lever ? (['manual', 'auto', 'off'] as const) : [null])];
    const all = positions.flatMap((position) =>
      speeds.map((lifted) => {
        const { lever, floats } = this.ground;
        const setting: Setting = {
          switches: lever && position ? { [lever.id]: position } : {},
          floats: Object.fromEntries(floats.map(({ id }) => [id, lifted])),
        };
        try {
          return this.speed(solve(this.ground.netlist, setting, this.ground.memory));
        } catch {
          return 0;
        }
      }),
    );
    this.soundSpeedRatio = Math.max(0, ...all);
    return this.soundSpeedRatio;
  }

  private outlet(hypothesis: Hypothesis, test: HuntTest): string {
    const { pump } = this.ground;
    const point = this.point(hypothesis, test);
    const doing = pump && point ? point.doingOf(pump.id) : null;
    if (!point || doing === null || !turns(doing)) return 'nothing';
    const out = hypothesis.water === null ? 'full' : waterFaultOf(hypothesis.water).outlet;
    if (out === 'nothing') return 'nothing';
    const weak = doing === 'runningBackwards' || this.isSlow(point);
    return out === 'thin' || weak ? 'a thin stream' : 'a full stream';
  }

  private ohms(hypothesis: Hypothesis, test: HuntTest): Reading {
    const [red, black] = test.between ?? [];
    if (!red || !black) return UNSTEADY;
    try {
      const read = measureOhms(pulled(this.netlist(hypothesis), test.set.fusesOut), this.setting(hypothesis, test), {
        red,
        black,
      });
      return read.kind === 'ohms' ? read.ohm : read.kind;
    } catch {
      return UNSTEADY;
    }
  }
}

const isPerceived = ({ kind }: Part) => kind === 'pump' || kind === 'lamp' || kind === 'alarm';

/** The netlist with a voltmeter’s load from every point to battery negative: an end that hangs free then reads nothing. */
function metered(netlist: Netlist, probes: readonly TerminalRef[], ground: TerminalRef): Netlist {
  const parts = probes.map((end): Part => ({
    kind: 'meter',
    id: `meter ${terminalName(end)}`,
    ohm: defaults.voltmeterOhm,
  }));
  const leads = probes.flatMap((end): NetConductor[] => {
    const id = `meter ${terminalName(end)}`;
    return [
      { id: `${id} red`, from: { part: id, terminal: 'red' }, to: end, ohm: 0 },
      { id: `${id} black`, from: { part: id, terminal: 'black' }, to: ground, ohm: 0 },
    ];
  });
  return { ...netlist, parts: [...netlist.parts, ...parts], conductors: [...netlist.conductors, ...leads] };
}

/** Amperes under this are not told from none by a clamp. */
const LEAST_AMPS_SPREAD = 0.05;

/** How a test’s figure spreads about what it should be: a standard deviation on either side, half of its window’s. */
export function spreadOf({ reads }: HuntTest, value: number): { readonly below: number; readonly above: number } {
  const as: ReadAs =
    reads.kind === 'amps'
      ? 'amps'
      : reads.kind === 'ohms'
        ? 'ohms'
        : reads.kind === 'volts' && reads.loaded
          ? 'loaded'
          : 'unloaded';
  const { low, high } = windowAbout(value, as);
  const least = reads.kind === 'amps' ? LEAST_AMPS_SPREAD : 0.005;
  return { below: Math.max(least, (value - low) / 2), above: Math.max(least, (high - value) / 2) };
}
