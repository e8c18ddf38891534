import { positionsOf, roles, type Doing, type Netlist } from '../circuit';
import type { Plan } from '../schemes';
import { formatAmps, formatVolts } from '../units';
import { holdsInWords } from './holdsInWords';
import { truthWords, type TruthWords } from './truthTable';

/** What faults and changed wiring make of a circuit, against what it should do. */
export interface Consequences {
  /** Each a sentence, what matters most first; one that says so where nothing shows. */
  readonly sentences: readonly string[];
  /** What the circuit does in every setting now. */
  readonly rows: readonly TruthWords[];
  /** What it should do, by the key of each row that does something else. */
  readonly should: ReadonlyMap<string, TruthWords>;
}

/** Volts at the pump under this share of what they should be are worth a sentence. */
const WEAK_SHARE = 0.93;
/** A battery's current that moves by less than this share shows nowhere. */
const CURRENT_SHARE = 0.05;
const LEAST_A = 0.02;

type Hand = 'auto' | 'manual' | 'off';

/** In the order in which they matter: what nobody watches first. */
const hands: readonly Hand[] = ['auto', 'off', 'manual'];

/** What one position of the hand switch does with the water low and high. */
interface Seen {
  readonly low: TruthWords;
  readonly high: TruthWords;
}

/**
 * Sets what a circuit does beside what it should, in words.
 * @param planned the circuit as planned and whole
 * @param now the same with its faults, pulled fuses and wiring as found
 * @param capacityAh of its battery, Ah: how long that lasts where it is drained
 */
export function consequences(planned: Netlist, now: Netlist, plan: Plan, capacityAh: number): Consequences {
  const should = truthWords(planned, plan);
  const rows = truthWords(now, plan);
  const meant = new Map(should.map((row) => [row.key, row]));
  const changed = rows.flatMap((row): [string, TruthWords][] => {
    const before = meant.get(row.key);
    return before && differs(row, before) ? [[row.key, before]] : [];
  });
  const verb = now.parts.some(({ kind }) => kind === 'pump') ? pumpVerb : alarmVerb;
  const told = hands.flatMap((hand) => {
    const [is, was] = [seenAt(now, rows, hand), seenAt(planned, should, hand)];
    return is && was ? atHand(whereSaid(now, hand), is, was, verb, capacityAh) : [];
  });
  const sentences = [
    ...new Set([...told, ...backwards(rows, should), ...lights(rows, should), ...overFuses(now, rows, should)]),
  ];
  return {
    sentences: sentences.length > 0 ? sentences : ['The circuit still does what it should: no lamp or pump shows it.'],
    rows,
    should: new Map(changed),
  };
}

function differs(row: TruthWords, before: TruthWords): boolean {
  if (row.pump !== before.pump || row.others.join() !== before.others.join()) return true;
  if (row.batteryA === null || before.batteryA === null) return row.batteryA !== before.batteryA;
  return Math.abs(row.batteryA - before.batteryA) > Math.max(LEAST_A, CURRENT_SHARE * before.batteryA);
}

/** The rows of a hand position with all floats down and all up, every other switch at rest. */
function seenAt({ parts }: Netlist, rows: readonly TruthWords[], hand: Hand): Seen | null {
  const fits = rows.filter(({ row: { setting } }) =>
    parts.every((part) => {
      const [rest] = positionsOf(part);
      const at = setting.switches[part.id];
      return at === undefined || at === (part.id === roles.switch ? hand : rest);
    }),
  );
  const all = (position: 'up' | 'down') =>
    fits.find(({ row: { setting } }) => Object.values(setting.floats).every((at) => at === position));
  const [low, high] = [all('down'), all('up')];
  return low && high ? { low, high } : null;
}

/** How a hand position is called in a sentence. */
function whereSaid({ parts }: Netlist, hand: Hand): string {
  const own = parts.find(({ id }) => id === roles.switch);
  if (!own) return 'By itself it';
  if (hand === 'off') return own.kind === 'on-off-switch' ? 'With the switch off it' : 'On off it';
  if (own.kind === 'on-off-switch') return 'With the switch on it';
  return hand === 'manual' ? 'On manual it' : 'On auto it';
}

interface Verb {
  readonly does: string;
  readonly never: string;
  readonly rests: string;
}

const pumpVerb: Verb = { does: 'runs', never: 'does not run', rests: 'stops' };
const alarmVerb: Verb = { does: 'sounds', never: 'stays silent', rests: 'falls silent' };

