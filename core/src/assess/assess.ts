import type { Battery, Circuit, Job } from '../job';
import { worstSeverity, type Severity } from '../findings';
import { assessCircuit, type AssessedCircuit } from './circuit';
import { feedOf, withOwnFeed } from './sharedFeed';
import { waterSurroundings } from './waterFacts';

/** The door to the core: a job in, everything known about its circuits out, in the job's order. */
export function assess(job: Job): AssessedCircuit[] {
  const assessed = new Map<string, AssessedCircuit>();
  const [leaders, followers] = [
    job.circuits.filter(({ sharesFeedWith }) => sharesFeedWith === undefined),
    job.circuits.filter(({ sharesFeedWith }) => sharesFeedWith !== undefined),
  ];
  // A shared feed is sized by the circuit whose feed it is, so that one comes first.
  for (const circuit of [...leaders, ...followers]) assessed.set(circuit.id, assessOne(job, circuit, assessed));
  return job.circuits.flatMap(({ id }) => assessed.get(id) ?? []);
}

function assessOne(job: Job, circuit: Circuit, known: ReadonlyMap<string, AssessedCircuit>): AssessedCircuit {
  const feed = feedOf(job, circuit, known);
  const result = assessCircuit(feed.circuit, {
    battery: batteryOf(job, feed.circuit),
    petrol: job.boat.petrol ?? false,
    others: feed.others,
    alarmAlso: feed.alarmAlso,
    fixed: feed.fixed,
    needs: feed.needs,
    water: waterSurroundings(job),
  });
  return withOwnFeed(result, circuit);
}

/** The battery a circuit is fed from. @throws RangeError for an id the job does not hold; a read job always holds it. */
export function batteryOf(job: Job, circuit: Circuit): Battery {
  const battery = job.batteries.find((candidate) => candidate.id === circuit.batteryId);
  if (!battery) throw new RangeError(`No battery has the id "${circuit.batteryId}".`);
  return battery;
}

/** How a circuit stands: the worst that was found, or that the survey is not finished. */
export type Standing = Severity | 'incomplete' | 'good';

const standingOrder: Readonly<Record<Standing, number>> = { stop: 0, caution: 1, incomplete: 2, note: 3, good: 4 };

/** Where a standing comes in a list, worst first. */
export function standingRank(standing: Standing): number {
  return standingOrder[standing];
}

/** The standing of one circuit; notes alone leave it good. */
export function standingOf(assessed: AssessedCircuit): Standing {
  if (assessed.status === 'incomplete') return 'incomplete';
  const worst = worstSeverity(assessed.findings);
  return worst === null || worst === 'note' ? 'good' : worst;
}

/** The worst of several standings; a boat without circuits is incomplete. */
export function worstStanding(standings: readonly Standing[]): Standing {
  return standings.reduce<Standing>(
    (worst, standing) => (standingOrder[standing] < standingOrder[worst] ? standing : worst),
    standings.length === 0 ? 'incomplete' : 'good',
  );
}
