import { leverPositions, type Continuity, type LeverPosition } from '../job';
import { continuityBetween, switchFaults, type PanelPosts, type PostRole, type SwitchFault } from './panelPosts';
import { permutations } from './permutations';
import { Questions, type Effort, type Puzzle } from './questions';

/** Which role each post has, in the order of the posts. */
export type Assignment = readonly PostRole[];

/** Every way in which the roles can lie on the posts. */
export function assignmentsOf({ roles }: PanelPosts): Assignment[] {
  const all: PostRole[][] = [];
  const place = (taken: readonly PostRole[], left: readonly PostRole[]) => {
    if (left.length === 0) {
      all.push([...taken]);
      return;
    }
    for (const role of new Set(left)) {
      const at = left.indexOf(role);
      place([...taken, role], [...left.slice(0, at), ...left.slice(at + 1)]);
    }
  };
  place(
    [],
    roles.map(({ role }) => role),
  );
  return all;
}

const answerNumbers: readonly Continuity[] = ['none', 'some', 'beeps'];

/**
 * A test of continuity: one probe on some posts, the other on some others, by their places, and where the lever stands.
 * Posts of one side are joined by clip leads; without those there is one on each side.
 */
export interface PostQuestion {
  readonly a: readonly number[];
  readonly b: readonly number[];
  readonly lever: LeverPosition;
}

/** Something that an ohmmeter said. */
export interface PostReading extends PostQuestion {
  readonly reads: Continuity;
}

/** What is known of a panel's posts. */
export type PostsFound =
  /** `question` is the next to be put; `left` how many ways there still are, `most` how many questions at most; null where that is long to reckon. */
  | { readonly kind: 'asking'; readonly question: PostQuestion; readonly left: number; readonly most: number | null }
  /** Every post but those that no reading tells apart, each group of which may be the other way round. */
  | { readonly kind: 'found'; readonly assignment: Assignment; readonly alike: readonly (readonly number[])[] }
  /** No sound switch reads so: the ways in which a broken one does. */
  | {
      readonly kind: 'faulty';
      readonly faults: readonly { readonly fault: SwitchFault; readonly assignment: Assignment | null }[];
    };

/** What an ohmmeter says between every two posts under an assignment: pairs as bits, by how well they are joined. */
interface Joined {
  readonly beeps: number;
  readonly some: number;
}

/**
 * Up to so many ways are searched to the end; of more, the question that halves best is asked. Measured for five posts: the
 * worst case is that of the whole search, the mean within a hundredth of it, in a tenth of its time.
 */
const EXACT_UP_TO = 24;

/** Of more ways than this it is not reckoned how many questions they take. */
const MOST_RECKONED = 400;

/** From so many posts on, clip leads spare questions: most pairs of posts are not joined at all. */
export const CLIPS_FROM = 6;

/** Identifies the posts of a panel by continuity, in the fewest questions. */
export class PostIdentifier {
  private readonly assignments: readonly Assignment[];
  private readonly asked: readonly PostQuestion[];
  private readonly puzzle: Puzzle;
  private readonly questions: Questions;
  private readonly answersTo: ReadonlyMap<string, ArrayLike<number>>;
  /** Assignments that no reading tells apart. */
  private readonly groups: readonly (readonly Assignment[])[];

  /**
   * @param clips whether posts may be joined by clip leads
   * @param mostExact up to how many ways are searched to the end
   */
  constructor(
    private readonly panel: PanelPosts,
    readonly clips = panel.roles.length >= CLIPS_FROM,
    mostExact = clips ? 0 : EXACT_UP_TO,
  ) {
    const count = panel.roles.length;
    this.assignments = assignmentsOf(panel);
    this.asked = questionsOf(count, clips);
    const byReading = new Map<string, Assignment[]>();
    for (const assignment of this.assignments) {
      const key = JSON.stringify(leverPositions.map((lever) => this.joined(assignment, lever)));
      byReading.set(key, [...(byReading.get(key) ?? []), assignment]);
    }
    this.groups = [...byReading.values()];
    const joined = leverPositions.map((lever) => this.groups.map(([first]) => this.joined(first ?? [], lever)));
    this.puzzle = {
      hypotheses: this.groups.length,
      questions: this.asked.map(({ a, b, lever }, at) => {
        const pairs = pairsBetween(count, a, b);
        const of = joined[leverPositions.indexOf(lever)] ?? [];
        return {
          id: String(at),
          answers: Uint8Array.from(of, ({ beeps, some }) => ((beeps & pairs) !== 0 ? 2 : (some & pairs) !== 0 ? 1 : 0)),
        };
      }),
      symmetries: symmetriesOf(this.groups),
    };
    this.questions = new Questions(this.puzzle, mostExact);
    this.answersTo = new Map(
      this.asked.map((question, at) => [JSON.stringify(question), this.puzzle.questions[at]?.answers ?? []]),
    );
  }

  /** How many ways there are that readings can tell apart. */
  get ways(): number {
    return this.puzzle.hypotheses;
  }

  /** What it takes from the beginning: questions in the worst case, and in all over the ways. */
  get effort(): Effort {
    return this.questions.effort(range(this.ways));
  }

