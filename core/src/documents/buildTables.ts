import type { BuildList } from '../build';
import { colourInWords } from '../schemes';
import { plainNumber } from '../units';
import type { TextTable } from './conductorList';

/** The cut list of a circuit, one conductor a line, lengths in metres. */
export function cutTable({ conductors }: BuildList): TextTable {
  return {
    headings: [
      'Conductor',
      'From',
      'To',
      'Size',
      'Colour',
      'Tape',
      'Insulation C',
      'Cable',
      'Route m',
      'Cut m',
      'As pulled m',
      'Label at from',
      'Label at to',
    ],
    rows: conductors.map((one) => [
      one.name,
      one.from.words,
      one.to.words,
      one.size,
      colourInWords(one.colour),
      one.band ? colourInWords(one.band) : '',
      plainNumber(one.insulationC, 0),
      one.cable ?? '',
      plainNumber(one.netM, 3),
      one.cutM === null ? 'comes with its part' : plainNumber(one.cutM, 2),
      one.pulledM === null ? '' : plainNumber(one.pulledM, 3),
      one.labels[0],
      one.labels[1],
    ]),
  };
}

/** The parts of a circuit, one a line. */
export function partsTable({ parts }: BuildList): TextTable {
  return {
    headings: ['Item', 'Quantity', 'Unit', 'Why'],
    rows: parts.map(({ item, quantity, unit, why }) => [item, plainNumber(quantity, 2), unit, why]),
  };
}
