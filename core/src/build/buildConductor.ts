import type { ConductorColour } from '../schemes';
import type { Slack } from './cutLengths';

/** One end of a conductor. */
export interface ConductorEnd {
  readonly part: string;
  readonly terminal: string;
  /** As printed on the panel; null where nothing is, or where the part has no posts. */
  readonly post: string | null;
  readonly words: string;
}

/** A conductor as it is cut, labelled and put in. */
export interface BuildConductor {
  readonly id: string;
  readonly name: string;
  readonly size: string;
  readonly colour: ConductorColour;
  /** Tape that says what it is, where its own colour does not; null where it does. */
  readonly band: ConductorColour | null;
  readonly insulationC: number;
  readonly leg: string;
  readonly from: ConductorEnd;
  readonly to: ConductorEnd;
  /** What its resistance is reckoned by: as surveyed, or as pulled. */
  readonly netM: number;
  readonly slackM: Slack | null;
  /** Null for a lead, which comes with its part. */
  readonly cutM: number | null;
  readonly pulledM: number | null;
  /** The sheathed cable it is a core of. */
  readonly cable: string | null;
  readonly labels: readonly [string, string];
}
