import {
  doingWords,
  type Doing,
  isFloat,
  truthTable,
  turns,
  type FloatPosition,
  type Netlist,
  type Part,
  type Setting,
  type TruthRow,
  roles,
} from '../circuit';
import type { Plan } from '../schemes';
import { formatAmps, plainNumber } from '../units';
import type { TextTable } from './conductorList';

/** One setting of a circuit in words, with what it does. */
export interface TruthWords {
  /** The setting's key: "auto, float up". What the user expects is kept by it. */
  readonly key: string;
  readonly setting: string;
  readonly row: TruthRow;
  /** What the pump, or the alarm of a circuit without one, does. */
  readonly pump: string;
  /** The same as its key. */
  readonly doing: Doing;
  readonly runs: boolean;
  /** Lights, alarm and relay, each in words. */
  readonly others: readonly string[];
  /** What the battery delivers, A; null where there is no answer. */
  readonly batteryA: number | null;
}

const SHOWN: readonly string[] = ['lamp', 'alarm', 'relay', 'neighbour'];

/** What a circuit does in every setting of its switches and floats, computed. */
export function truthWords(netlist: Netlist, plan: Plan): TruthWords[] {
  const nameOf = (id: string) => plan.parts.find(({ part }) => part.id === id)?.name ?? id;
  return truthTable(netlist).map((row) => {
    const { point } = row;
    const pump = netlist.parts.find(({ kind }) => kind === 'pump');
    const lead = pump ?? netlist.parts.find(({ kind }) => kind === 'alarm');
    const doing: Doing = (point && lead && point.doingOf(lead.id)) || 'chattering';
    const source = netlist.parts.find(({ kind }) => kind === 'battery') ?? lead;
    return {
      key: keyOf(netlist, row.setting),
      setting: settingWords(netlist, row.setting, nameOf),
      row,
      doing,
      pump: doing === 'chattering' ? 'chatters' : doingWords[doing],
      runs: doing === 'sounding' || turns(doing),
      others: point
        ? netlist.parts
            .filter(({ id, kind }) => SHOWN.includes(kind) && id !== lead?.id)
            .map(({ id }) => `${nameOf(id)} ${point.wordOf(id)}`)
        : [row.trouble.message],
      batteryA: point && source ? Math.abs(point.partA(source.id)) : null,
    };
  });
}

function keyOf({ parts }: Netlist, { switches, floats }: Setting): string {
  return parts
    .flatMap((part) => [
      ...(switches[part.id] === undefined ? [] : [`${part.id}=${switches[part.id] ?? ''}`]),
      ...(isFloat(part) ? [`${part.id}=${floats[part.id] ?? 'down'}`] : []),
    ])
    .join(' ');
}

function settingWords({ parts }: Netlist, { switches, floats }: Setting, nameOf: (id: string) => string): string {
  const words = parts.flatMap((part) => {
    const position = switches[part.id];
    const hand =
      position === undefined
        ? []
        : part.id === roles.switch
          ? [part.kind === 'on-off-switch' && position === 'manual' ? 'on' : position]
          : position === 'off'
            ? []
            : [`${nameOf(part.id)} on`];
    return [...hand, ...(isFloat(part) ? [waterWords(part, floats[part.id] ?? 'down')] : [])];
  });
  const text = words.join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A float hangs or is lifted; what has none feels that it is wet. */
function waterWords(part: Part, position: FloatPosition): string {
  const feels = part.kind === 'probe-sensor' || (part.kind === 'pump' && part.inside?.sensing === 'timer');
  if (!feels) return `float ${position}`;
  return position === 'up' ? 'wet' : 'dry';
}

/** The truth table as text, beside what the user expects where it was said. */
export function truthTableText(rows: readonly TruthWords[], expects: Readonly<Record<string, string>> = {}): TextTable {
  return {
    headings: ['Setting', 'Pump', 'Volts at the pump', 'Also', 'Battery A', 'Expected', 'As expected'],
    rows: rows.map(({ key, setting, pump, runs, others, batteryA, row }) => {
      const expected = expects[key];
      return [
        setting,
        pump,
        row.point ? plainNumber(row.point.voltsAcross(roles.pump, 'plus', 'minus'), 2) : '',
        others.join('; '),
        batteryA === null ? '' : formatAmps(batteryA),
        expected ?? '',
        expected === undefined ? '' : (expected === 'runs') === runs ? 'yes' : 'no',
      ];
    }),
  };
}
