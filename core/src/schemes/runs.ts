import { defaults } from '../reference';
import { legOf, type Circuit, type LegKey } from '../job';
import type { PlannedConductor, PlannedRun } from './plan';

type Routed = Pick<PlannedConductor, 'leg' | 'lengthM' | 'runs' | 'duty' | 'unsheathedM'>;

/** How a conductor in a surveyed leg runs, with the defaults for what was left open and its slack added. */
export function legRun(circuit: Circuit, leg: LegKey, duty: Routed['duty'] = 'pump'): Routed {
  const { lengthM } = legOf(circuit, leg);
  if (lengthM === undefined) throw new RangeError(`The leg ${leg} has no length yet.`);
  return runOf(circuit, leg, lengthM, duty);
}

/** How the auto conductor runs: with manual, or by a way of its own where it has one. */
export function autoRun(circuit: Circuit): Routed {
  const { autoLengthM } = circuit.legs.panelToBilge;
  return autoLengthM === undefined
    ? legRun(circuit, 'panelToBilge')
    : runOf(circuit, 'panelToBilge', autoLengthM, 'pump');
}

function runOf(circuit: Circuit, leg: LegKey, lengthM: number, duty: Routed['duty']): Routed {
  const { slackM, insulationC, engineSpace, bundled, further = [], multicore, unsheathedM } = legOf(circuit, leg);
  const first = { lengthM: lengthM + (slackM ?? 0), insulationC, engineSpace, bundled };
  const run = routed(leg, [first, ...further].map(withDefaults), duty);
  return multicore ? { ...run, unsheathedM: unsheathedM ?? 0 } : run;
}

/** The stub from the source to the fuse: it runs in the surroundings of the feed's first piece. */
export function stubRun(circuit: Circuit): Routed {
  const { insulationC, engineSpace } = circuit.legs.sourceToPanel;
  const lengthM = circuit.source?.stubLengthM ?? defaults.stubLengthM;
  return routed('stub', [withDefaults({ lengthM, insulationC, engineSpace })], 'pump');
}

/** A short piece behind the panel, in the surroundings of a panel. */
export function panelRun(lengthM: number): Routed {
  return routed('panel', [withDefaults({ lengthM })], 'light');
}

/** A part's own lead in the bilge. */
export function leadRun(circuit: Circuit, lengthM: number): Routed {
  const { insulationC, engineSpace } = circuit.legs.panelToBilge;
  return routed('lead', [withDefaults({ lengthM, insulationC, engineSpace })], 'lead');
}

function routed(leg: Routed['leg'], runs: readonly PlannedRun[], duty: Routed['duty']): Routed {
  return { leg, runs, lengthM: runs.reduce((sum, run) => sum + run.lengthM, 0), duty };
}

interface SurveyedRun {
  readonly lengthM: number;
  readonly insulationC?: number | undefined;
  readonly engineSpace?: boolean | undefined;
  readonly bundled?: number | undefined;
}

function withDefaults({ lengthM, insulationC, engineSpace, bundled }: SurveyedRun): PlannedRun {
  return {
    lengthM,
    insulationC: insulationC ?? defaults.insulationC,
    engineSpace: engineSpace ?? false,
    temperatureC: engineSpace ? defaults.engineSpaceC : defaults.conductorC,
    ...(bundled === undefined ? {} : { bundled }),
  };
}
