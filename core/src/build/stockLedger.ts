import type { CutFor, StockEntry } from '../wire';
import type { Drum } from './cutting';

/** A cut that stands. */
export interface StockCut {
  readonly entry: string;
  readonly at: string;
  readonly by: string;
  readonly drum: string;
  readonly metres: number;
  readonly for: CutFor | null;
}

/** A drum or an offcut with what is left on it. `metres` is never below nought. */
export interface DrumLeft extends Drum {
  readonly place: string | null;
  /** As it was last counted, m. */
  readonly countedM: number;
  /** Cut from it since, m. */
  readonly cutM: number;
  /** How much more was cut from it than it held, m; 0 where all is well. */
  readonly overM: number;
}

/** What lies in van and store of one part. */
export interface PartLeft {
  readonly item: string;
  readonly quantity: number;
  readonly unit: 'piece' | 'm' | 'set';
}

/** Something that two people did without knowing of each other. */
export interface StockProblem {
  readonly drum: string | null;
  readonly message: string;
  /** Entries that can be taken back to mend it, the last first. */
  readonly entries: readonly string[];
}

/** A yard's stock as its entries leave it. Plain data. */
export interface StockState {
  readonly drums: readonly DrumLeft[];
  readonly cuts: readonly StockCut[];
  readonly parts: readonly PartLeft[];
  /** What one of an item, or a metre, costs, by `itemKey`. */
  readonly prices: Readonly<Record<string, number>>;
  readonly perHour: number | null;
  readonly problems: readonly StockProblem[];
}

/** Lengths are counted in millimetres, so that sums are exact. */
const mm = (metres: number) => Math.round(metres * 1000);

const nameOf = ({ size, colour }: Drum) => `${size}, ${colour}`;

/**
 * The stock as its entries leave it, in whatever order they came: they are put in the order of their ids, which is that
 * of time. A count counts anew; what was taken back is as if it had never been.
 */
export function stockOf(entries: readonly StockEntry[]): StockState {
  const undone = new Set(entries.flatMap(({ change }) => (change.kind === 'undone' ? [change.entry] : [])));
  const standing = [...entries].filter(({ id }) => !undone.has(id)).sort((a, b) => (a.id < b.id ? -1 : 1));
  const drums = new Map<string, DrumLeft & { readonly since: readonly StockCut[] }>();
  const cuts: StockCut[] = [];
  const parts = new Map<string, PartLeft>();
  const prices = new Map<string, number>();
  let perHour: number | null = null;
  for (const { id, at, by, change } of standing) {
    switch (change.kind) {
      case 'drum': {
        const { drum, size, colour, insulationC, metres, opened, place = null } = change;
        const whole = { place, countedM: metres, cutM: 0, overM: 0, since: [] };
        drums.set(drum, { id: drum, size, colour, insulationC, metres, opened, ...whole });
        break;
      }
      case 'gone':
        drums.delete(change.drum);
        break;
      case 'cut': {
        const cut: StockCut = { entry: id, at, by, drum: change.drum, metres: change.metres, for: change.for };
        cuts.push(cut);
        const drum = drums.get(change.drum);
        if (drum) drums.set(drum.id, lessOf(drum, cut));
        break;
      }
      case 'part': {
        const { item, quantity, unit } = change;
        if (quantity > 0) parts.set(itemKey(item), { item, quantity, unit });
        else parts.delete(itemKey(item));
        break;
      }
      case 'price':
        if (change.each === null) prices.delete(itemKey(change.item));
        else prices.set(itemKey(change.item), change.each);
        break;
      case 'labour':
        ({ perHour } = change);
        break;
      case 'practised':
      case 'undone':
        break;
      default:
        change satisfies never;
    }
  }
  const all = [...drums.values()];
  return {
    drums: all.map(({ since: _since, ...drum }) => drum),
    cuts,
    parts: [...parts.values()],
    prices: Object.fromEntries(prices),
    perHour,
    problems: [...all.flatMap(overdrawn), ...cutTwice(cuts)],
  };
}

type Cutting = DrumLeft & { readonly since: readonly StockCut[] };

function lessOf(drum: Cutting, cut: StockCut): Cutting {
  const since = [...drum.since, cut];
  const cutMm = mm(drum.cutM) + mm(cut.metres);
  const leftMm = mm(drum.countedM) - cutMm;
  return {
    ...drum,
    since,
    cutM: cutMm / 1000,
    metres: Math.max(0, leftMm) / 1000,
    overM: Math.max(0, -leftMm) / 1000,
    opened: drum.opened ?? cut.at.slice(0, 10),
  };
}

const whoseOf = ({ for: what, by, metres }: StockCut) =>
  `${metres} m${what ? ` for ${what.words}` : ''}${by === '' ? '' : ` by ${by}`}`;

function overdrawn(drum: Cutting): StockProblem[] {
  if (drum.overM === 0) return [];
  const last = [...drum.since].reverse();
  const told = last.slice(0, 3).reverse().map(whoseOf).join('; ');
  return [
    {
      drum: drum.id,
      message: `${nameOf(drum)}: ${drum.overM} m more was cut than the drum held. Last: ${told}. Measure what is left and count it, or take back a cut that was not made.`,
      entries: last.map(({ entry }) => entry),
    },
  ];
}

function cutTwice(cuts: readonly StockCut[]): StockProblem[] {
  const byPiece = new Map<string, StockCut[]>();
  for (const cut of cuts) {
    if (!cut.for) continue;
    const key = pieceKey(cut.for.boatId, cut.for.circuitId, cut.for.piece);
    byPiece.set(key, [...(byPiece.get(key) ?? []), cut]);
  }
  return [...byPiece.values()].flatMap((same): StockProblem[] => {
    const [first] = same;
    if (!first?.for || same.length < 2) return [];
    return [
      {
        drum: null,
        message: `${first.for.words} was cut ${same.length === 2 ? 'twice' : `${same.length} times`}: ${same.map(whoseOf).join('; ')}. Take back the one that was not made, or keep it as an offcut.`,
        entries: [...same].reverse().map(({ entry }) => entry),
      },
    ];
  });
}

/** An item of a list by what it is called, however its spaces are written. */
export function itemKey(item: string): string {
  return item.replace(/\s+/g, ' ').trim();
}

/** Names a piece of a circuit's cut list throughout the yard. */
export function pieceKey(boatId: string, circuitId: string, piece: string): string {
  return `${boatId}/${circuitId}/${piece}`;
}

/** The cuts that stand, by the piece that they were for. */
export function cutByPiece({ cuts }: StockState): ReadonlyMap<string, StockCut> {
  return new Map(
    cuts.flatMap((cut) =>
      cut.for ? [[pieceKey(cut.for.boatId, cut.for.circuitId, cut.for.piece), cut] as const] : [],
    ),
  );
}
