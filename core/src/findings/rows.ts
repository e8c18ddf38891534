import { runsFromV } from '../reference';
import { isFloat, keptVoltsAcross, type KeptPoint, type Setting, roles } from '../circuit';
import type { Plan } from '../schemes';
import type { Behaviour, CircuitFacts } from './facts';

/** A setting that has an answer. */
export interface SolvedRow {
  readonly setting: Setting;
  readonly point: KeptPoint;
}

/** Settings with an answer in which this circuit alone is at work: others on its feed or alarm are off. */
export function ownRows({ behaviour }: { readonly behaviour: Behaviour }): SolvedRow[] {
  return solvedRows(behaviour).filter(({ setting }) =>
    Object.entries(setting.switches).every(([id, position]) => id === roles.switch || position === 'off'),
  );
}

/** Settings with an answer. */
export function solvedRows({ rows }: Behaviour): SolvedRow[] {
  return rows.flatMap(({ setting, point }) => (point ? [{ setting, point }] : []));
}

export function pumpVolts({ point }: SolvedRow): number {
  return keptVoltsAcross(point, roles.pump, 'plus', 'minus');
}

/** Whether the pump breaks away and runs. */
export function runs(facts: CircuitFacts, row: SolvedRow): boolean {
  return Math.abs(pumpVolts(row)) >= runsFromV(facts.motor.labelV);
}

export function floatIdsOf({ parts }: Plan): string[] {
  return parts.filter(({ part }) => isFloat(part)).map(({ part }) => part.id);
}

/** A setting in words: "the switch on auto and the float down". */
export function inWords({ behaviour }: { readonly behaviour: Behaviour }, { setting }: SolvedRow): string {
  const nameOf = (id: string) =>
    id === roles.switch ? 'the switch' : `“${behaviour.wired.parts.find(({ part }) => part.id === id)?.name ?? id}”`;
  const hands = Object.entries(setting.switches)
    .filter(([id, position]) => id === roles.switch || position !== 'off')
    .map(([id, position]) => `${nameOf(id)} on ${position}`.replace(/on off$/, 'off'));
  const water = Object.values(setting.floats).map((position) => `the float ${position}`);
  return [...hands, ...water].join(' and ');
}
