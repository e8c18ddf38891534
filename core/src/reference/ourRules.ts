/** A threshold that no published rule gives: its figure, what it decides, and why it is what it is. */
export interface OurRule {
  readonly value: number;
  readonly unit: string;
  readonly name: string;
  readonly reason: string;
}

/**
 * Every threshold of our own, in one table. Findings that stand on one name "our
 * rule" as their source; the reference shows the table with its reasons.
 */
export const ourRules = {
  lockedRotorGoodS: {
    value: 10,
    unit: 's',
    name: 'A stalled pump is off within',
    reason:
      'The published motor rule asks that a locked rotor start no fire in seven hours; ten seconds leave neither winding nor cable time to heat.',
  },
  lockedRotorCautionS: {
    value: 60,
    unit: 's',
    name: 'A stalled pump is a stop beyond',
    reason: 'After a minute at several times its current a small winding smokes.',
  },
  windingSpreadOhm: {
    value: 0.3,
    unit: 'Ω',
    name: 'A winding is known to within ±',
    reason:
      'Half an ohm is below what a hand meter resolves, and brushes add what they like; a default winding is no better.',
  },
  farShortGoodS: {
    value: 1,
    unit: 's',
    name: 'A short at the pump is cleared within',
    reason: 'Fast enough that insulation along the cable stays below its limit.',
  },
  farShortCautionS: {
    value: 5,
    unit: 's',
    name: 'A short at the pump is a stop beyond',
    reason: 'Five seconds is what wiring rules elsewhere take as the longest for fixed circuits.',
  },
  inrushS: {
    value: 0.03,
    unit: 's',
    name: 'A starting inrush lasts',
    reason: 'A small rotor is up to speed in a few hundredths of a second.',
  },
  onChargeNoteShare: {
    value: 0.8,
    unit: 'of the rating',
    name: 'Running on charge is noted from',
    reason: 'The same margin as 125 % at the label’s volts, looked at with the charger on.',
  },
  onChargeCautionShare: {
    value: 0.9,
    unit: 'of the rating',
    name: 'Running on charge is a caution from',
    reason: 'A hot day or a rag in the impeller takes the last tenth.',
  },
  contactAskFromA: {
    value: 10,
    unit: 'A',
    name: 'A contact’s rating is asked for from',
    reason: 'Most floats and panel switches are made for 10 A or more on DC; above that the figure must be read.',
  },
  runsFromShare: {
    value: 0.2,
    unit: 'of label volts',
    name: 'A pump counts as running from',
    reason: 'Below a fifth of its label volts a motor may not break away from standstill.',
  },
  pumpJobV: {
    value: 10.5,
    unit: 'V',
    name: 'A pump does its job from',
    reason: 'Below that a 12 V pump at a real head moves little or nothing.',
  },
  relayPullInMargin: {
    value: 1.2,
    unit: '× pull-in volts',
    name: 'A relay pulls in for sure from',
    reason: 'A warm coil’s resistance is up by a fifth.',
  },
  fedBackV: {
    value: 0.05,
    unit: 'V',
    name: 'A pump fed back by another circuit is told from',
    reason: 'Less cannot be told from a meter’s last digit.',
  },
  stepDownSizes: {
    value: 2,
    unit: 'sizes',
    name: 'A step-down is needed from a difference of',
    reason: 'A butt barrel takes one size more or less; two leave the thinner conductor loose in it.',
  },
  ownWaterShare: {
    value: 0.5,
    unit: 'of the hose’s water',
    name: 'A run counts as own water below',
    reason: 'Less left the boat than half of what the hose gives back: the run pumped what the last one left behind.',
  },
  windowMarginM: {
    value: 0.01,
    unit: 'm',
    name: 'Margin between a float and what bounds it',
    reason: 'What a tape, a wet sole and slop leave uncertain.',
  },
  drainBackFactor: {
    value: 1.5,
    unit: '× the hose’s water',
    name: 'Water between on and off at least',
    reason: 'Half as much again as comes back, so that ripples do not start the pump on its own water.',
  },
  shortestRunS: {
    value: 10,
    unit: 's',
    name: 'A run lasts at least',
    reason: 'Starting wears brushes and contacts more than running.',
  },
  mostStartsPerHour: {
    value: 20,
    unit: 'an hour',
    name: 'Starts at most',
    reason: 'More often than every three minutes for a season is past what small motors and contacts last.',
  },
  dryRunS: {
    value: 1,
    unit: 's',
    name: 'Running dry at most',
    reason: 'The seal is cooled by the water; a sensing pump’s own feel is made for it and does not count.',
  },
  neverStopsS: {
    value: 1800,
    unit: 's',
    name: 'On with the water no lower for',
    reason: 'Half an hour without an inch gained: it will not stop by itself.',
  },
  outletFreeboardM: {
    value: 0.2,
    unit: 'm',
    name: 'An outlet over the water outside, at rest, at least',
    reason: 'A wake, a guest on the side deck or a full tank takes the rest.',
  },
  backupAboveLeastM: {
    value: 0.05,
    unit: 'm',
    name: 'A backup switches on above the first pump by at least',
    reason: 'Slop in the well does not reach it, so that it calls only when it is needed.',
  },
  backupAboveMostM: {
    value: 0.075,
    unit: 'm',
    name: 'A backup need not switch on higher than',
    reason: 'Higher than that it only loses time.',
  },
  weekendDays: {
    value: 2.5,
    unit: 'days',
    name: 'A weekend lasts',
    reason: 'Friday evening to Monday morning.',
  },
  leftAloneAfloatDays: {
    value: 14,
    unit: 'days',
    name: 'A boat afloat is left alone for',
    reason: 'Two weeks, where the survey does not say.',
  },
  leftAloneAshoreDays: {
    value: 3,
    unit: 'days',
    name: 'A boat ashore is left alone for',
    reason: 'She is rinsed and looked at, where the survey does not say.',
  },
  leftAloneFactor: {
    value: 1.5,
    unit: '× the days left alone',
    name: 'The charge outlasts being left alone by',
    reason: 'A battery of middle age holds two thirds of its label.',
  },
  managementAskUnderAh: {
    value: 30,
    unit: 'Ah',
    name: 'A LiFePO4 battery’s own limit is asked for under',
    reason: 'Small packs cut off at currents that a stalled or starting pump reaches.',
  },
  wallNoticeShare: {
    value: 0.03,
    unit: 'of the flow',
    name: 'A corrugated hose is told from a loss of',
    reason: 'Less than that is lost in the label’s own rounding.',
  },
  batteryRecovers: {
    value: 0.01,
    unit: 'of its charge',
    name: 'A battery that has given out pumps again after recovering',
    reason:
      'Its volts come back with the first charge and are gone with the first load: a hundredth is the least that starts a motor.',
  },
  unsheathedM: {
    value: 0.762,
    unit: 'm',
    name: '18 AWG of a multicore outside its sheath at most',
    reason: 'Thirty inches, as the voluntary standard has it.',
  },
  spillAboveM: {
    value: 0.3,
    unit: 'm',
    name: 'A well spills over this far above the highest thing in it',
    reason: 'Where the survey does not say how high its sides are: above that the water is in the rest of the boat.',
  },
} as const satisfies Record<string, OurRule>;

export type OurRuleKey = keyof typeof ourRules;

/** What a finding names as its source where the threshold is ours. */
export const OUR_RULE = 'our rule';

/** Volts from which a pump of some label volts counts as running; equal is running. */
export function runsFromV(labelV: number): number {
  return labelV * ourRules.runsFromShare.value * (1 - 1e-9);
}
