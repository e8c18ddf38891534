import type { AssessedAlarm, AssessedPump } from '../assess';
import type { ProvePhase } from '../prove/proveTest';
import { cautions } from '../reference';
import { readingRows } from './readingRows';
import { heading, NOT_A_LICENCE, type Paper, type Sheet } from './sheetNodes';

export interface ProofGround {
  /** Boat and circuit. */
  readonly title: string;
  readonly assessed: AssessedPump | AssessedAlarm;
  /** Names of the boat's other pump circuits. */
  readonly others: readonly string[];
  readonly paper: Paper;
  /** The day, in words. */
  readonly day: string;
}

/** The readings of a circuit on paper, each with what it must show at the battery as surveyed, and room to write. */
export function proofSheet({ title, assessed, others, paper, day }: ProofGround): Sheet {
  const rows = (phase: ProvePhase) => readingRows(assessed, phase, others);
  return {
    paper,
    title: `${title}, readings to take`,
    head: [title, day],
    foot: NOT_A_LICENCE,
    content: [
      { text: 'Readings to take', font: 'AtkinsonBold', fontSize: 20 },
      title,
      { text: `${cautions.proveDead} ${cautions.autoStart}`, margin: [0, 6, 0, 0], fontSize: 9.5 },
      heading('On the bench, before anything is in the bilge'),
      rows('bench'),
      heading('In the boat, at the battery as surveyed'),
      rows('commission'),
    ],
  };
}
