import { buildRules } from '../reference';

/** Cable in the van or on the shelf. */
export interface Drum {
  readonly id: string;
  readonly size: string;
  /** In words: "brown with white stripe". */
  readonly colour: string;
  readonly insulationC: number;
  readonly metres: number;
  /** When it was first cut, ISO; null for one that is whole. */
  readonly opened: string | null;
}

/** A length to be cut. */
export interface CutPiece {
  readonly conductor: string;
  readonly size: string;
  readonly colour: string;
  readonly insulationC: number;
  readonly metres: number;
}

export interface Cut {
  readonly drum: string;
  readonly conductor: string;
  readonly metres: number;
}

/** What is cut from what. */
export interface Cutting {
  readonly cuts: readonly Cut[];
  /** What no drum holds, summed by size and colour. */
  readonly missing: readonly { readonly size: string; readonly colour: string; readonly metres: number }[];
  /** Rests of drums that were cut, too short to be of use, m. */
  readonly wasteM: number;
  /** Whether no better way is possible; false where a search was ended before its end. */
  readonly exact: boolean;
}

/** Lengths are counted in centimetres, so that sums are exact. */
const cm = (metres: number) => Math.round(metres * 100);

/** What the colour of a spare core begins with: it takes whatever is left once the others have chosen. */
export const ANY_COLOUR = 'any';

const fits = (drum: string, wanted: string) =>
  drum === wanted || (wanted.startsWith(ANY_COLOUR) && !drum.endsWith(SHEATHED));

/** What the colour of a sheathed cable ends with. */
export const SHEATHED = 'sheathed';

/** So many offcuts are told apart by their age. */
const MOST_WEIGHED = 30;

/** States looked at for one kind of cable before the best found so far is taken. */
const MOST_STATES = 400_000;

interface Cost {
  readonly missing: number;
  readonly waste: number;
  readonly opened: number;
  readonly age: number;
}

function isLess(one: Cost, other: Cost): boolean {
  if (one.missing !== other.missing) return one.missing < other.missing;
  if (one.waste !== other.waste) return one.waste < other.waste;
  if (one.opened !== other.opened) return one.opened < other.opened;
  return one.age < other.age;
}

/**
 * What to cut from which drum: nothing missing that a drum holds, then the least waste (rests under 1.5 m of drums that
 * were cut), then the fewest whole drums opened, then the offcuts used up that are open longest. Found by a search
 * over all ways, memorised by what is left on the drums, which is exact for up to 20 pieces and a handful of drums of a
 * kind; `exact` says so. Insulation for a higher temperature may stand in for a lower one.
 */
export function cutFromStock(pieces: readonly CutPiece[], stock: readonly Drum[]): Cutting {
  const kinds = new Map<string, CutPiece[]>();
  for (const piece of pieces) {
    const kind = JSON.stringify([piece.size, piece.colour, piece.insulationC]);
    kinds.set(kind, [...(kinds.get(kind) ?? []), piece]);
  }
  // What asks for more of its insulation chooses first; what is left serves the rest.
  const groups = [...kinds.values()].sort((a, b) => (b[0]?.insulationC ?? 0) - (a[0]?.insulationC ?? 0));
  let left = stock.map((drum) => ({ ...drum, metres: cm(drum.metres) / 100 }));
  const done: Cut[] = [];
  const missing = new Map<string, { size: string; colour: string; metres: number }>();
  let exact = true;
  for (const group of groups) {
    const [first] = group;
    if (!first) continue;
    const { size, colour, insulationC } = first;
    const own = left.filter(
      (drum) => drum.size === size && fits(drum.colour, colour) && drum.insulationC >= insulationC,
    );
    const found = cutOneKind(group, own);
    exact &&= found.exact;
    done.push(...found.cuts);
    left = left.map((drum) => ({
      ...drum,
      metres:
        (cm(drum.metres) -
          found.cuts.filter((cut) => cut.drum === drum.id).reduce((sum, cut) => sum + cm(cut.metres), 0)) /
        100,
    }));
    for (const piece of found.missing) {
      const kind = `${size}\n${colour}`;
      const before = missing.get(kind)?.metres ?? 0;
      missing.set(kind, { size, colour, metres: (cm(before) + cm(piece.metres)) / 100 });
    }
  }
  const touched = new Set(done.map(({ drum }) => drum));
  const wasteCm = left
    .filter(({ id }) => touched.has(id))
    .reduce((sum, { metres }) => sum + (cm(metres) < cm(buildRules.shortestOffcutM.value) ? cm(metres) : 0), 0);
  return { cuts: done, missing: [...missing.values()], wasteM: wasteCm / 100, exact };
}