  /** What is known after some readings. */
  after(readings: readonly PostReading[]): PostsFound {
    let left = range(this.ways);
    for (const { reads, ...question } of readings) {
      const answers = this.answersTo.get(JSON.stringify(question));
      left = left.filter((one) =>
        answers
          ? answers[one] === answerNumbers.indexOf(reads)
          : this.reads(this.groups[one]?.[0] ?? [], question) === reads,
      );
    }
    if (left.length === 0) return { kind: 'faulty', faults: this.faultsAfter(readings) };
    const question = left.length === 1 ? null : this.questions.next(left);
    const asked = question && this.asked[Number(question.id)];
    if (asked) {
      const most = left.length > MOST_RECKONED ? null : this.questions.effort(left).worst;
      return { kind: 'asking', question: asked, left: left.length, most };
    }
    const group = this.groups[left[0] ?? 0] ?? [];
    return { kind: 'found', assignment: group[0] ?? [], alike: alikeIn(group) };
  }

  /** What a reading would be under an assignment. */
  reads(assignment: Assignment, { a, b, lever }: PostQuestion, fault: SwitchFault | null = null): Continuity {
    const { beeps, some } = this.joined(assignment, lever, fault);
    const pairs = pairsBetween(assignment.length, a, b);
    return answerNumbers[(beeps & pairs) !== 0 ? 2 : (some & pairs) !== 0 ? 1 : 0] ?? 'none';
  }

  private fits(assignment: Assignment, readings: readonly PostReading[], fault: SwitchFault | null = null): boolean {
    return readings.every(({ reads, ...question }) => this.reads(assignment, question, fault) === reads);
  }

  private faultsAfter(readings: readonly PostReading[]) {
    const faults = Object.keys(switchFaults) as SwitchFault[];
    return faults.flatMap((fault) => {
      const fits = this.assignments.filter((assignment) => this.fits(assignment, readings, fault));
      return fits.length === 0 ? [] : [{ fault, assignment: fits.length === 1 ? (fits[0] ?? null) : null }];
    });
  }

  private readonly known = new Map<string, Continuity>();

  private joined(assignment: Assignment, lever: LeverPosition, fault: SwitchFault | null = null): Joined {
    let [beeps, some] = [0, 0];
    for (let a = 0, bit = 1; a < assignment.length; a += 1) {
      for (let b = a + 1; b < assignment.length; b += 1, bit *= 2) {
        const [one, other] = [assignment[a] ?? 'spare', assignment[b] ?? 'spare'];
        const key = `${one} ${other} ${lever} ${fault}`;
        const read = this.known.get(key) ?? continuityBetween(this.panel, [one, other], lever, fault);
        this.known.set(key, read);
        if (read === 'beeps') beeps |= bit;
        else if (read === 'some') some |= bit;
      }
    }
    return { beeps, some };
  }
}

/** Pairs of posts, each a bit, of which one is on either side: with clip leads the best joined pair is what is read. */
function pairsBetween(count: number, a: readonly number[], b: readonly number[]): number {
  let pairs = 0;
  for (let one = 0, bit = 1; one < count; one += 1) {
    for (let other = one + 1; other < count; other += 1, bit *= 2)
      if ((a.includes(one) && b.includes(other)) || (b.includes(one) && a.includes(other))) pairs |= bit;
  }
  return pairs;
}

/** Every test there is, those that touch the fewest posts first. */
function questionsOf(count: number, clips: boolean): PostQuestion[] {
  const sides = clips ? subsets(range(count)).filter(({ length }) => length > 0) : range(count).map((one) => [one]);
  const pairs = sides.flatMap((a) =>
    sides.flatMap((b) => ((a[0] ?? 0) < (b[0] ?? 0) && !a.some((one) => b.includes(one)) ? [{ a, b }] : [])),
  );
  return leverPositions
    .flatMap((lever) => pairs.map(({ a, b }): PostQuestion => ({ a, b, lever })))
    .sort((one, other) => one.a.length + one.b.length - other.a.length - other.b.length);
}

function subsets(places: readonly number[]): number[][] {
  const [first, ...rest] = places;
  if (first === undefined) return [[]];
  const without = subsets(rest);
  return [...without, ...without.map((one) => [first, ...one])];
}

/** Posts that could change places without any reading being another. */
function alikeIn(group: readonly Assignment[]): number[][] {
  const byRoles = new Map<string, number[]>();
  for (const at of range(group[0]?.length ?? 0)) {
    const roles = [...new Set(group.map((assignment) => assignment[at]))].sort().join();
    byRoles.set(roles, [...(byRoles.get(roles) ?? []), at]);
  }
  return [...byRoles].filter(([roles]) => roles.includes(',')).map(([, places]) => places);
}

function range(count: number): number[] {
  return Array.from({ length: count }, (_, at) => at);
}

/** Ways to rename posts: they leave every puzzle of posts the same. Of many posts only the one that renames nothing. */
function symmetriesOf(groups: readonly (readonly Assignment[])[]): number[][] {
  const count = groups[0]?.[0]?.length ?? 0;
  if (count > MOST_RENAMED) return [range(groups.length)];
  const groupOf = new Map(groups.flatMap((group, at) => group.map((one) => [one.join(), at] as const)));
  return permutations(range(count)).map((order) =>
    groups.map(([first]) => groupOf.get(order.map((at) => first?.[at]).join()) ?? 0),
  );
}

const MOST_RENAMED = 5;
