import {
  judgeBoat,
  severityRank,
  wiredAsOf,
  wiredAsOfAlarm,
  type Finding,
  type Fix,
  type Judgement,
} from '../findings';
import type { Circuit, Job } from '../job';
import { schemeOf } from '../schemes';
import { type Alternative, SizingMemory } from '../sizing';
import type { UnitSystem } from '../units';
import { judgeAlarm, type JudgedAlarm } from './alarm';
import { isSurveyed } from './asked';
import type { AssessedCircuit, Assessment } from './assessed';
import { batteryOf } from './batteryOf';
import { boatFactsBy } from './boatFacts';
import { boatJudgementsOf, tryBoatFix } from './boatFindings';
import { judgePump, type JudgedPump } from './judge';
import { needsOf } from './needs';
import { feedOf, fixOfOwn, underOwnFields } from './sharedFeed';
import type { Surroundings } from './surroundings';
import { asFinding, effectOf, tryFix, type Judged } from './tryFix';
import { choosingOf } from './choosing';
import { verdictsOf, type Verdicts } from './verdicts';
import { waterSurroundings } from './waterFacts';
import { withIdea } from './withIdea';

/** A circuit as it was judged: what is told of it, and what its fixes are tried with. */
interface Known {
  readonly assessed: AssessedCircuit;
  /** With the feed that it hangs on; null while something is still needed. */
  readonly judged: JudgedPump | JudgedAlarm | null;
  readonly around: Surroundings;
  /** States of the circuit that were tried, by what they are. */
  readonly tried: Map<string, Judged | null>;
  /** The same with what was found of its battery and boat, by what that was. */
  readonly beside: Map<string, AssessedCircuit>;
}

/** So many judged circuits are remembered. */
const KNOWN_AT_MOST = 64;

/**
 * Assesses jobs, and remembers the circuits that it judged: of a job that was
 * changed, only the changed circuit and those that hang on it are judged again.
 * What it answers depends on nothing that it remembers; of what did not change it gives the
 * same object again.
 */
export class Assessor {
  private readonly known = new Map<string, Known>();
  private readonly memory = new SizingMemory();

  /** @param units what findings are worded in */
  constructor(private readonly units: UnitSystem = 'metric') {}

  /** Everything known about a job's circuits, and what is found of the boat that none of them can show. */
  assess(job: Job): Assessment {
    const known = this.knownOf(job);
    const circuits = known.map(({ assessed }) => assessed);
    const beside = boatJudgementsOf({ job, circuits }, this.units, this.memory);
    const of = (id: string | null) =>
      beside.filter(({ besideId }) => besideId === id).map(({ judgement }) => asFinding(judgement));
    return { circuits: known.map((one) => withFindings(one, of(one.assessed.circuit.id))), findings: of(null) };
  }

  /**
   * The fix of a finding: the first of what may answer it that, tried, makes it go and brings no new stop.
   * @param circuitId beside which the finding stands; null for the boat's own
   * @returns undefined where nothing answers it, or there is no such finding
   */
  fixOf(job: Job, circuitId: string | null, findingId: string): Fix | undefined {
    const known = this.knownOf(job);
    const own = known.find(({ assessed }) => assessed.circuit.id === circuitId);
    const judgement = own?.judged?.judgements.find((one) => asFinding(one).id === findingId);
    if (own?.judged && judgement) return this.circuitFix(job, known, own, own.judged, judgement);
    const circuits = known.map(({ assessed }) => assessed);
    const found = boatJudgementsOf({ job, circuits }, this.units, this.memory).find(
      ({ judgement: one, besideId }) => besideId === circuitId && asFinding(one).id === findingId,
    );
    return (
      found &&
      tryBoatFix(found.judgement, { job, circuits }, this.units, this.memory, (changed) =>
        this.knownOf(changed).map(({ assessed }) => assessed),
      )
    );
  }

  /** Other sizes of a circuit side by side; none for one without a pump, or that is not sized. */
  alternativesOf(job: Job, circuitId: string): readonly Alternative[] {
    const judged = this.knownOf(job).find(({ assessed }) => assessed.circuit.id === circuitId)?.judged;
    return judged && 'alternatives' in judged ? judged.alternatives() : [];
  }

