import type { YardOrder } from '../build';
import { plainNumber } from '../units';
import type { TextTable } from './conductorList';

/** What is to be ordered for all open jobs, cable in metres and then parts. */
export function orderTable({ cable, parts }: YardOrder): TextTable {
  return {
    headings: ['Item', 'Quantity', 'Unit', 'In the stock', 'For'],
    rows: [
      ...cable.map(({ size, colour, metres, pieces }) => [
        `Cable ${size}, ${colour}`,
        plainNumber(metres, 1),
        'm',
        '',
        `${pieces} pieces and a tenth more`,
      ]),
      ...parts.map(({ item, missing, unit, there, boats }) => [
        item,
        plainNumber(missing, 2),
        unit,
        plainNumber(there, 2),
        boats.join(', '),
      ]),
    ],
  };
}
