import type { FloatPosition } from '../circuit';
import { positionsFor, type Ground } from '../prove/ground';
import { positionsOf, type SwitchPosition } from '../circuit';
import type { Hypothesis } from './hypothesis';
import type { HuntTest } from './huntTest';
import { Predictions } from './predictions';

/** What a circuit does under a hypothesis, as anyone sees it. */
interface Behaviour {
  /** What is seen in a position, with the water there or not. */
  readonly seen: (position: 'off' | 'auto' | 'manual' | null, water: FloatPosition) => string;
  readonly outlet: string;
  readonly battery: number;
  readonly blown: boolean;
}

/** A way to see whether a symptom is there. */
type Tried = SwitchPosition | null | 'outlet' | 'fuse' | 'battery volts';

/** What somebody comes with. */
interface SymptomKind {
  readonly text: string;
  /** How the water stands when it shows. */
  readonly water: FloatPosition;
  readonly shows: (behaviour: Behaviour, how: How) => boolean;
  /** What is tried to see whether it is so, all of it: a look with the lever in a position, or something else. */
  readonly triedBy: (how: How) => readonly Tried[];
}

/** By which positions this circuit is run by hand and by itself. */
interface How {
  readonly hand: 'manual' | null;
  readonly auto: 'auto' | 'off' | null;
  readonly off: 'off' | null;
  readonly pump: boolean;
}

const runs = (seen: string) => /\brunning\b/.test(seen);
const hums = (seen: string) => /\bhumming\b/.test(seen);
const lit = (seen: string) => /\b(lit|dim)\b/.test(seen);
const sounds = (seen: string) => /\bsounding\b/.test(seen);
const byHand = ({ seen }: Behaviour, { hand }: How) => (hand === null ? null : seen(hand, 'up'));
const byItself = ({ seen }: Behaviour, { auto }: How, water: FloatPosition) => seen(auto, water);

/** Every symptom; a new one is an entry here. Which of them a circuit can have follows from what its faults show. */
export const symptomKinds = {
  'both-dead': {
    text: 'Nothing runs, neither by hand nor by itself',
    water: 'up',
    triedBy: ({ hand, auto }) => [hand, auto],
    shows: (b, how) =>
      how.pump && !runs(byItself(b, how, 'up')) && !runs(byHand(b, how) ?? '') && !hums(byHand(b, how) ?? ''),
  },
  'auto-dead': {
    text: 'By hand it runs, by itself it does not',
    water: 'up',
    triedBy: ({ auto }) => [auto],
    shows: (b, how) => how.hand !== null && how.pump && runs(byHand(b, how) ?? '') && !runs(byItself(b, how, 'up')),
  },
  'manual-dead': {
    text: 'By itself it runs, by hand it does not',
    water: 'up',
    triedBy: ({ hand }) => [hand],
    shows: (b, how) => how.hand !== null && !runs(byHand(b, how) ?? '') && runs(byItself(b, how, 'up')),
  },
  'never-stops': {
    text: 'It does not stop when the water is gone',
    water: 'down',
    triedBy: ({ auto }) => [auto],
    shows: (b, how) => how.auto !== null && runs(byItself(b, how, 'down')),
  },
  'runs-off': {
    text: 'It runs with the lever at off',
    water: 'down',
    triedBy: ({ off }) => [off],
    shows: (b, how) =>
      how.off !== null && how.auto !== 'off' && (runs(b.seen('off', 'down')) || runs(b.seen('off', 'up'))),
  },
  'no-water': {
    text: 'The pump runs, and little or no water comes',
    water: 'up',
    triedBy: () => ['outlet'],
    shows: (b, how) => (runs(byHand(b, how) ?? '') || runs(byItself(b, how, 'up'))) && b.outlet !== 'a full stream',
  },
  weak: {
    text: 'It runs slowly',
    water: 'up',
    triedBy: ({ hand, auto }) => [hand, auto],
    shows: (b, how) => /running slowly/.test(`${byHand(b, how) ?? ''} ${byItself(b, how, 'up')}`),
  },
  hums: {
    text: 'It hums and does not turn',
    water: 'up',
    triedBy: ({ hand, auto }) => [hand, auto],
    shows: (b, how) => hums(byHand(b, how) ?? '') || hums(byItself(b, how, 'up')),
  },
  'fuse-blown': { text: 'The fuse is blown', water: 'up', triedBy: () => ['fuse'], shows: ({ blown }) => blown },
  'light-dead': {
    text: 'The pump runs, its light stays dark',
    water: 'up',
    triedBy: ({ hand, auto }) => [hand ?? auto],
    shows: (b, how) => {
      const seen = byHand(b, how) ?? byItself(b, how, 'up');
      return runs(seen) && /\bdark\b/.test(seen);
    },
  },
  'light-only': {
    text: 'The light is on, the pump does not run',
    water: 'up',
    triedBy: ({ hand, auto }) => [hand ?? auto],
    shows: (b, how) => {
      const seen = byHand(b, how) ?? byItself(b, how, 'up');
      return lit(seen) && !runs(seen) && !hums(seen);
    },
  },
  'alarm-silent': {
    text: 'The water is high and the alarm is silent',
    water: 'up',
    triedBy: ({ auto }) => [auto],
    shows: (b, how) => !sounds(byItself(b, how, 'up')) && /alarm/i.test(byItself(b, how, 'up')),
  },
  'alarm-always': {
    text: 'The alarm sounds though the bilge is dry',
    water: 'down',
    triedBy: ({ auto }) => [auto],
    shows: (b, how) => sounds(byItself(b, how, 'down')),
  },
  'battery-flat': {
    text: 'The battery was flat',
    water: 'down',
    triedBy: ({ auto }) => ['battery volts', auto],
    shows: (b, how) => b.battery < FLAT_V || (how.auto !== null && runs(byItself(b, how, 'down'))),
  },
} as const satisfies Readonly<Record<string, SymptomKind>>;

