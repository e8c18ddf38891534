import { terminalName, type Netlist, type TerminalRef } from './netlist';
import { doingWords, terminalsOf, type Doing, type Part, type Setting } from './parts';
import type { OperatingPoint } from './solve';
import type { TruthRow } from './truthTable';

/** What the places of a kept operating point stand for; every point of one netlist shares it. */
export interface PointNames {
  /** Ids of the parts, and of the conductors. */
  readonly parts: readonly string[];
  readonly conductors: readonly string[];
  /** Terminals of the parts that work by their volts (pump, lights, alarms, coils, sensors, batteries), `part.terminal`. */
  readonly terminals: readonly string[];
}

/** An operating point as plain data: it may be stored, sent and compared. Each list goes by the names. */
export interface KeptPoint {
  readonly names: PointNames;
  /** Volts of each terminal against battery negative. */
  readonly terminalsV: readonly number[];
  /** Amperes through each conductor, from its `from` to its `to` end. */
  readonly conductorsA: readonly number[];
  /** Each part's own current, A. */
  readonly partsA: readonly number[];
  readonly doing: readonly Doing[];
  /** Relays pulled in and electronics at work. */
  readonly latched: readonly string[];
}

/** Why a setting has no answer, and the part that it is about. */
export interface Trouble {
  readonly code: string;
  readonly message: string;
  readonly about: string | null;
}

/** What a circuit does in one setting, as plain data. */
export type KeptRow =
  | { readonly setting: Setting; readonly point: KeptPoint; readonly trouble: null }
  | { readonly setting: Setting; readonly point: null; readonly trouble: Trouble };

/** Parts that work by their volts. */
const BY_VOLTS: readonly Part['kind'][] = ['alarm', 'battery', 'lamp', 'neighbour', 'probe-sensor', 'pump', 'relay'];

function workingTerminals(parts: readonly Part[]): TerminalRef[] {
  return parts.flatMap((part) =>
    BY_VOLTS.includes(part.kind) ? terminalsOf(part).map((terminal) => ({ part: part.id, terminal })) : [],
  );
}

/** The names that points of a netlist go by. */
function pointNames({ parts, conductors }: Netlist): PointNames {
  return {
    parts: parts.map(({ id }) => id),
    conductors: conductors.map(({ id }) => id),
    terminals: workingTerminals(parts).map(terminalName),
  };
}

/** An operating point of a netlist as plain data. */
function keptPoint({ parts }: Netlist, names: PointNames, point: OperatingPoint): KeptPoint {
  const readings = parts.map((part) => point.readingOf(part));
  return {
    names,
    // Nothing that flows the other way is no other nothing.
    terminalsV: workingTerminals(parts).map((terminal) => point.voltsAt(terminal) + 0),
    conductorsA: names.conductors.map((id) => point.conductorA(id) + 0),
    partsA: readings.map(({ amps }) => amps + 0),
    doing: readings.map(({ doing }) => doing),
    latched: names.parts.filter((id) => point.latched(id)),
  };
}

/** Solved settings of a netlist as plain data. */
export function keptRows(netlist: Netlist, rows: readonly TruthRow[]): KeptRow[] {
  const names = pointNames(netlist);
  return rows.map(({ setting, point, trouble }): KeptRow => {
    if (point) return { setting, point: keptPoint(netlist, names, point), trouble: null };
    const { code, message, about = null } = trouble;
    return { setting, point: null, trouble: { code, message, about } };
  });
}

/** Volts of a terminal against battery negative; 0 where there is none of that name. */
export function keptVolts({ names, terminalsV }: KeptPoint, part: string, terminal: string): number {
  return terminalsV[names.terminals.indexOf(`${part}.${terminal}`)] ?? 0;
}

/** Volts between two terminals of a part. */
export function keptVoltsAcross(point: KeptPoint, part: string, plus: string, minus: string): number {
  return keptVolts(point, part, plus) - keptVolts(point, part, minus);
}

/** Amperes through a conductor from its `from` to its `to` end; 0 where there is none of that id. */
export function keptConductorA({ names, conductorsA }: KeptPoint, id: string): number {
  return conductorsA[names.conductors.indexOf(id)] ?? 0;
}

/** A part's own current, A; 0 where there is none of that id. */
export function keptPartA({ names, partsA }: KeptPoint, id: string): number {
  return partsA[names.parts.indexOf(id)] ?? 0;
}

/** What a part is doing; null where there is none of that id. */
export function keptDoing({ names, doing }: KeptPoint, id: string): Doing | null {
  return doing[names.parts.indexOf(id)] ?? null;
}

/** The same in a word or two; nothing where there is none of that id. */
export function keptWord(point: KeptPoint, id: string): string {
  const doing = keptDoing(point, id);
  return doing === null ? '' : doingWords[doing];
}