/** "On auto it runs with or without water, until the battery is flat: about 21 h from full." */
function atHand(where: string, is: Seen, was: Seen, verb: Verb, capacityAh: number): string[] {
  const pattern = (seen: Seen) => `${seen.low.runs ? 1 : 0}${seen.high.runs ? 1 : 0}`;
  const troubled = [is.low, is.high].find(({ row }) => row.trouble !== null);
  if (troubled?.row.trouble) return [`${where} comes to no rest: ${troubled.row.trouble.message}`];
  const drains = !was.low.runs && is.low.runs ? flat(is.low.batteryA, capacityAh) : '';
  if (pattern(is) === pattern(was)) return [...weak(where, is, was), ...stalled(where, is, was)];
  switch (pattern(is)) {
    case '11':
      return [`${where} ${verb.does} with or without water${drains}.`];
    case '00':
      return [
        ...stalled(where, is, was, verb),
        ...(hangs(is) ? [] : [`${where} ${verb.never}${was.low.runs ? '' : ', however high the water'}.`]),
      ];
    case '01':
      return [
        was.high.runs
          ? `${where} ${verb.does} only while the water is high.`
          : `${where} ${verb.does} as soon as the water is high.`,
      ];
    default:
      return [`${where} ${verb.does} while there is no water and ${verb.rests} once there is${drains}.`];
  }
}

const still: readonly Doing[] = ['standing', 'onStanding', 'silent', 'silentMuted'];

/** Whether the pump has current and does not turn. */
function hangs({ low, high }: Seen): boolean {
  return [low, high].some((row) => !row.runs && !still.some((doing) => doing === row.doing));
}

/** "On manual it is humming, not turning, and draws 21 A." */
function stalled(where: string, is: Seen, was: Seen, verb?: Verb): string[] {
  const row = [is.high, is.low].find((one) => !one.runs && !still.some((doing) => doing === one.doing));
  const before = row === is.high ? was.high : was.low;
  if (!row || row.pump === before.pump) return [];
  const draws = row.batteryA === null ? '' : `, and draws ${formatAmps(row.batteryA)}`;
  return [`${where} ${verb ? `${verb.never}: ` : 'is '}${verb ? 'it is ' : ''}${row.pump}${draws}.`];
}

/** "On manual it runs slower: 9.1 V at the pump instead of 11.8 V." */
function weak(where: string, is: Seen, was: Seen): string[] {
  const row = is.high.runs ? is.high : is.low;
  const before = row === is.high ? was.high : was.low;
  if (!row.runs || !row.row.point || !before.row.point) return [];
  const volts = ({ row: { point } }: TruthWords) => Math.abs(point?.voltsAcross(roles.pump, 'plus', 'minus') ?? 0);
  const [now, meant] = [volts(row), volts(before)];
  return now < WEAK_SHARE * meant
    ? [`${where} runs slower and moves less: ${formatVolts(now)} at the pump instead of ${formatVolts(meant)}.`]
    : [];
}

/** How long a full battery stands it. */
function flat(batteryA: number | null, capacityAh: number): string {
  if (batteryA === null || batteryA < LEAST_A) return '';
  const hours = capacityAh / batteryA;
  const long =
    hours < 1
      ? `${Math.round(hours * 60)} min`
      : hours < 72
        ? `${Math.round(hours)} h`
        : `${Math.round(hours / 24)} days`;
  return `, until the battery is flat: about ${long} from full`;
}

function backwards(rows: readonly TruthWords[], should: readonly TruthWords[]): string[] {
  const turned = (list: readonly TruthWords[]) => list.some(({ doing }) => doing === 'runningBackwards');
  return turned(rows) && !turned(should) ? ['It turns backwards: it sounds right and lifts little or no water.'] : [];
}

/** What lights, sounds and pulls in otherwise than it should, once for each. */
function lights(rows: readonly TruthWords[], should: readonly TruthWords[]): string[] {
  const said = new Set<string>();
  return rows.flatMap((row) => {
    const before = should.find(({ key }) => key === row.key);
    if (!before || row.row.trouble || before.row.trouble) return [];
    return row.others.flatMap((words, index) => {
      const meant = before.others[index];
      // What follows from the pump's running otherwise was said with it.
      if (words === meant || meant === undefined || row.runs !== before.runs || said.has(words)) return [];
      said.add(words);
      return [`${words} on “${row.setting.toLowerCase()}”, where it should be ${lastWords(meant, words)}.`];
    });
  });
}

/** What a line says beyond what it begins with like another. */
function lastWords(meant: string, words: string): string {
  const [own, other] = [meant.split(' '), words.split(' ')];
  const same = own.findIndex((word, index) => word !== other[index]);
  return own.slice(Math.max(0, same)).join(' ');
}

/** Fuses that carry more than their rating, and more than they should. */
function overFuses(now: Netlist, rows: readonly TruthWords[], should: readonly TruthWords[]): string[] {
  const mostA = (list: readonly TruthWords[], id: string) =>
    Math.max(0, ...list.map(({ row }) => Math.abs(row.point?.partA(id) ?? 0)));
  return now.parts.flatMap((part) => {
    if (part.kind !== 'fuse' || !part.closed) return [];
    const amps = mostA(rows, part.id);
    return amps > part.ratingA && amps > (1 + CURRENT_SHARE) * mostA(should, part.id)
      ? [`The ${part.ratingA}\u00a0A fuse carries ${formatAmps(amps)}: ${holdsInWords(part, amps)}.`]
      : [];
  });
}