/** Under this at rest a 12 V battery is flat. */
const FLAT_V = 12;

export type SymptomCode = keyof typeof symptomKinds;
export const symptomCodes = Object.keys(symptomKinds) as readonly SymptomCode[];

/** A symptom that can be stated of a circuit. */
export interface Symptom {
  readonly code: SymptomCode;
  readonly text: string;
}

/** Tells which hypotheses show which symptoms. */
export class Symptoms {
  private readonly how: How;
  private readonly predictions: Predictions;
  private readonly behaviours = new Map<string, Behaviour>();

  constructor(private readonly ground: Ground) {
    const { lever, netlist, floats } = ground;
    const positions: readonly string[] = lever ? positionsOf(lever) : [];
    const three = lever?.kind === 'three-way-switch';
    this.how = {
      hand: positions.includes('manual') ? 'manual' : null,
      auto: three ? 'auto' : floats.length > 0 && positions.includes('off') ? 'off' : null,
      off: positions.includes('off') ? 'off' : null,
      pump: netlist.parts.some(({ kind }) => kind === 'pump'),
    };
    this.predictions = new Predictions(ground, [], null);
  }

  /** Symptoms that some fault of this circuit shows and the sound circuit does not. */
  possible(hypotheses: readonly Hypothesis[]): Symptom[] {
    return symptomCodes.flatMap((code) => {
      const shown = hypotheses.some((one) => one.id !== 'sound' && this.shows(one, code));
      const sound = hypotheses.find(({ id }) => id === 'sound');
      return shown && !(sound && this.shows(sound, code)) ? [{ code, text: symptomKinds[code].text }] : [];
    });
  }

  /** Whether a hypothesis shows a symptom. */
  shows(hypothesis: Hypothesis, code: SymptomCode): boolean {
    const kind: SymptomKind = symptomKinds[code];
    return kind.shows(this.behaviour(hypothesis), this.how);
  }

  /** For each thing that is tried to see whether a symptom is there, whether a test does so. */
  triedBy(code: SymptomCode): ((test: HuntTest) => boolean)[] {
    const kind: SymptomKind = symptomKinds[code];
    const batteries = this.ground.netlist.parts.flatMap((part) => (part.kind === 'battery' ? [part.id] : []));
    return kind.triedBy(this.how).map((tried) => {
      if (tried === 'outlet') return ({ reads }) => reads.kind === 'outlet';
      if (tried === 'fuse') return ({ id }) => id.startsWith('fuse-look');
      if (tried === 'battery volts') return ({ between }) => batteries.includes(between?.[0].part ?? '');
      const set = JSON.stringify(positionsFor(this.ground, kind.water, tried));
      return ({ reads, byHand, set: own }) => reads.kind === 'seen' && !byHand && JSON.stringify(own) === set;
    });
  }

  private behaviour(hypothesis: Hypothesis): Behaviour {
    const known = this.behaviours.get(hypothesis.id);
    if (known) return known;
    const looked = new Map<string, string>();
    const test = (
      position: 'off' | 'auto' | 'manual' | null,
      water: FloatPosition,
      kind: 'seen' | 'outlet',
    ): HuntTest => ({
      id: kind,
      place: 'panel',
      minutes: 0,
      text: '',
      instrument: 'eyes and ears',
      set: positionsFor(this.ground, water, position),
      byHand: false,
      reads: { kind },
    });
    const read = (one: HuntTest) => String(this.predictions.reading(hypothesis, one));
    const seen = (position: 'off' | 'auto' | 'manual' | null, water: FloatPosition) => {
      const key = `${position} ${water}`;
      const before = looked.get(key);
      if (before !== undefined) return before;
      const words = read(test(position, water, 'seen'));
      looked.set(key, words);
      return words;
    };
    const weak = hypothesis.faults.find(({ code }) => code === 'weak-battery');
    const behaviour: Behaviour = {
      seen,
      outlet: read(test(this.how.hand ?? this.how.auto, 'up', 'outlet')),
      battery: weak?.degree ?? Infinity,
      blown: hypothesis.faults.some(({ code }) => code === 'blown-fuse'),
    };
    this.behaviours.set(hypothesis.id, behaviour);
    return behaviour;
  }
}
