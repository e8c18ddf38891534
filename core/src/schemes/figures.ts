import type { Part } from '../circuit';
import type { Circuit } from '../job';
import { defaults } from '../reference';
import type { Plan, PlannedRun } from './plan';

type Figures = NonNullable<Circuit['figures']>;

/** A plan with the figures that were measured on its circuit in place of the defaults. */
export function withFigures(plan: Plan, figures: Figures | undefined): Plan {
  if (!figures) return plan;
  return {
    ...plan,
    parts: plan.parts.map((planned) => ({ ...planned, part: partWith(planned.part, figures) })),
    conductors: plan.conductors.map((conductor) => ({
      ...conductor,
      runs: conductor.runs.map((run): PlannedRun => ({ ...run, temperatureC: temperatureOf(run, figures) })),
    })),
  };
}

function temperatureOf({ engineSpace }: PlannedRun, { conductorC, engineSpaceC }: Figures): number {
  return engineSpace ? (engineSpaceC ?? defaults.engineSpaceC) : (conductorC ?? defaults.conductorC);
}

function partWith(part: Part, figures: Figures): Part {
  const { jointOhm, switchOhm, floatOhm, relayOhm, fuseDropV, ledDropV, ledOhm, lampOhm, alarmOhm, sensorA } = figures;
  switch (part.kind) {
    case 'joint':
      return { ...part, ohm: jointOhm ?? part.ohm };
    case 'three-way-switch':
    case 'on-off-switch':
    case 'isolator':
      return { ...part, contactOhm: switchOhm ?? part.contactOhm };
    case 'float-switch':
    case 'through-float':
      return { ...part, contactOhm: floatOhm ?? part.contactOhm };
    case 'probe-sensor':
      return {
        ...part,
        contactOhm: floatOhm ?? part.contactOhm,
        ...(sensorA === undefined ? {} : { drawA: sensorA }),
      };
    case 'relay':
      return { ...part, contactOhm: relayOhm ?? part.contactOhm };
    case 'fuse':
      return fuseDropV === undefined ? part : { ...part, dropV: fuseDropV };
    case 'lamp':
      return part.lamp === 'led'
        ? { ...part, dropV: ledDropV ?? defaults.ledDropV, ohm: ledOhm ?? defaults.ledOhm }
        : { ...part, ohm: lampOhm ?? defaults.pilotLampOhm };
    case 'alarm':
      return alarmOhm === undefined ? part : { ...part, ohm: alarmOhm };
    case 'pump':
      return part.inside
        ? { ...part, inside: { ...part.inside, contactOhm: floatOhm ?? part.inside.contactOhm } }
        : part;
    default:
      return part;
  }
}
