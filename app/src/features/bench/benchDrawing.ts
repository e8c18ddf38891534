import { doingWords, type Doing, type Netlist, type TruthRow } from '@harbor-latch/core/circuit/index';
import { formatAmps, formatVolts } from '@harbor-latch/core/units/index';
import type { Diagram, DiagramPart } from '@harbor-latch/core/drawing/diagram';
import type { Live, TerminalTouch } from '../../drawing/live';

/** Room for the words that change with the circuit, so that nothing moves while it works. */
const room: Readonly<Partial<Record<DiagramPart['part']['kind'], readonly string[]>>> = {
  pump: ['12.88 V', 'running dry'],
  battery: ['88.8 mA out'],
  lamp: ['dark'],
  alarm: ['sounding'],
  relay: ['pulled in'],
  'float-switch': ['stuck up'],
  'through-float': ['stuck up'],
  'probe-sensor': ['no supply'],
  neighbour: ['fed back'],
  diode: [],
};

/** The circuit's diagram with room for what the bench says in place of sizes and lengths. */
export function benchDiagram(diagram: Diagram): Diagram {
  return {
    ...diagram,
    parts: diagram.parts.map((part) => ({
      ...part,
      words: [...part.words.slice(0, part.part.kind === 'fuse' ? 2 : headLines(part)), ...(room[part.part.kind] ?? [])],
    })),
    wires: diagram.wires.map((wire) => ({ ...wire, words: wire.name === undefined || wire.thin ? [] : ['8.88 A'] })),
  };
}

/** Lines of a part's words that are its name. */
function headLines({ part, words }: DiagramPart): number {
  return part.kind === 'float-switch' ? words.length : Math.min(1, words.length);
}

/** What the solved circuit adds to the drawing. */
export function benchLive(
  diagram: Diagram,
  netlist: Netlist,
  { point }: TruthRow,
  faulty: ReadonlySet<string>,
  touch: TerminalTouch | null,
): Live {
  const doing = new Map(netlist.parts.map(({ id }): [string, Doing] => [id, point?.doingOf(id) ?? 'chattering']));
  const words = new Map<string, readonly string[]>();
  for (const part of diagram.parts) {
    const { id, kind } = part.part;
    // A word or two: what a comma adds is heard, and has no room here.
    const does = doingWords[doing.get(id) ?? 'chattering'].split(',')[0] ?? '';
    // What is not room for the bench's words is the part's name.
    const head = part.words.slice(0, part.words.length - (room[kind]?.length ?? 0));
    switch (kind) {
      case 'pump':
        words.set(id, [...head, point ? formatVolts(point.voltsAcross(id, 'plus', 'minus')) : '', does]);
        break;
      case 'battery': {
        const amps = point?.partA(id) ?? 0;
        words.set(id, [...head, `${formatAmps(Math.abs(amps) < 1e-6 ? 0 : amps)} out`]);
        break;
      }
      case 'lamp':
      case 'alarm':
      case 'relay':
      case 'float-switch':
      case 'through-float':
      case 'probe-sensor':
        words.set(id, [...head, does]);
        break;
      case 'neighbour':
        words.set(id, [...head, doing.get(id) === 'fedBack' ? 'fed back' : doingWords[doing.get(id) ?? 'chattering']]);
        break;
      default:
        break;
    }
  }
  const amps = new Map<string, number>();
  for (const wire of diagram.wires) {
    const flows = point?.conductorA(wire.id) ?? 0;
    amps.set(wire.id, flows);
    if (wire.words.length > 0) words.set(wire.id, [Math.abs(flows) < 1e-5 ? '0 A' : formatAmps(Math.abs(flows))]);
  }
  return { amps, words, doing, faulty, touch };
}
