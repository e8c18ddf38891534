import type { ShareGroup } from '../reference';
import type { Access } from './huntTest';

/** What is known when it is to be said whether a part is repaired or replaced. */
export interface AdviceGround {
  readonly group: ShareGroup;
  /** Whether the repair buys a part. */
  readonly buys: boolean;
  readonly access: Access;
  /** Hours on the pump’s motor as counted; null: nobody counted. */
  readonly motorHours: number | null;
  /** Years since the circuit was first proved; null: never. */
  readonly provedYears: number | null;
  /** A float is over five years old, as was said. */
  readonly oldFloat: boolean;
}

const HOURS = { inspect: 300, replace: 500 } as const;
const FLOAT_YEARS = 5;
const HOSE_YEARS = 10;
/** What is younger may be under its maker’s warranty (E). */
const WARRANTY_YEARS = 3;

const splices: readonly ShareGroup[] = ['splice-negative', 'splice-pump', 'splice-float'];
const floats: readonly ShareGroup[] = ['float-dead', 'float-stuck-down', 'float-stuck-up'];
const inPump: readonly ShareGroup[] = ['motor', 'seized', 'impeller'];
const bought: readonly ShareGroup[] = [...inPump, 'float-dead', 'alarm', 'valve'];

/**
 * Whether to repair or replace, by age, hours, warranty, what is cut, debris and access: sentences, the weightiest first.
 * Limits are ours (E): motors inspected from 300 h and replaced from 500 h, floats from 5 years, hose from 10.
 */
export function adviceOf({ group, buys, access, motorHours, provedYears, oldFloat }: AdviceGround): string[] {
  const told: string[] = [];
  const hours = motorHours === null ? null : Math.round(motorHours);
  if (inPump.includes(group)) {
    if (hours !== null && hours >= HOURS.replace)
      told.push(`${hours} hours on its motor: replace the pump, do not mend it.`);
    else if (hours !== null && hours >= HOURS.inspect)
      told.push(
        `${hours} hours on its motor: brushes and bearing are near their end. Mend it only where the bilge is easily reached.`,
      );
    else if (group === 'seized')
      told.push('Debris alone is no reason for a new pump: free it, look at the impeller, and run it before you buy.');
    else
      told.push('A pump is cheaper than a second visit: replace it whole, and prove the new one on the bench first.');
  }
  if (floats.includes(group)) {
    if (oldFloat || (provedYears !== null && provedYears >= FLOAT_YEARS))
      told.push('A float over five years is replaced, not cleaned.');
    else if (group !== 'float-dead')
      told.push('Clean it, and see that it falls by itself ten times; then it may stay.');
  }
  if (splices.includes(group))
    told.push(
      'Cut back to bright copper. Where the lead gets too short, join a new tail; never stretch it.',
      'Splices of one age fail one after another: remake its neighbours while the bilge is open.',
    );
  if (group === 'holder')
    told.push('A burnt or green holder is replaced: sanding takes the tin off, and it comes back.');
  if (group === 'battery') told.push('Charge it and test it under load before a new one is bought.');
  if (group === 'valve')
    told.push('Take the valve out for good, and raise the hose in a loop, where the design allows.');
  if (group === 'hose' && provedYears !== null && provedYears >= HOSE_YEARS)
    told.push('A hose over ten years is replaced, with its clips.');
  if (group === 'shorted' || group === 'broken')
    told.push('A chafed cable is replaced whole, or cut out and spliced above the water; tape is no repair.');
  if (buys && bought.includes(group) && provedYears !== null && provedYears < WARRANTY_YEARS)
    told.push(
      `It was proved ${provedYears < 1 ? 'less than a year' : `${Math.floor(provedYears)} ${provedYears < 2 ? 'year' : 'years'}`} ago: ask for the warranty before a lead is cut or a housing opened.`,
    );
  if (access === 'hard' && told.length > 0)
    told.push('The bilge is hard to reach: do all that is due down there in the same visit.');
  return told;
}
