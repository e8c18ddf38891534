import type { AssessedAlarm, AssessedPump } from '../assess';
import { proveTests } from '../prove/proveTests';
import type { ProvePhase, ProveTest } from '../prove/proveTest';
import { cautions } from '../reference';
import { NOT_A_LICENCE } from './jobSheet';
import { heading, table, type Paper, type Sheet, type SheetNode } from './sheetNodes';

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

const figure = (value: number) => String(Number(value.toPrecision(4)));
const expectedOf = ({ expect }: ProveTest) =>
  'state' in expect ? expect.state : `${figure(expect.low)} to ${figure(expect.high)} ${expect.unit}`;

/** The readings of a circuit on paper, each with what it must show at the battery as surveyed, and room to write. */
export function proofSheet({ title, assessed, others, paper, day }: ProofGround): Sheet {
  const rows = (phase: ProvePhase): SheetNode => {
    const tests = proveTests(assessed, { phase, others }).filter(({ needed }) => needed);
    return table(
      ['*', 110, 90],
      ['Test', 'Expected', 'Read'],
      tests.map((test) => [
        { text: test.text, fontSize: 9.5 },
        { text: expectedOf(test), fontSize: 9.5 },
        { text: '', margin: [0, 10, 0, 0] },
      ]),
    );
  };
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
