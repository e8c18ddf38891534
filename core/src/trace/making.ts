import type { AssessedAlarm, AssessedPump } from '../assess';
import { faultOf, type FaultCode, type Netlist, type PlantedFault } from '../circuit';
import type { Plan } from '../schemes';
import type { Hypothesis, Repair } from './hypothesis';
import type { ShareGroup } from '../reference';

/** A hypothesis before it has its share. */
export type Candidate = Omit<Hypothesis, 'share'>;

/** What hypotheses are made from. */
export interface FaultGround {
  readonly assessed: AssessedPump | AssessedAlarm;
  readonly plan: Plan;
  readonly netlist: Netlist;
  readonly nameOf: (id: string) => string;
  readonly bandOf: (part: string) => 'source' | 'panel' | 'bilge';
  /** The fuses that a fault blows. */
  readonly blownBy: (fault: PlantedFault) => readonly string[];
}

const idOf = ({ code, at, degree }: PlantedFault) => `${code}@${at}${degree === undefined ? '' : `=${degree}`}`;

/** A kind of fault at a place, and what is said of it. */
export interface Making {
  readonly code: FaultCode;
  readonly at: string;
  readonly group: ShareGroup;
  readonly repair: Repair;
  readonly degrees?: readonly number[];
  readonly shows?: Readonly<Record<string, string>>;
  readonly where?: readonly string[];
  /** What comes with it, put in first. */
  readonly with?: readonly PlantedFault[];
}

/** The hypotheses of one kind of fault at one place, one for each degree. Where it does not fit there is none. */
export function made({ netlist, nameOf }: FaultGround, making: Making): Candidate[] {
  const { code, at, group, repair, degrees, shows = {}, where = [at], with: along = [] } = making;
  const kind = faultOf(code);
  if (!kind.sites(netlist).some(({ id }) => id === at)) return [];
  const unit = kind.degree?.unit ?? '';
  const siteWords = (site: string) => {
    const [part = site, way] = site.split('.');
    const lead = netlist.conductors.find(({ from, to }) =>
      [from, to].some((end) => end.part === part && end.terminal === way),
    );
    return lead ? `${nameOf(lead.id)} at ${nameOf(part)}` : nameOf(part);
  };
  return (degrees ?? [undefined]).map((degree): Candidate => {
    const own: PlantedFault = { code, at, ...(degree === undefined ? {} : { degree }) };
    const faults = [...along, own];
    return {
      id: faults.map(idOf).join('+'),
      words: `${siteWords(at)} ${kind.name}${degree === undefined ? '' : `, ${degree} ${unit}`}`,
      faults,
      water: null,
      group,
      repair,
      at: where,
      shows,
    };
  });
}

export const repairOf = (code: string, words: string, buys = false): Repair => ({ code, words, buys });

/** The pumps of a circuit. */
export const pumpsOf = ({ parts }: Netlist): string[] =>
  parts.flatMap((part) => (part.kind === 'pump' ? [part.id] : []));
