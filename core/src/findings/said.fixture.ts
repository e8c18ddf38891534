import { differences, type Circuit, type Job } from '../job';
import * as alarm from './alarm';
import * as boat from './boat';
import * as conductors from './conductors';
import * as contacts from './contacts';
import * as drop from './drop';
import * as faults from './faults';
import * as feed from './feed';
import { ideasOf, type Judgement, type Means } from './finding';
import * as flow from './flow';
import * as hose from './hose';
import * as all from './index';
import * as leads from './leads';
import * as legs from './legs';
import * as outlet from './outlet';
import * as petrol from './petrol';
import * as place from './place';
import * as rating from './rating';
import * as relay from './relay';
import * as runs from './runs';
import * as sneaks from './sneaks';
import * as stepDown from './stepDown';
import * as taps from './taps';
import * as water from './water';
import { meansOf } from './water.fixture';
import type { WaterFacts } from './waterFacts';
import * as wiredAs from './wiredAs';
import * as wiring from './wiring';

// Every rule as the tests call it. What it says in a test is kept whole, beside what the test asks of it:
// each word, place and idea, so that none changes unread. Read the kept texts in `__snapshots__`.

const said = new Set<string>();

afterEach(() => {
  const texts = [...said];
  said.clear();
  if (texts.length > 0) expect(`\n${texts.join('\n\n')}\n`).toMatchSnapshot();
});

function kept<Asked extends readonly unknown[], Told extends Judgement | wiredAs.Statement>(
  rules: (...asked: Asked) => readonly Told[],
): (...asked: Asked) => readonly Told[] {
  return (...asked) => {
    const told = rules(...asked);
    const means = meansIn(asked);
    for (const one of told) said.add('text' in one ? statementText(one) : judgementText(one, circuitsIn(asked), means));
    return told;
  };
}

function statementText({ code, text, beforeWork }: wiredAs.Statement): string {
  return `${code}${beforeWork ? ' (before work)' : ''}: ${text}`;
}

function judgementText(judgement: Judgement, circuits: readonly Circuit[], means: Means): string {
  const { code, severity, message, rule, source, at, topic = 'wiring' } = judgement;
  const { circuitId = null, batteryId = null } = judgement as Partial<boat.BoatJudgement>;
  const beside = circuitId === null && batteryId === null ? '' : ` (battery ${batteryId}, beside ${circuitId})`;
  const fixes = ideasOf(judgement, means).map(
    ({ label, circuit, also = [] }) =>
      `  ${label}: ${[circuit, ...also].map((one) => changes(one, circuits)).join('; ')}`,
  );
  return [
    `${severity} ${code} at ${at.join(', ') || 'nowhere'}, ${topic}${beside}`,
    message,
    `Rule: ${rule} Source: ${source}.`,
    ...fixes,
  ].join('\n');
}

/** What an idea changes of the circuit it was had for. */
function changes(after: Circuit, circuits: readonly Circuit[]): string {
  const before = circuits.find(({ id }) => id === after.id);
  const jobOf = (circuit: Circuit | undefined) => ({ circuits: circuit ? [circuit] : [] }) as unknown as Job;
  return differences(jobOf(before), jobOf(after))
    .map(
      ({ path, before: was, after: is }) => `${path.slice(1).join('.')} ${JSON.stringify(was)} → ${JSON.stringify(is)}`,
    )
    .join(', ');
}

/** What ideas may ask of the water among what a rule was asked. */
function meansIn(asked: readonly unknown[]): Means {
  const [water = null] = asked.flatMap((one): (WaterFacts | null)[] => {
    if (typeof one !== 'object' || one === null) return [];
    if ('pool' in one) return [one as WaterFacts];
    return 'water' in one && 'behaviour' in one ? [one.water as WaterFacts | null] : [];
  });
  return meansOf(water);
}

/** The circuits among what a rule was asked. */
function circuitsIn(asked: readonly unknown[]): Circuit[] {
  return asked.flatMap((one): Circuit[] => {
    if (typeof one !== 'object' || one === null) return [];
    if ('scheme' in one && 'legs' in one) return [one as Circuit];
    if ('circuit' in one) return [one.circuit as Circuit];
    if ('batteries' in one)
      return (one as all.BoatFacts).batteries.flatMap(({ circuits }) => circuits.map(({ circuit }) => circuit));
    return [];
  });
}

export const alarmRules = kept(alarm.alarmRules);
export const fedAlarmRules = kept(alarm.fedAlarmRules);
export const judgeBoat = kept(boat.judgeBoat);
export const conductorRules = kept(conductors.conductorRules);
export const contactRules = kept(contacts.contactRules);
export const dropRules = kept(drop.dropRules);
export const faultRules = kept(faults.faultRules);
export const feedRules = kept(feed.feedRules);
export const flowJudgements = kept(flow.flowJudgements);
export const hoseJudgements = kept(hose.hoseJudgements);
export const judgeCircuit = kept(all.judgeCircuit);
export const leadRules = kept(leads.leadRules);
export const legRules = kept(legs.legRules);
export const outletJudgements = kept(outlet.outletJudgements);
export const petrolRules = kept(petrol.petrolRules);
export const placeRules = kept(place.placeRules);
export const ratingRules = kept(rating.ratingRules);
export const relayRules = kept(relay.relayRules);
export const runRules = kept(runs.runRules);
export const sneakRules = kept(sneaks.sneakRules);
export const stepDownRules = kept(stepDown.stepDownRules);
export const tapRules = kept(taps.tapRules);
export const floatJudgements = kept(water.floatJudgements);
export const waterRules = kept(water.waterRules);
export const wiredAsOf = kept(wiredAs.wiredAsOf);
export const wiredAsOfAlarm = kept(wiredAs.wiredAsOfAlarm);
export const wiringRules = kept(wiring.wiringRules);
