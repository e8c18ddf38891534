import { ourRules, OUR_RULE, protectionFamilies, ratingOverRunning } from '../reference';
import { aRating, formatAmps, formatVolts, plainNumber, SLACK } from '../units';
import type { BatteryCircuit, BatteryFacts, BoatFacts } from './batteryFacts';
import { bySeverity, type FixIdea, type Judgement } from './finding';

/** A circuit's own share is named from here, Ah a day: less would read as nothing. */
const SHOWN_AH = 0.005;

/** A thousandth of an ampere-hour a day is no drain. */
const NO_DRAIN_AH = 1e-3;

/** A judgement on a battery or the boat, and the circuit beside which it is shown. */
export interface BoatJudgement extends Judgement {
  /** The battery it is of; null where it is of the boat. */
  readonly batteryId: string | null;
  readonly circuitId: string | null;
}

/** What is judged once a battery or once a boat, not once a circuit. */
export function judgeBoat(facts: BoatFacts): BoatJudgement[] {
  return bySeverity([
    ...facts.batteries.flatMap((battery) => batteryJudgements(facts, battery)),
    ...nobodyPumps(facts),
  ]);
}

function batteryJudgements(facts: BoatFacts, battery: BatteryFacts): BoatJudgement[] {
  const [first] = battery.circuits;
  if (!first) return [];
  const beside = (judgement: Judgement): BoatJudgement => ({
    ...judgement,
    topic: 'battery',
    batteryId: battery.battery.id,
    circuitId: first.circuit.id,
  });
  return [
    ...interruptRule(battery),
    ...[
      ...seriesBankRules(battery),
      ...managementRules(battery),
      ...togetherRule(battery),
      ...standingRule(facts, battery),
    ].map(beside),
  ];
}

/** "Main, Backup and Drain" */
function listed(names: readonly string[]): string {
  const last = names[names.length - 1] ?? '';
  return names.length < 2 ? last : `${names.slice(0, -1).join(', ')} and ${last}`;
}

/** Devices that cannot break what the battery delivers: one finding a battery. */
function interruptRule({ battery, circuits }: BatteryFacts): BoatJudgement[] {
  const over = circuits.filter(({ shares, sourceFaultA, interruptA }) => !shares && sourceFaultA > interruptA * SLACK);
  const [first] = over;
  if (!first) return [];
  const { name } = protectionFamilies[first.firstDevice];
  const faultA = Math.max(...over.map(({ sourceFaultA }) => sourceFaultA));
  return [
    {
      code: 'interrupt-rating-exceeded',
      severity: 'caution',
      message: `${battery.name} can deliver ${formatAmps(faultA)} into a short just after the ${name} of ${listed(over.map(({ circuit }) => circuit.name))}, which can safely break ${formatAmps(first.interruptA)}. Put a high-interrupt fuse on the battery post ahead of ${over.length === 1 ? 'it' : 'them'}, or use other devices.`,
      rule: 'Interrupt rating at least the fault current where the device sits; on the battery post no stub limits it.',
      source: 'ABYC E-11 interrupt ratings; figures by family',
      at: ['fuse'],
      topic: 'battery',
      batteryId: battery.id,
      circuitId: first.circuit.id,
      ideas: () => [...mainFuses(over), ...breakers(over)],
    },
  ];
}

/** One high-interrupt fuse on the post, ahead of all of them. */
function mainFuses(over: readonly BatteryCircuit[]): FixIdea[] {
  const fedA = over.reduce((sum, one) => sum + one.fedA, 0);
  const postFaultA = Math.max(...over.map((one) => one.postFaultA));
  return (['cubeAtBattery', 'classT'] as const)
    .filter((kind) => protectionFamilies[kind].interruptA * SLACK >= postFaultA)
    .flatMap((kind) => {
      const ratingA = protectionFamilies[kind].ratingsA.find((rating) => rating >= fedA * ratingOverRunning);
      if (ratingA === undefined) return [];
      return everyOne(over, `Add ${aRating(ratingA)} main fuse at the battery`, ({ circuit }) => ({
        ...circuit,
        source: { ...circuit.source, mainFuse: { kind, ratingA } },
      }));
    });
}

