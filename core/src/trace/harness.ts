import type { AssessedAlarm, AssessedPump } from '../assess';
import { measureOhms, type FloatPosition, type NetConductor, type Netlist, type Part } from '../circuit';
import type { Continuity } from '../job';
import { colourInWords, type PlannedConductor } from '../schemes';
import { permutations } from './permutations';
import { Questions, type Puzzle } from './questions';

/** Most wires that are told apart. */
const MOST_WIRES = 5;

/** What a wire that comes out of a bilge is: a conductor of the plan, or nothing. */
export type WireRole = string;
const SPARE: WireRole = 'spare';

/** Which wire is which; one may be broken on its way. */
export interface HarnessWay {
  /** In the order of the wires. */
  readonly roles: readonly WireRole[];
  readonly broken: WireRole | null;
}

/** Ohms between two wires, by their places, with the float up or down. The cable’s far end stays as it is. */
export interface HarnessQuestion {
  readonly a: number;
  readonly b: number;
  readonly lifted: FloatPosition;
}

export interface HarnessReading extends HarnessQuestion {
  readonly reads: Continuity;
}

/** What is to be put on a wire that was found. */
export interface WireLabel {
  readonly role: WireRole;
  readonly name: string;
  /** The colour that it has by the plan; a band of tape where it is another. */
  readonly colour: string;
}

export type HarnessFound =
  | { readonly kind: 'asking'; readonly question: HarnessQuestion; readonly left: number; readonly most: number | null }
  /** `ways` are those that no reading tells apart. */
  | { readonly kind: 'found'; readonly ways: readonly HarnessWay[]; readonly labels: readonly WireLabel[] }
  /** Nothing with at most one broken wire reads so. */
  | { readonly kind: 'faulty' };

const answers: readonly Continuity[] = ['none', 'some', 'beeps'];
/** Below this a hand meter beeps, Ω. */
const BEEPS_OHM = 0.5;
/** Of more ways than this it is not reckoned how many questions they take. */
const MOST_RECKONED = 120;

/** The conductors of a circuit that come out of its bilge, in the order of the plan. */
export function harnessOf({ plan }: AssessedPump | AssessedAlarm): PlannedConductor[] {
  const bands = new Map(plan.parts.map(({ part, band }) => [part.id, band]));
  const wet = (part: string) => (bands.get(part) ?? 'bilge') === 'bilge';
  return plan.conductors.filter(({ from, to }) => wet(from.part) !== wet(to.part));
}

/** Tells the wires of an unknown harness apart by ohms between pairs, in the fewest questions. */
export class HarnessIdentifier {
  private readonly groups: readonly (readonly HarnessWay[])[];
  private readonly asked: readonly HarnessQuestion[];
  private readonly puzzle: Puzzle;
  private readonly questions: Questions;
  private readonly names: ReadonlyMap<WireRole, PlannedConductor>;

  /**
   * @param wires how many come out
   * @throws RangeError for fewer than the circuit has, or more than five
   */
  constructor(
    assessed: AssessedPump | AssessedAlarm,
    readonly wires: number,
  ) {
    const conductors = harnessOf(assessed);
    const roles = conductors.map(({ id }) => id);
    if (wires < Math.max(2, roles.length) || wires > MOST_WIRES)
      throw new RangeError(
        `${roles.length} conductors come out of this bilge: ${Math.max(2, roles.length)} to ${MOST_WIRES} wires can be told apart.`,
      );
    this.names = new Map(conductors.map((one) => [one.id, one]));
    this.asked = questionsOf(wires);
    const read = readings(assessed, conductors);
    const byReading = new Map<string, HarnessWay[]>();
    for (const way of waysOf(roles, wires)) {
      const key = this.asked.map((question) => answerTo(way, question, read)).join('');
      byReading.set(key, [...(byReading.get(key) ?? []), way]);
    }
    this.groups = [...byReading.values()];
    this.puzzle = {
      hypotheses: this.groups.length,
      questions: this.asked.map((_question, at) => ({
        id: String(at),
        answers: Uint8Array.from([...byReading.keys()], (key) => Number(key[at] ?? 0)),
      })),
      symmetries: symmetriesOf(this.groups, [...byReading.keys()], (way) =>
        this.asked.map((question) => answerTo(way, question, read)).join(''),
      ),
    };
    this.questions = new Questions(this.puzzle);
  }

  /** How many ways there are that readings can tell apart. */
  get ways(): number {
    return this.groups.length;
  }

  /** Questions in the worst case from the beginning. */
  get worst(): number {
    return this.questions.effort(this.groups.map((_group, at) => at)).worst;
  }

  /** What is known after some readings. */
  after(given: readonly HarnessReading[]): HarnessFound {
    const left = this.groups.flatMap((_group, at) =>
      given.every((one) => this.answer(at, one) === answers.indexOf(one.reads)) ? [at] : [],
    );
    if (left.length === 0) return { kind: 'faulty' };
    const next = left.length > 1 ? this.questions.next(left) : null;
    const question = next && this.asked[Number(next.id)];
    if (question) {
      const most = left.length <= MOST_RECKONED ? this.questions.effort(left).worst : null;
      return { kind: 'asking', question, left: left.length, most };
    }
    const ways = left.flatMap((at) => this.groups[at] ?? []);
    return { kind: 'found', ways, labels: (ways[0]?.roles ?? []).map((role) => this.label(role)) };
  }

