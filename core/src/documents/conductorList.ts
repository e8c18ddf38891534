import type { AssessedCircuit } from '../assess';
import { colourInWords, terminalInWords } from '../schemes';
import { plainNumber } from '../units';

/** A table as text: a line of headings and lines of cells. */
export interface TextTable {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** The conductors of the circuits that are sized, one a line, lengths in metres. */
export function conductorList(assessed: readonly AssessedCircuit[]): TextTable {
  return {
    headings: [
      'Circuit',
      'Conductor',
      'From',
      'To',
      'Colour',
      'Size',
      'Length m',
      'Design A',
      'May carry A',
      'Resistance mOhm',
      'Drop V',
    ],
    rows: assessed.flatMap((circuit) => {
      if (circuit.status === 'incomplete') return [];
      return circuit.facts.conductors.map(({ planned, size, designA, ampacity, resistanceOhm, dropV }) => [
        circuit.circuit.name,
        planned.name,
        terminalInWords(circuit.plan, planned.from, circuit.circuit.panel?.posts),
        terminalInWords(circuit.plan, planned.to, circuit.circuit.panel?.posts),
        colourInWords(planned.colour),
        size,
        plainNumber(planned.lengthM, 3),
        plainNumber(designA, 2),
        plainNumber(ampacity.amps, 1),
        plainNumber(resistanceOhm * 1000, 2),
        plainNumber(dropV, 3),
      ]);
    }),
  };
}
