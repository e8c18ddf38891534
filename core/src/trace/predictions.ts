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
  type Netlist,
  type OperatingPoint,
  type Part,
  type Setting,
  type TerminalRef,
} from '../circuit';
import { pulled, type Ground, type Positions } from '../prove/ground';
import { windowAbout, type ReadAs } from '../prove/windows';
import { waterFaultOf } from '../water';
import { railed, Touched } from './touched';
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

/**
 * What every test reads under every hypothesis. What is seen and clamped is solved once for each hypothesis and setting;
 * volts too where the points are held by what they are joined to, else with the meter alone on the two, since its load
 * moves an end that hangs free.
 */
export class Predictions {
  private readonly netlists = new Map<string, Netlist>();
  private readonly points = new Map<string, OperatingPoint | null>();
  private readonly pulls = new Map<OperatingPoint, Touched>();
  private readonly rails = new Map<string, Netlist>();
  private readonly ends: readonly TerminalRef[];
  private readonly feed: string | null;

  /** @param restingV the battery as it was read at rest, V; null: as surveyed */
  constructor(
    private readonly ground: Ground,
    tests: readonly HuntTest[],
    private readonly restingV: number | null,
  ) {
    const touched = tests.flatMap(({ between, reads }) => (between && reads.kind === 'volts' ? between : []));
    this.ends = [...new Map(touched.map((end) => [terminalName(end), end])).values()];
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
      case 'volts':
        return this.volts(hypothesis, test);
      default: {
        const point = this.point(hypothesis, test);
        if (!point) return UNSTEADY;
        if (reads.kind === 'seen') return this.seen(point);
        return Math.abs(this.feed === null ? point.partA(this.ground.pump?.id ?? '') : point.conductorA(this.feed));
      }
    }
  }

  private volts(hypothesis: Hypothesis, test: HuntTest): Reading {
    const [red, black] = test.between ?? [];
    if (!red || !black) return UNSTEADY;
    const told = this.touched(hypothesis, test)?.between(red, black) ?? null;
    if (told !== null) return told;
    const netlist = pulled(this.netlist(hypothesis), test.set.fusesOut);
    try {
      return measureVolts(netlist, this.setting(hypothesis, test), { red, black }, this.ground.memory);
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
      return solve(pulled(this.netlist(hypothesis), fusesOut), setting, this.ground.memory);
    } catch {
      return null;
    }
  }

  private touched(hypothesis: Hypothesis, test: HuntTest): Touched | null {
    const point = this.point(hypothesis, test);
    if (!point) return null;
    const known = this.pulls.get(point);
    if (known) return known;
    const netlist = pulled(this.railed(hypothesis), test.set.fusesOut);
    const touched = new Touched(point, netlist, this.setting(hypothesis, test), this.ground.memory);
    this.pulls.set(point, touched);
    return touched;
  }

  private railed(hypothesis: Hypothesis): Netlist {
    const known = this.rails.get(hypothesis.id);
    if (known) return known;
    const made = railed(this.netlist(hypothesis), this.ends);
    this.rails.set(hypothesis.id, made);
    return made;
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
      const netlist = pulled(this.netlist(hypothesis), test.set.fusesOut);
      const read = measureOhms(netlist, this.setting(hypothesis, test), { red, black }, this.ground.memory);
      return read.kind === 'ohms' ? read.ohm : read.kind;
    } catch {
      return UNSTEADY;
    }
  }
}

const isPerceived = ({ kind }: Part) => kind === 'pump' || kind === 'lamp' || kind === 'alarm';

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