  private answer(group: number, { a, b, lifted }: HarnessQuestion): number {
    const at = this.asked.findIndex(
      (one) => one.lifted === lifted && ((one.a === a && one.b === b) || (one.a === b && one.b === a)),
    );
    return this.puzzle.questions[at]?.answers[group] ?? -1;
  }

  private label(role: WireRole): WireLabel {
    const own = this.names.get(role);
    if (!own) return { role, name: 'Spare: insulate both ends', colour: '' };
    return { role, name: own.name, colour: colourInWords(own.colour) };
  }
}

/** Wires renamed leave the puzzle the same: each order of them as the group that every group becomes. */
function symmetriesOf(
  groups: readonly (readonly HarnessWay[])[],
  keys: readonly string[],
  keyOf: (way: HarnessWay) => string,
): number[][] {
  const at = new Map(keys.map((key, group) => [key, group]));
  const wires = groups[0]?.[0]?.roles.length ?? 0;
  return permutations(Array.from({ length: wires }, (_, wire) => wire)).map((order) =>
    groups.map(([first]) => {
      if (!first) return 0;
      return at.get(keyOf({ ...first, roles: order.map((wire) => first.roles[wire] ?? SPARE) })) ?? 0;
    }),
  );
}

function questionsOf(wires: number): HarnessQuestion[] {
  const all: HarnessQuestion[] = [];
  for (const lifted of ['down', 'up'] as const)
    for (let a = 0; a < wires; a += 1) for (let b = a + 1; b < wires; b += 1) all.push({ a, b, lifted });
  return all;
}

/** Every way in which roles and spares can lie on the wires, whole or with one of them broken. */
function waysOf(roles: readonly WireRole[], wires: number): HarnessWay[] {
  const all: HarnessWay[] = [];
  const filled = [...roles, ...Array.from({ length: wires - roles.length }, () => SPARE)];
  const place = (taken: readonly WireRole[], left: readonly WireRole[]) => {
    if (left.length === 0) {
      for (const broken of [null, ...roles]) all.push({ roles: taken, broken });
      return;
    }
    for (const role of new Set(left)) {
      const at = left.indexOf(role);
      place([...taken, role], [...left.slice(0, at), ...left.slice(at + 1)]);
    }
  };
  place([], filled);
  return all;
}

const pairKey = (one: WireRole, other: WireRole, lifted: FloatPosition) => `${[one, other].sort().join(' ')} ${lifted}`;

function answerTo(
  { roles, broken }: HarnessWay,
  { a, b, lifted }: HarnessQuestion,
  read: ReadonlyMap<string, Continuity>,
): number {
  const [one = SPARE, other = SPARE] = [roles[a], roles[b]];
  if (one === SPARE || other === SPARE || one === broken || other === broken) return 0;
  return answers.indexOf(read.get(pairKey(one, other, lifted)) ?? 'none');
}

/** What an ohmmeter shows between every two conductors cut off at the panel: solved on what hangs in the bilge. */
function readings(
  { plan, netlist }: AssessedPump | AssessedAlarm,
  cut: readonly PlannedConductor[],
): Map<string, Continuity> {
  const bands = new Map(plan.parts.map(({ part, band }) => [part.id, band]));
  const wet = (part: string) => (bands.get(part) ?? 'bilge') === 'bilge';
  const cutIds = new Set(cut.map(({ id }) => id));
  const endOf = (id: string) => ({ part: `end-${id}`, terminal: 'end' });
  const ends = cut.map(({ id }): Part => ({ kind: 'joint', id: `end-${id}`, ways: ['end', 'meter'], ohm: 0.001 }));
  const conductors = netlist.conductors.flatMap((wire): NetConductor[] => {
    const [from, to] = [wet(wire.from.part), wet(wire.to.part)];
    if (from && to) return [wire];
    if (!cutIds.has(wire.id)) return [];
    return [from ? { ...wire, to: endOf(wire.id) } : { ...wire, from: endOf(wire.id) }];
  });
  const [first] = cut;
  const ground = first ? endOf(first.id) : netlist.ground;
  const bilge: Netlist = { ground, parts: [...netlist.parts.filter(({ id }) => wet(id)), ...ends], conductors };
  const floats = (lifted: FloatPosition) =>
    Object.fromEntries(netlist.parts.filter(({ id }) => wet(id)).map(({ id }) => [id, lifted]));
  const found = new Map<string, Continuity>();
  for (const lifted of ['down', 'up'] as const)
    cut.forEach((one, at) => {
      for (const other of cut.slice(at + 1)) {
        const probes = {
          red: { ...endOf(one.id), terminal: 'meter' },
          black: { ...endOf(other.id), terminal: 'meter' },
        };
        const read = measureOhms(bilge, { switches: {}, floats: floats(lifted) }, probes);
        const said: Continuity = read.kind !== 'ohms' ? 'none' : read.ohm < BEEPS_OHM ? 'beeps' : 'some';
        found.set(pairKey(one.id, other.id, lifted), said);
      }
    });
  return found;
}