function cutOneKind(pieces: readonly CutPiece[], drums: readonly Drum[]) {
  const order = [...pieces].sort((a, b) => cm(b.metres) - cm(a.metres));
  const lengths = order.map(({ metres }) => cm(metres));
  const full = drums.map(({ metres }) => cm(metres));
  const useful = cm(buildRules.shortestOffcutM.value);
  const byAge = drums
    .filter(({ opened }) => opened !== null)
    .sort((a, b) => ((a.opened ?? '') < (b.opened ?? '') ? -1 : 1));
  // An offcut that is left uncut weighs more the longer it is open.
  const weight = drums.map((drum) => (drum.opened === null ? 0 : 2 ** Math.max(0, MOST_WEIGHED - byAge.indexOf(drum))));
  const shortest = lengths.map((_, at) => Math.min(...lengths.slice(at)));

  // Sums, below a rest that is of use, that pieces from each place on can make.
  const sums: Uint8Array[] = [];
  for (let at = lengths.length; at >= 0; at -= 1) {
    const own = Uint8Array.from(sums[at + 1] ?? new Uint8Array(useful));
    own[0] = 1;
    const length = lengths[at] ?? useful;
    for (let sum = useful - 1; sum >= length; sum -= 1) if (own[sum - length] === 1) own[sum] = 1;
    sums[at] = own;
  }
  /** The most of a short rest that pieces from a place on can fill. */
  const most = (next: number, cap: number): number => {
    let sum = cap;
    while (sum > 0 && sums[next]?.[sum] !== 1) sum -= 1;
    return sum;
  };

  const costOf = (caps: readonly number[], missing: number, next: number): Cost => {
    let [waste, opened, age] = [0, 0, 0];
    caps.forEach((cap, at) => {
      if (cap === full[at]) {
        if (cap < (shortest[next] ?? Infinity)) age += weight[at] ?? 0;
        return;
      }
      // A short rest is at best filled up by what is still to be cut.
      if (cap < useful) waste += cap - most(next, cap);
      if (drums[at]?.opened === null) opened += 1;
    });
    return { missing, waste, opened, age };
  };

  const rest = lengths.map((_, at) => lengths.slice(at).reduce((sum, one) => sum + one, 0));
  /** What no way from here can do better than, where all that is left is cut: metres may be split at will. */
  const bound = (caps: readonly number[], missing: number, next: number): Cost => {
    const { waste, opened, age } = costOf(caps, missing, next);
    const left = rest[next] ?? 0;
    const room = caps.reduce((sum, cap) => sum + cap, 0);
    const shut = caps.filter((cap, at) => drums[at]?.opened === null && cap === full[at]).sort((a, b) => b - a);
    let short = left - (room - shut.reduce((sum, cap) => sum + cap, 0));
    let more = 0;
    for (const cap of shut) {
      if (short <= 0) break;
      short -= cap;
      more += 1;
    }
    return { missing: missing + Math.max(0, left - room), waste, opened: opened + more, age };
  };

  let best: { readonly cost: Cost; readonly choice: readonly number[] | null } | null = null;
  const seen = new Map<string, number>();
  let states = 0;
  const choice: number[] = [];
  const look = (next: number, caps: readonly number[], missing: number): void => {
    const cost = next === lengths.length ? costOf(caps, missing, next) : bound(caps, missing, next);
    if (best && !isLess(cost, best.cost)) return;
    if (next === lengths.length) {
      best = { cost, choice: [...choice] };
      return;
    }
    const key = `${next}:${caps.join(',')}`;
    if ((seen.get(key) ?? Infinity) <= missing || states >= MOST_STATES) return;
    seen.set(key, missing);
    states += 1;
    const length = lengths[next] ?? 0;
    const tried = new Set<string>();
    // The drum that it fills most tightly first: good ways are found early.
    const fitting = caps
      .map((cap, at) => ({ cap, at }))
      .filter(({ cap }) => cap >= length)
      .sort((a, b) => a.cap - b.cap);
    for (const { cap, at } of fitting) {
      const alike = `${cap}:${full[at] ?? 0}:${drums[at]?.opened ?? ''}`;
      if (tried.has(alike)) continue;
      tried.add(alike);
      choice.push(at);
      look(
        next + 1,
        caps.map((one, index) => (index === at ? one - length : one)),
        missing,
      );
      choice.pop();
    }
    choice.push(-1);
    look(next + 1, caps, missing + length);
    choice.pop();
  };
  // Mostly there is a way without any waste: it is looked for first, which leaves out most of what is worse.
  best = { cost: { ...bound(full, 0, 0), waste: 0, opened: Infinity, age: Infinity }, choice: null };
  look(0, full, 0);
  if (best.choice === null) {
    best = null;
    seen.clear();
    states = 0;
    look(0, full, 0);
  }
  const found = (best as { readonly choice: readonly number[] | null } | null)?.choice ?? lengths.map(() => -1);
  return {
    cuts: order.flatMap((piece, at): Cut[] => {
      const drum = drums[found[at] ?? -1];
      return drum ? [{ drum: drum.id, conductor: piece.conductor, metres: cm(piece.metres) / 100 }] : [];
    }),
    missing: order.filter((_piece, at) => (found[at] ?? -1) < 0),
    exact: states < MOST_STATES,
  };
}