/** A breaker that can break it, in place of each fuse. */
function breakers(over: readonly BatteryCircuit[]): FixIdea[] {
  return everyOne(over, 'Use thermal breakers', ({ circuit, fedA }) => {
    const ratingA = protectionFamilies.thermalBreaker.ratingsA.find((rating) => rating >= fedA * ratingOverRunning);
    return ratingA === undefined
      ? circuit
      : { ...circuit, choices: { ...circuit.choices, protection: { kind: 'thermalBreaker', ratingA } } };
  });
}

/** A change to every circuit concerned, as one idea. */
function everyOne(
  circuits: readonly BatteryCircuit[],
  label: string,
  change: (one: BatteryCircuit) => BatteryCircuit['circuit'],
): FixIdea[] {
  const [first, ...rest] = circuits.map(change);
  return first ? [{ label, circuit: first, ...(rest.length > 0 ? { also: rest } : {}) }] : [];
}

/** A battery that is one of a series bank: whose poles, and how unevenly it is drawn on. */
function seriesBankRules({ battery, circuits, netAhPerDay }: BatteryFacts): Judgement[] {
  const { seriesBank, name } = battery;
  if (!seriesBank) return [];
  const remedy =
    'Take positive and negative from the posts of this one battery, its own negative the negative bus of these circuits.';
  const names = listed(circuits.map(({ circuit }) => circuit.name));
  const standing =
    netAhPerDay > NO_DRAIN_AH ? `${plainNumber(netAhPerDay, 2)} Ah a day while nobody is aboard, beside ` : '';
  const poles: Judgement[] =
    seriesBank.ownPoles === true
      ? []
      : [
          seriesBank.ownPoles === false
            ? {
                code: 'series-bank-potential',
                severity: 'stop',
                message: `${name} is one of a bank of ${seriesBank.bankV} V, and the poles of ${names} are not both its own: parts for 12 V stand at up to ${seriesBank.bankV} V. ${remedy}`,
                rule: 'Both poles of a 12 V circuit come from one battery, never from a bank jumper at a higher potential.',
                source: 'Circuit laws; common practice for series banks',
                at: ['battery'],
              }
            : {
                code: 'series-bank-poles',
                severity: 'caution',
                message: `${name} is one of a bank of ${seriesBank.bankV} V, and nobody has said whether both poles of ${names} are its own. Look, and enter it with the battery. ${remedy}`,
                rule: 'Both poles of a 12 V circuit come from one battery, never from a bank jumper at a higher potential.',
                source: 'Circuit laws; common practice for series banks',
                at: ['battery'],
              },
        ];
  return [
    ...poles,
    {
      code: 'series-bank-draw',
      severity: 'caution',
      message: `${name} gives ${standing}what is pumped, and the other batteries of the ${seriesBank.bankV} V bank give nothing: the bank grows uneven, and charging overcharges the rest. Give the pump a battery of its own, or a converter from the whole bank.`,
      rule: 'A series bank is drawn on as a whole.',
      source: 'Common practice for series banks',
      at: ['battery'],
    },
  ];
}

/** What a battery's own management lets out. */
function managementRules({ battery, capacityAh, circuits }: BatteryFacts): Judgement[] {
  const { managementLimitA: limitA, name, chemistry = 'lead-acid' } = battery;
  const rule = 'A battery’s own management lets out what the circuits draw, also at the start and with a stalled pump.';
  if (limitA === undefined) {
    if (chemistry !== 'lifepo4' || capacityAh >= ourRules.managementAskUnderAh.value) return [];
    return [
      {
        code: 'management-limit-not-known',
        severity: 'caution',
        message: `${name} is a LiFePO4 battery of ${plainNumber(capacityAh, 0)} Ah: small ones cut themselves off at currents that a starting or stalled pump reaches, and then nothing pumps. Read the limit from its label and enter it.`,
        rule,
        source: OUR_RULE,
        at: ['battery'],
      },
    ];
  }
  const own = circuits.filter(({ shares }) => !shares);
  const runningA = own.reduce((sum, one) => sum + one.onChargeA, 0);
  const startA = Math.max(...own.map(({ inrushA }) => inrushA));
  const stalledA = Math.max(...own.map(({ lockedRotorA }) => lockedRotorA));
  const over = (amps: number) => amps > limitA * SLACK;
  const says = over(runningA)
    ? `running draws ${formatAmps(runningA)}`
    : over(startA)
      ? `a start draws ${formatAmps(startA)}`
      : over(stalledA)
        ? `a stalled pump draws ${formatAmps(stalledA)}`
        : null;
  if (says === null) return [];
  return [
    {
      code: 'management-limit-exceeded',
      severity: over(runningA) ? 'stop' : 'caution',
      message: `${name} cuts itself off at ${formatAmps(limitA)}, and ${says}: every circuit on it is then dead. Use a battery that lets out more, or a smaller pump.`,
      rule,
      source: 'The battery’s label; circuits solved',
      at: ['battery'],
    },
  ];
}

