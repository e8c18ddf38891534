import { defaults } from '../reference';
import { assemble } from './assemble';
import type { Element } from './element';
import { loadedShare, startingV, type Motor, type MotorCondition } from './motor';
import type { Netlist } from './netlist';
import { nodeNames, type NodeNames } from './nodeNames';
import type { Setting } from './parts';
import { solve } from './solve';

/**
 * The netlist in one setting as a SPICE deck that finds its operating point;
 * nodes are named as in `nodeNames`. Relays and electronics stand as the solver
 * left them; motors, LEDs and diodes are behavioural sources of the same law.
 * @throws CircuitError where the circuit has no answer.
 */
export function spiceText(netlist: Netlist, setting: Setting, title: string): string {
  const point = solve(netlist, setting);
  const latched = new Set(netlist.parts.filter(({ id }) => point.latched(id)).map(({ id }) => id));
  const names = nodeNames(netlist, setting, latched);
  const { elements, ownerAt } = assemble(netlist, setting, latched);
  const taken = new Set<string>();
  const cards = elements.flatMap((element, index) => {
    if (element.kind === 'link') return [];
    return cardsOf(element, freeName(ownerAt(index), taken), names);
  });
  const nodes = new Set(cards.flatMap(({ nodes: ends }) => ends));
  nodes.delete('0');
  const leaks = [...nodes].map((node, index) => `rleak${index + 1} ${node} 0 1e12`);
  return [
    `* ${title.replace(/[^\x20-\x7e]+/g, ' ')}`,
    ...cards.map(({ text }) => text),
    ...leaks,
    '.options reltol=1e-9 abstol=1e-12 vntol=1e-9 gmin=1e-15 itl1=1000',
    '.op',
    '.end',
    '',
  ].join('\n');
}

/** A card's name after its owner, used once. */
function freeName(owner: string, taken: Set<string>): string {
  const plain = owner.toLowerCase().replace(/[^a-z0-9]+/g, '_');
  let free = plain;
  for (let count = 2; taken.has(free); count += 1) free = `${plain}_${count}`;
  taken.add(free);
  return free;
}

interface Card {
  readonly text: string;
  readonly nodes: readonly string[];
}

function cardsOf(element: Exclude<Element, { kind: 'link' }>, name: string, { nameOf }: NodeNames): Card[] {
  const [a, b] = [nameOf(element.a), nameOf(element.b)];
  const card = (text: string, ...nodes: readonly string[]): Card => ({ text, nodes });
  switch (element.kind) {
    case 'resistor':
      return [card(`r${name} ${a} ${b} ${element.ohm}`, a, b)];
    case 'sink':
      return [card(`i${name} ${a} ${b} ${element.amps}`, a, b)];
    case 'source': {
      if (element.ohm === 0) return [card(`v${name} ${a} ${b} ${element.emfV}`, a, b)];
      // The inner node of a battery bears no terminal, so it is left out: a current beside its resistance.
      return [
        card(`r${name} ${a} ${b} ${element.ohm}`, a, b),
        card(`i${name} ${b} ${a} ${element.emfV / element.ohm}`, a, b),
      ];
    }
    case 'diode':
      return [
        card(
          `b${name} ${a} ${b} i = v(${a},${b}) > ${element.dropV} ? (v(${a},${b}) - ${element.dropV}) / ${element.ohm} : 0`,
          a,
          b,
        ),
      ];
    case 'motor':
      return element.condition === 'open'
        ? [card(`r${name} ${a} ${b} 1e15`, a, b)]
        : [card(`b${name} ${a} ${b} i = ${motorLaw(element.motor, element.condition, `v(${a},${b})`)}`, a, b)];
    default:
      return element satisfies never;
  }
}

/** The motor's current as an expression of its volts. */
function motorLaw(motor: Motor, condition: MotorCondition, volts: string): string {
  const { labelA, labelV, windingOhm } = motor;
  if (condition === 'locked') return `${volts} / ${windingOhm}`;
  const share = loadedShare(condition);
  const square = windingOhm * labelA * share;
  const linear = labelV - labelA * windingOhm;
  const startV = startingV(motor);
  const over = `max(abs(${volts}) - ${startV}, 0)`;
  const speed = `(2 * ${over} / (${linear} + sqrt(${linear * linear} + ${4 * square} * ${over})))`;
  const turning = `sgn(${volts}) * ${labelA} * (${defaults.motorNoLoadShare} + ${share} * ${speed} * ${speed})`;
  return `abs(${volts}) <= ${startV} ? ${volts} / ${windingOhm} : ${turning}`;
}
