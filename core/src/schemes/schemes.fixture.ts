import fc from 'fast-check';
import type { Netlist } from '../circuit';
import { newCircuit, type Battery, type Circuit } from '../job';
import { netlistOf, type Plan, type SurveyedCircuit } from './plan';
import { schemeKeys } from './keys';
import { schemeOf } from './registry';

export const houseBattery: Battery = { id: 'house', name: 'House' };
const measuredLegs = {
  sourceToPanel: { lengthM: 3 },
  panelToBilge: { lengthM: 5 },
  bilgeToNegative: { lengthM: 5 },
};

/** A circuit with nothing unknown, in one of the schemes. */
export function surveyedCircuit(scheme: string, more: Partial<Circuit> = {}): SurveyedCircuit {
  return {
    ...newCircuit('main', 'Main', scheme, 'house'),
    legs: measuredLegs,
    ...more,
    pump: { ...more.pump, currentA: more.pump?.currentA ?? 5 },
  };
}

export interface Touching {
  readonly others?: number;
  readonly alarmAlso?: boolean;
}

/** A scheme's plan, with other circuits on its feed and alarm where asked for. */
export function planFor(circuit: SurveyedCircuit, { others = 0, alarmAlso = false }: Touching = {}): Plan {
  return schemeOf(circuit).plan({
    circuit,
    battery: houseBattery,
    others: Array.from({ length: others }, (_, index) => ({
      id: `other-${index}`,
      name: `Other ${index}`,
      pump: { currentA: 3 },
    })),
    alarmAlso: alarmAlso ? { id: 'primary', name: 'Primary', pump: { currentA: 4 } } : null,
  });
}

/** The plan with 20 mΩ in every conductor. */
export const plainNetlist = (plan: Plan): Netlist => netlistOf(plan, () => 0.02);

/** How a scheme's variant is built. */
interface Variant {
  readonly scheme: string;
  readonly light: 'none' | 'led' | 'filament';
  readonly lightWired: 'to-negative' | 'auto-to-manual';
  readonly armedLight: 'none' | 'led' | 'filament';
  readonly suppression: 'diode' | 'resistor' | 'none';
  readonly tapFuse: boolean;
  readonly panelFuse: boolean;
  readonly legFuses: boolean;
  readonly isolator: boolean;
  readonly mainFuse: boolean;
  readonly leads: boolean;
  readonly alarmAlso: boolean;
  readonly diodes: boolean;
  readonly others: number;
}

/** Every variant a scheme can be built in, with its plan. */
export const anyVariant: fc.Arbitrary<Variant & { readonly plan: Plan }> = fc
  .record<Variant>({
    scheme: fc.constantFrom(...schemeKeys),
    light: fc.constantFrom('none', 'led', 'filament'),
    lightWired: fc.constantFrom('to-negative', 'auto-to-manual'),
    armedLight: fc.constantFrom('none', 'led', 'filament'),
    suppression: fc.constantFrom('diode', 'resistor', 'none'),
    tapFuse: fc.boolean(),
    panelFuse: fc.boolean(),
    legFuses: fc.boolean(),
    isolator: fc.boolean(),
    mainFuse: fc.boolean(),
    leads: fc.boolean(),
    alarmAlso: fc.boolean(),
    diodes: fc.boolean(),
    others: fc.integer({ min: 0, max: 2 }),
  })
  .map((one) => ({ ...one, plan: planFor(circuitOf(one), one) }));

function circuitOf(one: Variant): SurveyedCircuit {
  return surveyedCircuit(one.scheme, {
    pump: { currentA: 5, ...(one.leads ? { leads: { lengthM: 0.15, size: '16 AWG' as const } } : {}) },
    source: {
      feed: one.isolator ? 'isolator' : 'unswitched',
      ...(one.mainFuse ? { mainFuse: { kind: 'cubeAtBattery' as const, ratingA: 30 } } : {}),
    },
    panel: {
      light: one.light,
      lightWired: one.lightWired,
      armedLight: one.armedLight,
      ...(one.tapFuse ? { tapFuseA: 1 } : {}),
      ...(one.panelFuse ? { fuse: { kind: 'blade' as const, ratingA: 7.5 } } : {}),
      ...(one.legFuses ? { legFuses: { kind: 'blade' as const, manualA: 7.5, autoA: 7.5 } } : {}),
    },
    relay: { suppression: one.suppression },
    alarm: { diodes: one.diodes },
  });
}