/** Two pumps that do their job alone and not together. */
function togetherRule({ battery, circuits, postsTogetherV }: BatteryFacts): Judgement[] {
  const jobV = ourRules.pumpJobV.value;
  const weak = circuits.filter(({ aloneV, togetherV }) => aloneV >= jobV && togetherV < jobV);
  if (weak.length === 0) return [];
  const each = weak.map(({ circuit, togetherV }) => `${circuit.name} ${formatVolts(togetherV)}`);
  return [
    {
      code: 'pumps-sag-together',
      severity: 'caution',
      message: `With all its pumps at work ${battery.name} falls to ${formatVolts(postsTogetherV)} at its posts, and ${listed(each)} reach the pump: below ${jobV} V a pump does not do its job. Use a larger battery, larger cable, or another battery for the backup.`,
      rule: `At least ${jobV} V at every pump, also when all run.`,
      source: OUR_RULE,
      at: ['battery'],
    },
  ];
}

/** What the circuits draw while they wait, against how long the boat is left alone. */
function standingRule(
  { leftAloneDays }: BoatFacts,
  { battery, circuits, usableAh, netAhPerDay }: BatteryFacts,
): Judgement[] {
  if (netAhPerDay <= NO_DRAIN_AH) return [];
  const days = usableAh / netAhPerDay;
  const neededDays = leftAloneDays * ourRules.leftAloneFactor.value;
  if (days * SLACK >= neededDays) return [];
  const each = circuits
    .filter(({ standingA }) => 24 * standingA >= SHOWN_AH)
    .map(({ circuit, standingA }) => `${circuit.name} ${plainNumber(24 * standingA, 2)} Ah a day`);
  const flows = each.length === 0 ? 'a little flows' : `${listed(each)} ${each.length === 1 ? 'flows' : 'flow'}`;
  return [
    {
      code: 'standing-draw',
      severity: 'caution',
      message: `While nobody is aboard, with nothing to pump, ${flows} out of ${battery.name}: its charge lasts ${plainNumber(Math.max(0, days), 1)} days, and ${plainNumber(neededDays, 1)} are wanted for ${plainNumber(leftAloneDays, 1)} days left alone. Use a light that draws less, a larger battery, or a trickle charge.`,
      rule: `The charge lasts ${ourRules.leftAloneFactor.value} times as long as the boat is left alone.`,
      source: OUR_RULE,
      at: ['battery'],
      ideas: () => circuits.flatMap(ledArmedLight),
    },
  ];
}

function ledArmedLight({ circuit }: BatteryCircuit): FixIdea[] {
  return circuit.panel?.armedLight === 'filament'
    ? [
        {
          label: 'Fit a LED as armed light',
          circuit: { ...circuit, panel: { ...circuit.panel, armedLight: 'led' } },
        },
      ]
    : [];
}

/** Water that comes in by itself, a boat afloat, and no pump that starts by itself. */
function nobodyPumps({ boat, waysIn, firstCircuit }: BoatFacts): BoatJudgement[] {
  if (boat.kept === 'ashore') return [];
  const left = waysIn.filter(({ pumped }) => !pumped);
  if (left.length === 0) return [];
  return [
    {
      code: 'nobody-pumps',
      severity: 'caution',
      message: `${listed(left.map(({ name }) => `“${name}”`))} ${left.length === 1 ? 'comes' : 'come'} in while nobody is aboard, and no pump there starts by itself. Fit an automatic pump, or keep her ashore.`,
      rule: 'A boat afloat with a steady way in has an automatic pump.',
      source: 'Common practice for boats left afloat',
      at: [],
      topic: 'water',
      batteryId: null,
      circuitId: left.find(({ circuitId }) => circuitId !== null)?.circuitId ?? firstCircuit,
    },
  ];
}
