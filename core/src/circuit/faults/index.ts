import { CircuitError } from '../circuitError';
import type { Netlist } from '../netlist';
import { alarmSilent } from './alarmSilent';
import { blownFuse } from './blownFuse';
import { corroded } from './corroded';
import type { Fault } from './fault';
import { holderCorroded } from './holderCorroded';
import { intermittent } from './intermittent';
import { isolatorOff } from './isolatorOff';
import { leak } from './leak';
import { lightNegativeMissing } from './lightNegativeMissing';
import { brushesWorn, rotorLocked, runningDry, windingOpen } from './motor';
import { open } from './open';
import { polarityReversed } from './polarityReversed';
import { shortedToNegative } from './shortedToNegative';
import { wayCorroded, wayOff } from './spliceWay';
import { stuckDown } from './stuckDown';
import { stuckUp } from './stuckUp';
import { swappedAtPanel } from './swappedAtPanel';
import { weakBattery } from './weakBattery';
import { wornContact } from './wornContact';
import { wrongFuse } from './wrongFuse';

/** Every kind of fault by its code; a new one is a file beside these and a line here. */
export const faults = {
  open,
  corroded,
  'shorted-to-negative': shortedToNegative,
  'blown-fuse': blownFuse,
  'wrong-fuse': wrongFuse,
  'worn-contact': wornContact,
  'stuck-up': stuckUp,
  'stuck-down': stuckDown,
  'winding-open': windingOpen,
  'rotor-locked': rotorLocked,
  'running-dry': runningDry,
  'polarity-reversed': polarityReversed,
  'swapped-at-panel': swappedAtPanel,
  'light-negative-missing': lightNegativeMissing,
  'weak-battery': weakBattery,
  'way-corroded': wayCorroded,
  'way-off': wayOff,
  intermittent,
  'holder-corroded': holderCorroded,
  'isolator-off': isolatorOff,
  leak,
  'brushes-worn': brushesWorn,
  'alarm-silent': alarmSilent,
} as const satisfies Readonly<Record<string, Fault>>;

export type FaultCode = keyof typeof faults;

export const faultCodes = Object.keys(faults) as readonly FaultCode[];

/** The kind of fault behind a code. */
export function faultOf(code: FaultCode): Fault {
  return faults[code];
}

/** A fault as it was put into a circuit. */
export interface PlantedFault {
  readonly code: FaultCode;
  /** Where it sits: an id of one of the fault's sites. */
  readonly at: string;
  /** Left out: the usual one. */
  readonly degree?: number;
}

/**
 * The netlist with faults put in, one after the other.
 * @throws CircuitError `fault-does-not-fit`, naming the part, where a fault cannot sit or its degree is out of range.
 */
export function withFaults(netlist: Netlist, planted: readonly PlantedFault[]): Netlist {
  return planted.reduce((before, fault) => {
    const kind = faultOf(fault.code);
    const sites = kind.sites(before);
    if (!sites.some(({ id }) => id === fault.at)) {
      throw new CircuitError(
        'fault-does-not-fit',
        `There is no “${fault.at}” that can be ${kind.name}. It can be: ${sites.map(({ id }) => id).join(', ') || 'nothing in this circuit'}.`,
        fault.at,
      );
    }
    return kind.apply(before, fault.at, degreeOf(kind, fault));
  }, netlist);
}

function degreeOf({ degree, name }: Fault, planted: PlantedFault): number {
  if (!degree) return 0;
  const value = planted.degree ?? degree.usual;
  if (value >= degree.least && value <= degree.most) return value;
  throw new CircuitError(
    'fault-does-not-fit',
    `“${planted.at}” ${name}: ${value} ${degree.unit} is outside ${degree.least} to ${degree.most} ${degree.unit}.`,
    planted.at,
  );
}

export type { Fault, FaultDegree, FaultSite } from './fault';
