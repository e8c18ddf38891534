import { assess, type AssessedPump } from '../assess';
import { terminalName, terminalsOf, truthTable, turns, type Netlist, type TruthRow } from '../circuit';
import type { Job } from '../job';
import { settingWords, type Ground } from '../prove/ground';
import { groundOf } from '../prove/proveTests';
import { colourInWords, terminalInWords } from '../schemes';
import { boatOf, chanceOf } from './drill';

/** The end of a conductor that hangs loose behind a bare panel. */
export interface LooseEnd {
  /** `conductor from` or `conductor to`. */
  readonly key: string;
  readonly conductor: string;
  readonly side: 'from' | 'to';
  /** What it is, in words: the label on it. */
  readonly words: string;
  readonly colour: string;
}

/** A post behind the panel. */
export interface Post {
  /** `part.terminal`. */
  readonly id: string;
  readonly words: string;
}

/** A bare panel that is to be wired. */
export interface BuildDrill {
  readonly job: Job;
  readonly circuit: string;
  readonly ends: readonly LooseEnd[];
  readonly posts: readonly Post[];
}

/** Which post each end was put on, by their keys; an end that is left out hangs loose. */
export type Placed = Readonly<Record<string, string>>;

/** A row of the truth table: what it should do, and what it does as it was wired. */
export interface JudgedRow {
  readonly setting: string;
  readonly wanted: string;
  readonly does: string;
  readonly right: boolean;
}

export interface JudgedWiring {
  readonly rows: readonly JudgedRow[];
  /** 0 to 100: rows that are right of those that a bare panel has wrong, less those that it had right; nothing where the fuse blows. */
  readonly score: number;
  readonly burns: boolean;
}

const crafts = ['day', 'open', 'yacht'] as const;
const KINDS: readonly string[] = ['three-way-switch', 'on-off-switch', 'lamp'];

/**
 * A bare panel by its number: the same for everybody who has it.
 * @throws RangeError for a number that is none
 */
export function buildDrill(seed: number): BuildDrill {
  if (!Number.isInteger(seed) || seed < 0) throw new RangeError('A drill’s number is whole, from 0.');
  const chance = chanceOf(seed, BARE);
  const craft = boatOf(chance.one(crafts), seed);
  const lit = chance.one(['led', 'filament'] as const);
  const [first] = craft.circuits;
  if (!first) throw new RangeError('Nothing to wire.');
  const job: Job = { ...craft, circuits: [{ ...first, panel: { ...first.panel, light: lit } }] };
  const own = sizedIn(job);
  const { plan } = own;
  const panel = plan.parts.filter(({ band, part }) => band === 'panel' && KINDS.includes(part.kind));
  const isPost = (part: string) => panel.some((one) => one.part.id === part);
  const ends = plan.conductors.flatMap(({ id, name, colour, from, to }) =>
    (['from', 'to'] as const).flatMap((side): LooseEnd[] => {
      const at = side === 'from' ? from : to;
      if (!isPost(at.part)) return [];
      const both = isPost(from.part) && isPost(to.part);
      return [
        {
          key: `${id} ${side}`,
          conductor: id,
          side,
          words: both ? `${name}, its ${side === 'from' ? 'first' : 'other'} end` : name,
          colour: colourInWords(colour),
        },
      ];
    }),
  );
  return {
    job,
    circuit: first.id,
    ends: shuffled(ends, chance.number),
    posts: panel.flatMap(({ part }) =>
      terminalsOf(part).map((terminal) => {
        const at = { part: part.id, terminal };
        return { id: terminalName(at), words: terminalInWords(plan, at) };
      }),
    ),
  };
}

/** Told apart from the levels of faults that are hunted. */
const BARE = 1;

function shuffled<T>(all: readonly T[], number: () => number): T[] {
  return all
    .map((one) => ({ one, rank: number() }))
    .sort((a, b) => a.rank - b.rank)
    .map(({ one }) => one);
}

function sizedIn(job: Job): AssessedPump {
  const own = assess(job).find((one): one is AssessedPump => one.status === 'sized');
  if (!own) throw new RangeError('Nothing to wire.');
  return own;
}

/** The job wired so: a conductor of which an end hangs loose is not there. */
export function wiredSo({ job, circuit, ends }: BuildDrill, placed: Placed): Job {
  const loose = new Set(ends.flatMap(({ key, conductor }) => (placed[key] === undefined ? [conductor] : [])));
  const moved = new Map<string, { from?: string; to?: string }>();
  for (const { key, conductor, side } of ends) {
    const post = placed[key];
    if (post !== undefined && !loose.has(conductor)) moved.set(conductor, { ...moved.get(conductor), [side]: post });
  }
  return {
    ...job,
    circuits: job.circuits.map((one) =>
      one.id === circuit ? { ...one, rewired: { removed: [...loose], moved: Object.fromEntries(moved) } } : one,
    ),
  };
}

/** What a wiring does in every position of lever and float, against what it should. */
export function judgedWiring(drill: BuildDrill, placed: Placed): JudgedWiring {
  const planned = sizedIn(drill.job);
  const ground = groundOf(planned, {});
  const asWired = assess(wiredSo(drill, placed)).find((one): one is AssessedPump => one.status === 'sized');
  const wanted = truthTable(planned.netlist);
  const found = asWired ? truthTable(asWired.netlist) : [];
  let burns = false;
  const rows = wanted.map((row, at): JudgedRow => {
    const other = found[at];
    const does = other && asWired ? doingIn(ground, asWired.netlist, other) : 'nothing';
    const should = doingIn(ground, planned.netlist, row);
    burns ||= does === BLOWS;
    return {
      setting: settingWords(ground, { ...row.setting, fusesOut: [] }),
      wanted: should,
      does,
      right: does === should,
    };
  });
  // What is right with nothing on its post is no merit.
  const bare = truthTable(sizedIn(wiredSo(drill, {})).netlist).map((row) => doingIn(ground, planned.netlist, row));
  const asked = rows.filter(({ wanted: should }, at) => bare[at] !== should);
  const spoilt = rows.filter(({ right, wanted: should }, at) => !right && bare[at] === should).length;
  const score = asked.filter(({ right }) => right).length - spoilt;
  return { rows, burns, score: burns ? 0 : Math.max(0, (100 * score) / asked.length) };
}

const BLOWS = 'the fuse blows';

/** What runs and lights, in words. */
function doingIn({ plan }: Ground, { parts }: Netlist, { point }: TruthRow): string {
  if (!point) return 'it chatters';
  if (parts.some((part) => part.kind === 'fuse' && point.doingOf(part.id) === 'overRating')) return BLOWS;
  const told = parts.flatMap((part): string[] => {
    const doing = point.doingOf(part.id);
    const name = plan.parts.find((one) => one.part.id === part.id)?.name ?? part.id;
    if (part.kind === 'pump' && doing)
      return [turns(doing) ? `${name} runs${doing === 'runningBackwards' ? ' backwards' : ''}` : `${name} stands`];
    if (part.kind === 'lamp' && doing) return [`${name} ${doing === 'dark' ? 'dark' : 'lit'}`];
    return [];
  });
  return told.join(', ');
}
