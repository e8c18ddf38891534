import { hoseBoresM, waterSpeech } from '../findings';
import type { UnitSystem } from '../units';
import type { Circuit, Job } from '../job';
import { conductorSizes, defaults } from '../reference';
import { assess } from '../assess';
import { waterOf } from './circuitsOf';

/** A change to hose or cable, and what the pump then moves. */
export interface HoseChoice {
  readonly label: string;
  /** The circuit as it would be; the first choice is the circuit as it is. */
  readonly circuit: Circuit;
  /** By supply, L/h. */
  readonly flows: readonly { readonly supplyV: number; readonly flowLPerH: number; readonly headM: number }[];
  /** Share of what the pump would move into the open that is left at 12.8 V, 0–1. */
  readonly share: number | null;
}

/** The circuit as it is, and beside it the next bore, fewer bends, a smooth wall, and thicker cable. */
export function hoseChoices(job: Job, circuit: Circuit, units: UnitSystem = 'metric'): HoseChoice[] {
  const { water } = circuit;
  if (!water?.hose) return [];
  const { hose } = water;
  const withHose = (change: Partial<typeof hose>): Circuit => ({
    ...circuit,
    water: { ...water, hose: { ...hose, ...change } },
  });
  const nextM = hoseBoresM.find((bore) => bore > hose.boreM + 1e-6);
  const thicker = withThickerCable(job, circuit);
  const changes: readonly (readonly [string, Circuit | null])[] = [
    ['As it is', circuit],
    [`Hose ${waterSpeech(units).height(nextM ?? 0)}`, nextM === undefined ? null : withHose({ boreM: nextM })],
    ['Smooth wall', hose.wall === 'corrugated' ? withHose({ wall: 'smooth' }) : null],
    ['One bend fewer', (hose.bends90 ?? 0) > 0 ? withHose({ bends90: (hose.bends90 ?? 0) - 1 }) : null],
    ['No check valve', hose.checkValve ? withHose({ checkValve: false }) : null],
    ...(thicker ? [[`Cable ${thicker.size}`, thicker.circuit] as const] : []),
  ];
  return changes.flatMap(([label, changed]): HoseChoice[] => {
    if (!changed) return [];
    const other = { ...job, circuits: job.circuits.map((one) => (one.id === changed.id ? changed : one)) };
    const assessed = assess(other).find((one) => one.circuit.id === changed.id);
    const operating = assessed && waterOf(assessed)?.poses[0]?.operating;
    if (!operating || operating.length === 0 || assessed.status !== 'sized') return [];
    const open =
      assessed.facts.supplies.find(({ supplyV }) => supplyV === defaults.runningSupplyV)?.openFlowLPerH ?? null;
    const running = operating.find(({ supplyV }) => supplyV === defaults.runningSupplyV)?.flowLPerH ?? 0;
    return [{ label, circuit: changed, flows: operating, share: open === null || open === 0 ? null : running / open }];
  });
}

/** The next size up in every conductor that carries the pump. */
function withThickerCable(job: Job, circuit: Circuit): { readonly size: string; readonly circuit: Circuit } | null {
  const assessed = assess(job).find((one) => one.circuit.id === circuit.id);
  if (assessed?.status !== 'sized') return null;
  const { conductors, family } = assessed.facts;
  const own = conductors.filter(({ planned }) => planned.duty === 'pump');
  const sizes = conductorSizes[family].map(({ size }) => size);
  const largest = Math.max(...own.map(({ size }) => sizes.indexOf(size)));
  const next = sizes[largest + 1];
  if (next === undefined) return null;
  const chosen = Object.fromEntries(own.map(({ planned }) => [planned.id, next]));
  return {
    size: next,
    circuit: { ...circuit, choices: { ...circuit.choices, conductors: { ...circuit.choices?.conductors, ...chosen } } },
  };
}
