/** A puzzle with sharp answers: what each question answers under each hypothesis; some question tells every two of them apart. */
export interface Puzzle {
  /** How many hypotheses there are, all equally likely. */
  readonly hypotheses: number;
  readonly questions: readonly Question[];
  /**
   * Ways to rename everything that leave the puzzle the same, each as the hypothesis that every hypothesis becomes; they
   * only make the search shorter. The first that every puzzle has is to rename nothing.
   */
  readonly symmetries: readonly (readonly number[])[];
}

export interface Question {
  readonly id: string;
  /** The answer under each hypothesis; equal numbers are equal answers. */
  readonly answers: ArrayLike<number>;
}

/** How many questions it takes in the worst case, and in all over the hypotheses. */
export interface Effort {
  readonly worst: number;
  readonly sum: number;
}

const NONE: Effort = { worst: 0, sum: 0 };

function isLess(one: Effort, other: Effort): boolean {
  return one.worst === other.worst ? one.sum < other.sum : one.worst < other.worst;
}

function parts<Key>(left: readonly number[], keyOf: (one: number) => Key): number[][] {
  const groups = new Map<Key, number[]>();
  for (const one of left) {
    const key = keyOf(one);
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return [...groups.values()];
}

/** What each answer to a question would leave. */
export function leaves({ answers }: Question, left: readonly number[]): number[][] {
  return parts(left, (one) => answers[one]);
}

/** From so many hypotheses on, it is looked whether a like set was searched before. */
const LEAST_RENAMED = 9;

/** Answers are numbers below this. */
const MOST_ANSWERS = 16;

/** So many hypotheses are searched through to the end; of more, the question that halves best is asked. */
const MOST_EXACT = 120;

/**
 * Finds the next question: the one with the fewest questions in the worst case, then on average. Exact for up to 120
 * hypotheses, by a search over all orders of questions, memorised up to what the symmetries make the same. It keeps what it
 * found, so that one search serves a whole dialogue.
 */
export class Questions {
  private readonly known = new Map<string, Effort & { readonly question: number | null }>();

  constructor(
    private readonly puzzle: Puzzle,
    private readonly mostExact = MOST_EXACT,
  ) {}

  /** The next question for what is left; null where none tells any of it apart. */
  next(left: readonly number[]): Question | null {
    const { questions } = this.puzzle;
    if (left.length > this.mostExact) return this.halving(left);
    // Found for the set itself, since what is known may be of one that is only like it.
    let best: Question | null = null;
    let bestEffort: Effort = { worst: Infinity, sum: Infinity };
    for (const question of this.telling(left)) {
      const effort = this.effortOf(questions[question] as Question, left, bestEffort);
      if (effort && isLess(effort, bestEffort)) [best, bestEffort] = [questions[question] ?? null, effort];
    }
    return best;
  }

  /** What it takes from here: exact for up to 120 hypotheses, otherwise by the question that halves best. */
  effort(left: readonly number[]): Effort {
    if (left.length <= this.mostExact) return this.solve(left);
    const question = this.halving(left);
    if (!question) return NONE;
    return summed(
      left.length,
      leaves(question, left).map((group) => this.effort(group)),
    );
  }

  private solve(left: readonly number[]): Effort {
    if (left.length <= 1) return NONE;
    // Small sets are quicker searched than renamed.
    const key = left.length < LEAST_RENAMED ? left.join() : this.keyOf(left);
    const before = this.known.get(key);
    if (before) return before;
    let best: (Effort & { readonly question: number | null }) | null = null;
    const floor = this.least(left.length);
    for (const at of this.telling(left)) {
      const question = this.puzzle.questions[at];
      if (!question) continue;
      const effort = this.effortOf(question, left, best ?? { worst: Infinity, sum: Infinity });
      if (effort && (!best || isLess(effort, best))) best = { ...effort, question: at };
      if (best && best.worst === floor.worst && best.sum === floor.sum) break;
    }
    const found = best ?? { ...NONE, question: null };
    this.known.set(key, found);
    return found;
  }

  /** The least that any questions can take: those of a tree that is as even as can be. */
  private least(count: number): Effort {
    const answers = this.mostAnswers();
    let [worst, reach] = [0, 1];
    while (reach < count) [worst, reach] = [worst + 1, reach * answers];
    return { worst, sum: count * worst - Math.floor((reach - count) / (answers - 1)) };
  }

  /** What a question and all after it take; null where that is more than what is there already. */
  private effortOf(question: Question, left: readonly number[], most: Effort): Effort | null {
    const groups = leaves(question, left).sort((a, b) => b.length - a.length);
    // Each group takes so much at least: where that is too much already, nothing is searched.
    const floors = groups.map(({ length }) => this.least(length));
    let bound = summed(left.length, floors);
    if (!isLess(bound, most)) return null;
    const efforts: Effort[] = [];
    for (const group of groups) {
      efforts.push(this.solve(group));
      bound = summed(left.length, [...efforts, ...floors.slice(efforts.length)]);
      if (!isLess(bound, most)) return null;
    }
    return summed(left.length, efforts);
  }

  private most: number | undefined;
  /** Into how many a question can part what is left. */
  private mostAnswers(): number {
    this.most ??=
      1 + Math.max(1, ...this.puzzle.questions.flatMap(({ answers }) => Array.from(new Set(Array.from(answers)))));
    return this.most;
  }

  /** Questions that tell something apart, one of each that would tell the same, those that halve best first. */
  private telling(left: readonly number[]): number[] {
    const seen = new Set<string>();
    return this.puzzle.questions
      .flatMap((question, at) => {
        const groups = leaves(question, left);
        const [first] = groups;
        if (groups.length < 2 || !first) return [];
        const same = groups
          .map((group) => group.join())
          .sort()
          .join('|');
        if (seen.has(same)) return [];
        seen.add(same);
        return [{ at, largest: Math.max(...groups.map(({ length }) => length)) }];
      })
      .sort((a, b) => a.largest - b.largest || a.at - b.at)
      .map(({ at }) => at);
  }

  /** The question that leaves the fewest in the worst case; of like ones the first. */
  private halving(left: readonly number[]): Question | null {
    let best: Question | null = null;
    let fewest = left.length;
    const perfect = Math.ceil(left.length / this.mostAnswers());
    for (const question of this.puzzle.questions) {
      const largest = this.largestLeft(question, left, fewest);
      if (largest < fewest) [best, fewest] = [question, largest];
      if (fewest <= perfect) break;
    }
    return best;
  }

  private readonly counts = new Uint32Array(MOST_ANSWERS);

  /** How many the worst answer leaves; no less than `most` where it is given up. */
  private largestLeft({ answers }: Question, left: readonly number[], most: number): number {
    const counts = this.counts.fill(0, 0, this.mostAnswers());
    let largest = 0;
    for (const one of left) {
      const answer = answers[one] ?? 0;
      const count = (counts[answer] ?? 0) + 1;
      counts[answer] = count;
      if (count > largest) largest = count;
      if (largest >= most) break;
    }
    return largest;
  }

  /** What a set takes, where it was found before: as it is, or renamed. */
  private keyOf(left: readonly number[]): string {
    const own = wordsOf(left, (one) => one, this.puzzle.hypotheses);
    const raw = textOf(own);
    const before = this.renamed.get(raw);
    if (before !== undefined) return before;
    let least = own;
    for (const renamed of this.puzzle.symmetries) {
      const words = wordsOf(left, (one) => renamed[one] ?? one, this.puzzle.hypotheses);
      if (isBelow(words, least)) least = words;
    }
    const key = textOf(least);
    this.renamed.set(raw, key);
    return key;
  }

  private readonly renamed = new Map<string, string>();
}

/** A set as bits. */
function wordsOf(left: readonly number[], nameOf: (one: number) => number, count: number): Uint32Array {
  const words = new Uint32Array(Math.ceil(count / 32));
  for (const one of left) {
    const name = nameOf(one);
    words[name >> 5] = (words[name >> 5] ?? 0) | (1 << (name & 31));
  }
  return words;
}

const textOf = (words: Uint32Array): string => String.fromCharCode(...new Uint16Array(words.buffer));

function isBelow(one: Uint32Array, other: Uint32Array): boolean {
  for (let at = 0; at < one.length; at += 1) {
    const [a, b] = [one[at] ?? 0, other[at] ?? 0];
    if (a !== b) return a < b;
  }
  return false;
}

function summed(count: number, efforts: readonly Effort[]): Effort {
  return {
    worst: 1 + Math.max(...efforts.map(({ worst }) => worst)),
    sum: count + efforts.reduce((sum, effort) => sum + effort.sum, 0),
  };
}
