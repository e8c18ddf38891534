import type { AssessedAlarm, AssessedPump } from '../assess';
import type { ProvePhase, ProveTest } from '../prove/proveTest';
import { proveTests } from '../prove/proveTests';
import { table, type SheetNode } from './sheetNodes';

const figure = (value: number) => String(Number(value.toPrecision(4)));
const expectedOf = ({ expect }: ProveTest) =>
  'state' in expect ? expect.state : `${figure(expect.low)} to ${figure(expect.high)} ${expect.unit}`;

/** The readings that a proof needs, each with its window at the battery as surveyed, and room to write. @param others names of the boat's other pump circuits */
export function readingRows(
  assessed: AssessedPump | AssessedAlarm,
  phase: ProvePhase,
  others: readonly string[],
): SheetNode {
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
}
