import type { AssessedCircuit } from '../assess';
import type { Job } from '../job';
import { buildList, pieces, type BuildList } from './buildList';
import { cutFromStock, type Cutting, type CutPiece } from './cutting';
import { orderOf, type OrderLine } from './order';
import { cutByPiece, itemKey, pieceKey, type StockState } from './stockLedger';

/** A boat as it was assessed. */
export interface AssessedBoat {
  readonly job: Job;
  readonly circuits: readonly AssessedCircuit[];
}

/** Which circuits are counted: those whose building was begun, or all that are sized and not built yet. */
export type OpenJobs = 'begun' | 'all';

/** A circuit that is counted. */
export interface OpenJob {
  readonly boatId: string;
  readonly boat: string;
  readonly circuitId: string;
  readonly circuit: string;
  /** Pieces of its cut list, and how many of them are cut. */
  readonly pieces: number;
  readonly cut: number;
}

/** A part that neither is on board nor lies in the stock. */
export interface MissingPart {
  readonly item: string;
  readonly unit: 'piece' | 'm' | 'set';
  readonly needed: number;
  readonly there: number;
  readonly missing: number;
  /** Boats it is for. */
  readonly boats: readonly string[];
}

/** What the open jobs of a yard still take. Plain data. */
export interface YardOrder {
  readonly jobs: readonly OpenJob[];
  readonly cutting: Cutting;
  /** Cable that no drum holds, with a tenth more. */
  readonly cable: readonly OrderLine[];
  readonly parts: readonly MissingPart[];
}

function isOpen({ steps }: BuildList, marks: Readonly<Record<string, unknown>>, which: OpenJobs): boolean {
  const done = steps.filter(({ id }) => marks[id] !== undefined).length;
  return done < steps.length && (which === 'all' || done > 0);
}

/** What is missing over all open jobs, once what lies in the stock is used. Archived boats are left out. */
export function yardOrder(boats: readonly AssessedBoat[], stock: StockState, which: OpenJobs): YardOrder {
  const cuts = cutByPiece(stock);
  const open = boats.flatMap(({ job, circuits }) =>
    job.boat.archived
      ? []
      : circuits.flatMap((one) => {
          if (one.status === 'incomplete') return [];
          const list = buildList(job, one);
          if (!isOpen(list, one.circuit.steps ?? {}, which)) return [];
          const all = pieces(list.conductors, list.spares);
          const left = all.filter(({ id }) => !cuts.has(pieceKey(job.boat.id, one.circuit.id, id)));
          return [{ job, circuit: one.circuit, list, all, left }];
        }),
  );
  const wanted = open.flatMap(({ job, circuit, left }) =>
    left.map(({ id, size, colour, cutM, insulationC }): CutPiece => ({
      conductor: pieceKey(job.boat.id, circuit.id, id),
      size,
      colour,
      insulationC,
      metres: cutM,
    })),
  );
  const cutting = cutFromStock(wanted, stock.drums);
  const held = new Set(cutting.cuts.map(({ conductor }) => conductor));
  const cable = wanted.filter(({ conductor }) => !held.has(conductor)).map((one) => ({ ...one, cutM: one.metres }));
  return {
    jobs: open.map(({ job, circuit, all, left }) => ({
      boatId: job.boat.id,
      boat: job.boat.name,
      circuitId: circuit.id,
      circuit: circuit.name,
      pieces: all.length,
      cut: all.length - left.length,
    })),
    cutting,
    cable: orderOf(cable),
    parts: missingParts(open, stock),
  };
}

/** Parts of the lists that are not cable: those no longer on the list as aboard, less what the stock holds. */
function missingParts(
  open: readonly { readonly job: Job; readonly list: BuildList }[],
  { parts: there }: StockState,
): MissingPart[] {
  const sums = new Map<string, { item: string; unit: MissingPart['unit']; needed: number; boats: Set<string> }>();
  for (const { job, list } of open) {
    for (const { id, item, unit, quantity, aboard } of list.parts) {
      if (aboard || id.startsWith('cable-')) continue;
      const before = sums.get(item) ?? { item, unit, needed: 0, boats: new Set<string>() };
      before.boats.add(job.boat.name);
      sums.set(item, { ...before, needed: before.needed + quantity });
    }
  }
  return [...sums.values()].flatMap(({ item, unit, needed, boats }) => {
    const held = there.find((one) => itemKey(one.item) === itemKey(item))?.quantity ?? 0;
    const missing = Number((needed - held).toFixed(3));
    return missing > 0 ? [{ item, unit, needed, there: held, missing, boats: [...boats] }] : [];
  });
}
