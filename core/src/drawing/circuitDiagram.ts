import type { AssessedCircuit } from '../assess/assessed';
import type { Part } from '../circuit';
import type { ConductorFacts } from '../findings';
import { legOf, type Battery } from '../job';
import { defaults, protectionFamilies } from '../reference';
import { hasPump, outlinePlan, rewire, schemeOf, type Plan, type PlannedConductor } from '../schemes';
import { formatAmps, formatQuantity, formatVolts, type UnitSystem } from '../units';
import type { Diagram, DiagramCable } from './diagram';

/** The drawing's content for a circuit: sized as far as it is known, wired in any case. */
export function circuitDiagram(assessed: AssessedCircuit, battery: Battery, units: UnitSystem): Diagram {
  const known = assessed.status !== 'incomplete';
  const plan = known
    ? assessed.facts.behaviour.wired
    : rewire(outlinePlan(assessed.circuit, battery), assessed.circuit.rewired).plan;
  const facts = new Map(known ? assessed.facts.conductors.map((conductor) => [conductor.planned.id, conductor]) : []);
  return {
    parts: plan.parts.map(({ part, name, band, role }) => ({
      part,
      name,
      posts: postsOf(part.id, assessed.circuit.panel?.posts),
      band,
      role,
      words: [...partWords(part, name, assessed, battery)],
    })),
    wires: [
      ...plan.conductors.map((planned) => ({
        id: planned.id,
        from: planned.from,
        to: planned.to,
        colour: planned.colour,
        name: planned.name,
        thin: planned.duty === 'light' || planned.duty === 'control',
        words: conductorWords(planned, facts.get(planned.id), assessed, units),
      })),
      ...plan.existing.map((link) => ({
        ...link,
        colour: link.colour ?? leadColour(plan, link.to.part, link.from.part),
        words: [],
      })),
    ],
    cables: cablesOf(plan, assessed, units),
  };
}

/** Names printed at a part's own posts. */
function postsOf(part: string, posts: Readonly<Record<string, string>> = {}): Record<string, string> {
  return Object.fromEntries(
    Object.entries(posts).flatMap(([terminal, name]) =>
      terminal.startsWith(`${part}.`) ? [[terminal.slice(part.length + 1), name]] : [],
    ),
  );
}

/** A lead of a part takes the colour of the side it is on. */
function leadColour(plan: Plan, to: string, from: string): PlannedConductor['colour'] {
  const touching = plan.conductors.find((conductor) =>
    [conductor.from.part, conductor.to.part].some((part) => part === from || part === to),
  );
  const negative = plan.conductors.find(({ id, role }) => id === 'negative' || (!hasPump(plan) && role === 'negative'));
  const onNegative = [from, to].some(
    (part) => part === 'bus' || part === plan.ground.part || part === negative?.from.part,
  );
  return (onNegative ? negative?.colour : touching?.colour) ?? { base: 'brown' };
}

function conductorWords(
  planned: PlannedConductor,
  facts: ConductorFacts | undefined,
  assessed: AssessedCircuit,
  units: UnitSystem,
): string[] {
  if (!facts) {
    const { leg } = planned;
    const known =
      leg === 'stub' || leg === 'panel' || leg === 'lead' ? undefined : legOf(assessed.circuit, leg).lengthM;
    const name = planned.name.split(/ (?=positive|negative)/);
    return known === undefined ? name : [...name, formatQuantity(known, 'length', units)];
  }
  // A tap of a hand's breadth has no room for words; they stand where it is touched.
  if (planned.leg === 'panel') return [];
  if (planned.duty === 'light') return [facts.size, formatAmps(facts.runningA)];
  const short = planned.leg === 'stub' || planned.leg === 'lead';
  const length = formatQuantity(planned.lengthM, short ? 'shortLength' : 'length', units);
  return short && planned.leg === 'lead' ? [facts.size, length] : [facts.size, length, formatAmps(facts.runningA)];
}

function partWords(part: Part, name: string, assessed: AssessedCircuit, battery: Battery): readonly string[] {
  const sized = assessed.status === 'sized' ? assessed.facts : null;
  switch (part.kind) {
    case 'battery':
      return [clipped(name), `12\u00a0V · ${battery.capacityAh ?? defaults.capacityAh}\u00a0Ah`];
    case 'fuse': {
      const own = part.id === 'fuse';
      if (own && !sized) return [name];
      const { ratingA, kind } = own && sized ? sized.protection : { ratingA: part.ratingA, kind: part.family };
      return [`${ratingA}\u00a0A`, own ? protectionFamilies[kind].name : name.toLowerCase()];
    }
    case 'shared-load':
      // Its name is as long as its owner likes and stands where touched; here there is room for a word.
      return ['shared', formatAmps(part.motor.labelA)];
    case 'neighbour':
      return ['other pump'];
    case 'lamp':
      return [part.lamp === 'led' ? 'LED' : 'Lamp', part.shows];
    case 'alarm':
      return part.ownV === undefined ? [name] : [name, `${part.ownV}\u00a0V inside`];
    case 'relay':
      return [name, `${part.coilOhm}\u00a0Ω coil`];
    case 'pump': {
      const at = sized?.supplies.find((row) => row.supplyV === defaults.runningSupplyV);
      const mostA = sized?.conductors.find(({ planned }) => planned.id === 'negative')?.runningA ?? NaN;
      return at ? [name, `least ${formatVolts(at.pumpV)}`, `most ${formatAmps(mostA)}`] : [name];
    }
    case 'three-way-switch':
      return ['common'];
    case 'negative-bus':
      return name.split(' ');
    case 'float-switch':
      return name.split(' ');
    case 'isolator':
    case 'on-off-switch':
    case 'through-float':
    case 'probe-sensor':
    case 'diode':
    case 'meter':
    case 'joint':
      // The panel's own blocks are named in the survey; their dots bear no words.
      return part.id === 'joint-live' || part.id === 'joint-coil' ? [] : [name];
    default:
      return part satisfies never;
  }
}

/** A long name cut to what stands beside a symbol; the whole name is on the boat's page. */
function clipped(name: string): string {
  const letters = [...name];
  return letters.length > 22 ? `${letters.slice(0, 21).join('')}…` : name;
}

function cablesOf(plan: Plan, assessed: AssessedCircuit, units: UnitSystem): DiagramCable[] {
  return schemeOf(assessed.circuit).legs.flatMap((leg) => {
    const conductors = plan.conductors.filter((conductor) => conductor.leg === leg.key);
    const wires = conductors.map((conductor) => conductor.id);
    if (wires.length === 0) return [];
    const lengthM =
      assessed.status !== 'incomplete' ? conductors[0]?.lengthM : legOf(assessed.circuit, leg.key).lengthM;
    const cores = wires.length === 1 ? '1 core' : `${wires.length}-core cable`;
    return [
      {
        wires,
        words: lengthM === undefined ? cores : `${cores}, ${formatQuantity(lengthM, 'length', units)}`,
      },
    ];
  });
}
