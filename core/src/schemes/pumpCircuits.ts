import type { Circuit, Job } from '../job';
import { schemeOf } from './registry';

/** The circuits of a boat that have a pump: an alarm by itself is none. */
export function pumpCircuits({ circuits }: Pick<Job, 'circuits'>): Circuit[] {
  return circuits.filter((circuit) => schemeOf(circuit).duty !== 'alarm');
}
