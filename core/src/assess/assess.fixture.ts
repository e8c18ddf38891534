import { newCircuit, newJob, type Choices, type Circuit, type Job } from '../job';
import { conductorSizes, type CableFamily } from '../reference';
import fc from 'fast-check';
import type { Finding, Fix } from '../findings';
import { Assessor } from './Assessor';
import type { AssessOptions } from './assess';
import type { AssessedAlarm, AssessedPump, Unfinished } from './assessed';

/** A finding with its fix, tried when it is read. */
type WithFix = Finding & { readonly fix?: Fix | undefined };
type FindingsWithFix<A> = Omit<A, 'findings'> & { readonly findings: readonly WithFix[] };
export type Sized = FindingsWithFix<AssessedPump>;

/** A job assessed, each finding with its fix. */
export function assess(
  job: Job,
  { units }: AssessOptions = {},
): (Sized | FindingsWithFix<AssessedAlarm> | Unfinished)[] {
  const assessor = new Assessor(units);
  return assessor.assess(job).circuits.map((one) => {
    if (one.status === 'incomplete') return one;
    const findings = one.findings.map((finding) => ({
      ...finding,
      get fix() {
        return finding.mayHaveFix ? assessor.fixOf(job, one.circuit.id, finding.id) : undefined;
      },
    }));
    return { ...one, findings };
  });
}

/** The figures of a test's circuit; what is left out is 5 A over 3 + 5 + 5 m. */
export interface Survey {
  readonly lengths?: readonly [feed: number, bilge: number, negative: number];
  readonly engineSpace?: boolean;
  readonly insulationC?: number;
  readonly pump?: Circuit['pump'];
  readonly source?: Circuit['source'];
  readonly choices?: Choices;
}

export function jobOf({
  lengths = [3, 5, 5],
  engineSpace = false,
  insulationC = 105,
  pump,
  source,
  choices,
}: Survey): Job {
  const job = newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern');
  const leg = (lengthM: number) => ({ lengthM, insulationC, engineSpace });
  const circuit: Circuit = {
    ...newCircuit('main', 'Main', 'three-way-float', 'house'),
    legs: { sourceToPanel: leg(lengths[0]), panelToBilge: leg(lengths[1]), bilgeToNegative: leg(lengths[2]) },
    pump: { currentA: 5, labelV: 12, ...pump },
    ...(source ? { source } : {}),
    ...(choices ? { choices } : {}),
  };
  return { ...job, circuits: [circuit] };
}

/** The circuit's assessment. @throws when it could not be sized. */
export function sized(survey: Survey): Sized {
  const [assessed] = assess(jobOf(survey));
  if (assessed?.status !== 'sized') throw new Error('not sized');
  return assessed;
}

export const codesOf = (survey: Survey) => sized(survey).findings.map((finding) => finding.code);

export const sizeOf = (assessed: Sized, id: string) =>
  assessed.facts.conductors.find(({ planned }) => planned.id === id)?.size;

/** The names of a family's sizes, smallest first. */
export const sizesOf = (family: CableFamily) => conductorSizes[family].map((row) => row.size);

const legLength = fc.double({ min: 0.1, max: 30, noNaN: true });

/** Surveys of every plausible circuit. */
export const anySurvey = fc.record({
  lengths: fc.tuple(legLength, legLength, legLength),
  pump: fc.double({ min: 0.5, max: 30, noNaN: true }).map((currentA) => ({ currentA })),
  engineSpace: fc.boolean(),
  family: fc.constantFrom<CableFamily>('awg', 'metric'),
});

/** A job of one circuit, changed. */
export function changed(change: Partial<Circuit>, battery: Partial<Job['batteries'][number]> = {}): Job {
  const job = jobOf({});
  return {
    ...job,
    batteries: job.batteries.map((one) => ({ ...one, ...battery })),
    circuits: job.circuits.map((one) => ({ ...one, ...change })),
  };
}

/** A sized circuit of a job. @throws when it could not be sized. */
export function assessedOf(job: Job, id = 'main') {
  const one = assess(job).find(({ circuit }) => circuit.id === id);
  if (one?.status !== 'sized') throw new Error('not sized');
  return one;
}

export const findingOf = (job: Job, code: string, id = 'main') =>
  assessedOf(job, id).findings.find((finding) => finding.code === code);

export const legs = { sourceToPanel: { lengthM: 3 }, panelToBilge: { lengthM: 5 }, bilgeToNegative: { lengthM: 5 } };
