import { randomLcg, randomNormal } from 'd3-random';
import type { Circuit, IngressSource, Job } from '../job';
import { assess } from '../assess';
import { runReport } from './waterReport';

/** A normal deviate each time it is asked, of mean 0 and deviation 1: passed in, so that a throw can be had again. */
export type Deviates = () => number;

/** Repeatable normal deviates. */
export function seededDeviates(seed: number): Deviates {
  return randomNormal.source(randomLcg(seed))();
}

/** How far what was surveyed may be off, as standard deviations: shares, and degrees of trim and heel. */
export const uncertainty = {
  ingressShare: 0.25,
  trimDeg: 0.7,
  heelDeg: 1,
  flowShare: 0.07,
  currentShare: 0.05,
} as const;

export interface SpreadQuestion {
  readonly job: Job;
  readonly wellId: string;
  readonly poseId: string;
  readonly ingressId: string;
  readonly hours: number;
}

/**
 * One throw of the dice: the same well with ingress, trim and label figures a
 * little off. @returns days the battery lasts; null where for ever
 */
export function throwDays(question: SpreadQuestion, deviate: Deviates): number | null {
  const { job, wellId, poseId, ingressId, hours } = question;
  const wet = Math.exp(uncertainty.ingressShare * deviate());
  const [trim, heel] = [uncertainty.trimDeg * deviate(), uncertainty.heelDeg * deviate()];
  const flows = 1 + uncertainty.flowShare * deviate();
  const amps = 1 + uncertainty.currentShare * deviate();
  const changed: Job = {
    ...job,
    poses: (job.poses ?? [{ id: poseId, name: poseId, trimDeg: 0, heelDeg: 0 }])
      .filter(({ id }) => id === poseId)
      .map((pose) => ({ ...pose, trimDeg: pose.trimDeg + trim, heelDeg: pose.heelDeg + heel })),
    ingress: (job.ingress ?? [])
      .filter(({ id }) => id === ingressId)
      .map((one) => ({ ...one, sources: one.sources.map((source) => wetter(source, wet)) })),
    circuits: job.circuits.map((circuit) =>
      circuit.water?.wellId === wellId ? offLabel(circuit, flows, amps) : circuit,
    ),
  };
  const [pose] = changed.poses ?? [];
  const [ingress] = changed.ingress ?? [];
  if (!pose || !ingress) return null;
  return (
    runReport({ job: changed, assessed: assess(changed), wellId, pose, ingress, hours, withoutLimits: true })
      ?.batteryDays ?? null
  );
}

function wetter(source: IngressSource, factor: number): IngressSource {
  switch (source.kind) {
    case 'steady':
      return { ...source, flowLPerH: source.flowLPerH * factor };
    case 'rain':
      return { ...source, rateMmPerH: source.rateMmPerH * factor };
    case 'drip':
      return { ...source, perMinute: source.perMinute * factor };
    case 'opening':
      return { ...source, diameterM: source.diameterM * Math.sqrt(factor) };
    case 'script':
      return { ...source, steps: source.steps.map((step) => ({ ...step, flowLPerH: step.flowLPerH * factor })) };
    default:
      return source satisfies never;
  }
}

function offLabel(circuit: Circuit, flows: number, amps: number): Circuit {
  const { pump } = circuit;
  return {
    ...circuit,
    pump: {
      ...pump,
      ...(pump.currentA === undefined ? {} : { currentA: pump.currentA * amps }),
      ...(pump.openFlowLPerH === undefined ? {} : { openFlowLPerH: pump.openFlowLPerH * flows }),
      ...(pump.shutOffHeadM === undefined ? {} : { shutOffHeadM: pump.shutOffHeadM * flows }),
    },
  };
}

/** The span in which nine throws of ten lie; an end that never comes is null. */
export interface Spread {
  readonly throws: number;
  readonly low: number | null;
  readonly middle: number | null;
  readonly high: number | null;
}

/** Nine in ten of what was thrown: from the twentieth part to the nineteenth twentieth. */
export function spreadOf(thrown: readonly (number | null)[]): Spread {
  const sorted = thrown.map((value) => value ?? Infinity).sort((one, other) => one - other);
  const at = (share: number) => {
    const value = sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
    return value === undefined || value === Infinity ? null : value;
  };
  return { throws: thrown.length, low: at(0.05), middle: at(0.5), high: at(0.95) };
}