  /**
   * What each choice would bring: each rating of the kind of protection in force, or with a conductor each size of its
   * family. Null where nothing is chosen: of what is not sized, not there, or takes its fuse from another.
   */
  verdictsOf(job: Job, circuitId: string, conductorId: string | null): Verdicts | null {
    const steps = this.verdictsInSteps(job, circuitId, conductorId);
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
    }
  }

  /** The same one choice after the other, so that whoever asks can do something else between two of them. */
  *verdictsInSteps(job: Job, circuitId: string, conductorId: string | null): Generator<undefined, Verdicts | null> {
    const known = this.knownOf(job);
    const own = known.find(({ assessed }) => assessed.circuit.id === circuitId);
    const { judged } = own ?? {};
    const choosing = judged && isPump(judged) ? choosingOf(judged, conductorId) : null;
    if (!own || !judged || !choosing) return null;
    const { circuit } = judged.facts;
    const tried: Record<string, readonly Judgement[] | null> = {};
    for (const [value, choices] of Object.entries(choosing.choices)) {
      const after = this.judgedAgain(job, known, judged, own.around, { ...circuit, choices });
      tried[value] = after?.judgements ?? null;
      yield undefined;
    }
    return verdictsOf(tried, choosing.at);
  }

  private circuitFix(
    job: Job,
    known: readonly Known[],
    { around, assessed: { circuit: own }, tried }: Known,
    before: JudgedPump | JudgedAlarm,
    judgement: Judgement,
  ): Fix | undefined {
    const others = known.map(({ assessed }) => assessed).filter((one) => one.circuit.id !== own.id);
    const trial = {
      before,
      waterAs: before.waterAs,
      again: (changed: Circuit) => {
        const key = JSON.stringify(changed);
        const outcome = tried.get(key);
        if (outcome !== undefined) return outcome;
        const after = this.judgedAgain(job, known, before, around, changed);
        tried.set(key, after);
        return after;
      },
      effectOf: (was: Judged, is: Judged) => effectOf(this.units, was, is),
      beside: (judged: Judged) => {
        if (!isPump(judged)) return [];
        const sized = others.filter((one) => one.status === 'sized');
        // In the job's order, as the battery's rules name them.
        const byOrder = [...sized, { ...judged, circuit: own }].sort(
          (one, other) => placeOf(job, one.circuit.id) - placeOf(job, other.circuit.id),
        );
        return judgeBoat(boatFactsBy(job, byOrder, this.units, this.memory));
      },
    };
    return fixOfOwn(tryFix(judgement, trial), own);
  }

  /** Another state of a circuit, in the surroundings that it then stands in; null where something is missing. */
  private judgedAgain(
    job: Job,
    known: readonly Known[],
    before: JudgedPump | JudgedAlarm,
    around: Surroundings,
    changed: Circuit,
  ): Judged | null {
    if (!isPump(before)) return judgeAlarm(changed, around, this.memory);
    const { circuit } = before.facts;
    if (changed.sharesFeedWith === circuit.sharesFeedWith) {
      if (!isSurveyed(changed)) return null;
      return judgePump(changed, around, this.memory, onlyChoicesDiffer(circuit, changed) ? before.settings : undefined);
    }
    // An idea may part a circuit from the feed that it hung on: then it stands in other surroundings.
    const other = withIdea(job, { label: '', circuit: changed });
    const { merged, around: there } = this.surroundingsOf(other, changed, byId(known));
    return judgedIn(merged, there, this.memory);
  }

  private knownOf(job: Job): Known[] {
    const known = new Map<string, Known>();
    const leaders = job.circuits.filter(({ sharesFeedWith }) => sharesFeedWith === undefined);
    const followers = job.circuits.filter(({ sharesFeedWith }) => sharesFeedWith !== undefined);
    // A shared feed is sized by the circuit whose feed it is, so that one comes first.
    for (const circuit of [...leaders, ...followers]) known.set(circuit.id, this.knownCircuit(job, circuit, known));
    return job.circuits.flatMap(({ id }) => known.get(id) ?? []);
  }

  private knownCircuit(job: Job, circuit: Circuit, others: ReadonlyMap<string, Known>): Known {
    const { merged, around } = this.surroundingsOf(job, circuit, others);
    const key = JSON.stringify([circuit, merged, around]);
    const known = this.known.get(key) ?? judgedCircuit(circuit, merged, around, this.memory);
    // The last asked for stand last, and are kept longest.
    this.known.delete(key);
    this.known.set(key, known);
    const [oldest] = this.known.keys();
    if (this.known.size > KNOWN_AT_MOST && oldest !== undefined) this.known.delete(oldest);
    return known;
  }

  private surroundingsOf(job: Job, circuit: Circuit, known: ReadonlyMap<string, Known>) {
    const feed = feedOf(job, circuit, new Map([...known].map(([id, { assessed }]) => [id, assessed])));
    const around: Surroundings = {
      battery: batteryOf(job, feed.circuit),
      boat: job.boat,
      others: feed.others,
      alarmAlso: feed.alarmAlso,
      sharedFeed: feed.shared,
      needs: feed.needs,
      units: this.units,
      water: waterSurroundings(job, circuit.id, this.units),
    };
    return { merged: feed.circuit, around };
  }
}

