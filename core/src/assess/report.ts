import { openingSeconds, type Opening } from '../wiring';
import type { Job } from '../job';
import { defaults } from '../reference';
import type { ConductorFacts, Finding, Fix, WaterFacts } from '../findings';
import type { Alternative } from '../sizing';
import type { AssessOptions } from './assess';
import type { AssessedAlarm, AssessedCircuit } from './assessed';
import { Assessor } from './Assessor';

/**
 * The assessment with the fix of every finding, as the headless command prints it.
 * `pumpV` is at 12.0 V at the posts. `flowLPerH` and `headM` are null until a hose is known.
 */
export function assessReport(job: Job, { units }: AssessOptions = {}) {
  const assessor = new Assessor(units);
  const { circuits, findings } = assessor.assess(job);
  const withFixes = (some: readonly Finding[], circuitId: string | null) =>
    some.map(({ mayHaveFix, ...finding }): ReportedFinding => {
      const fix = mayHaveFix ? assessor.fixOf(job, circuitId, finding.id) : undefined;
      return fix === undefined ? finding : { ...finding, fix };
    });
  return {
    circuits: circuits.map((one) =>
      circuitReport(one, {
        findings: one.status === 'incomplete' ? [] : withFixes(one.findings, one.circuit.id),
        alternatives: assessor.alternativesOf(job, one.circuit.id),
      }),
    ),
    findings: withFixes(findings, null),
  };
}

/** A finding as it is reported: with its fix, where one answers it. */
type ReportedFinding = Omit<Finding, 'mayHaveFix'> & { readonly fix?: Fix };

/** What is asked for beside an assessment. */
interface Asked {
  readonly findings: readonly ReportedFinding[];
  readonly alternatives: readonly Alternative[];
}

/** Why there are no seconds: it never opens, or no curve is published to tell; seconds where there are. */
function openingWord(opening: Opening): 'opens' | 'never' | 'not shown' {
  return opening.kind === 'not-shown' ? 'not shown' : opening.kind;
}

function circuitReport(assessed: AssessedCircuit, { findings, alternatives }: Asked) {
  const { id, name } = assessed.circuit;
  if (assessed.status === 'incomplete') {
    return {
      id,
      name,
      status: assessed.status,
      needs: assessed.needs.map((need) => ({ path: need.path.join('.'), label: need.label, why: need.why })),
    };
  }
  if (assessed.status === 'alarm') return alarmReport(assessed, findings);
  const { facts } = assessed;
  const { protection } = facts;
  return {
    id,
    name,
    status: assessed.status,
    designCurrentA: facts.designCurrentA,
    conductors: facts.conductors.map(conductorReport),
    dropV: facts.dropV,
    dropPercent: facts.dropPercent,
    leadsDropV: facts.leadsDropV,
    pumpV: facts.supplies.find((row) => row.supplyV === defaults.ratedSupplyV)?.pumpV ?? null,
    supplies: facts.supplies.map(({ setting: _setting, ...row }) => row),
    protection: {
      ratingA: protection.ratingA,
      kind: protection.kind,
      lockedRotorA: protection.lockedRotorA,
      opensWithinS: openingSeconds(protection.lockedRotorOpening),
      opensWithin: openingWord(protection.lockedRotorOpening),
      farShortA: protection.farShortA,
      farShortWithinS: openingSeconds(protection.farShortOpening),
      farShortWithin: openingWord(protection.farShortOpening),
      inrushA: protection.inrushA,
      sourceFaultA: protection.sourceFaultA,
      interruptA: protection.interruptA,
      devices: protection.devices.map(({ inrushOpening, ...device }) => ({
        ...device,
        inrushWithinS: openingSeconds(inrushOpening),
        inrushWithin: openingWord(inrushOpening),
      })),
    },
    alternatives,
    ...flowReport(facts.water),
    findings,
    wiredAs: assessed.wiredAs,
  };
}

/** Flow and head at 12.8 V at the posts, in the first pose, water at the pump's base. */
function flowReport(water: WaterFacts | null) {
  const row = water?.poses[0]?.operating.find(({ supplyV }) => supplyV === defaults.runningSupplyV);
  return { flowLPerH: row?.flowLPerH ?? null, headM: row?.headM ?? null };
}

/** An alarm with its own battery: no pump, no fuse, nothing that a drop could hurt. */
function alarmReport({ circuit: { id, name }, facts, wiredAs }: AssessedAlarm, findings: Asked['findings']) {
  const dropV = facts.conductors.reduce((sum, conductor) => sum + conductor.dropV, 0);
  return {
    id,
    name,
    status: 'sized',
    designCurrentA: Math.max(...facts.conductors.map(({ designA }) => designA)),
    conductors: facts.conductors.map(conductorReport),
    dropV,
    dropPercent: (100 * dropV) / defaults.ratedSupplyV,
    pumpV: null,
    supplies: [],
    protection: null,
    alternatives: [],
    flowLPerH: null,
    headM: null,
    findings,
    wiredAs,
  };
}

function conductorReport(conductor: ConductorFacts) {
  return {
    id: conductor.planned.id,
    size: conductor.size,
    proposedSize: conductor.proposedSize,
    areaMm2: conductor.areaMm2,
    lengthM: conductor.planned.lengthM,
    designA: conductor.designA,
    resistanceOhm: conductor.resistanceOhm,
    ampacityA: conductor.ampacity.amps,
    dropV: conductor.dropV,
    runningA: conductor.runningA,
  };
}