/** What is told of a circuit, with what is found of its battery and boat among it; the same object for the same. */
function withFindings({ assessed, beside }: Known, more: readonly Finding[]): AssessedCircuit {
  if (assessed.status === 'incomplete' || more.length === 0) return assessed;
  const key = JSON.stringify(more);
  const known = beside.get(key);
  if (known) return known;
  const whole = { ...assessed, findings: [...assessed.findings, ...more].sort(worstFirst) };
  beside.set(key, whole);
  return whole;
}

function worstFirst(one: Finding, other: Finding): number {
  return severityRank(one.severity) - severityRank(other.severity);
}

function byId(known: readonly Known[]): ReadonlyMap<string, Known> {
  return new Map(known.map((one) => [one.assessed.circuit.id, one]));
}

function placeOf(job: Job, id: string): number {
  return job.circuits.findIndex((circuit) => circuit.id === id);
}

function isPump(judged: Judged): judged is JudgedPump {
  return judged.facts.kind === 'pump';
}

/** A circuit judged in its surroundings; null while something is still needed. */
function judgedIn(circuit: Circuit, around: Surroundings, memory: SizingMemory): JudgedPump | JudgedAlarm | null {
  if ([...needsOf(circuit), ...around.needs].length > 0) return null;
  if (!schemeOf(circuit).options.includes('pump')) return judgeAlarm(circuit, around, memory);
  return isSurveyed(circuit) ? judgePump(circuit, around, memory) : null;
}

/**
 * A circuit judged, and what is told of it.
 * @param own the circuit by its own fields
 * @param merged the same with the feed that it hangs on
 */
function judgedCircuit(own: Circuit, merged: Circuit, around: Surroundings, memory: SizingMemory): Known {
  const judged = judgedIn(merged, around, memory);
  return {
    assessed: underOwnFields(judged ? toldOf(merged, judged) : unfinished(merged, around), own),
    judged,
    around,
    tried: new Map(),
    beside: new Map(),
  };
}

function unfinished(circuit: Circuit, around: Surroundings): AssessedCircuit {
  return { status: 'incomplete', circuit, needs: [...needsOf(circuit), ...around.needs] };
}

function toldOf(circuit: Circuit, judged: JudgedPump | JudgedAlarm): AssessedCircuit {
  const findings = judged.judgements.map(asFinding);
  if (isPump(judged)) {
    const { plan, netlist, facts } = judged;
    return { status: 'sized', circuit, plan, netlist, facts, findings, wiredAs: wiredAsOf(facts) };
  }
  const { plan, netlist, facts } = judged;
  return { status: 'alarm', circuit, plan, netlist, facts, findings, wiredAs: wiredAsOfAlarm(facts) };
}

/** True where nothing but choices was changed, so that the circuit is still wired the same. */
function onlyChoicesDiffer(one: Circuit, other: Circuit): boolean {
  const { choices: _one, ...wiredAs } = one;
  const { choices: _other, ...wouldBe } = other;
  const after = new Map<string, unknown>(Object.entries(wouldBe));
  return Object.entries(wiredAs).every(([key, value]) => after.get(key) === value);
}
