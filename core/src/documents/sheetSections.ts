import type { BuildList, OrderLine } from '../build';
import { cautions, jointSchools } from '../reference';
import { colourInWords } from '../schemes';
import { formatQuantity, plainNumber, type UnitSystem } from '../units';
import { heading, table, tickBox, type SheetNode } from './sheetNodes';

/** A size that is not torn over two lines. */
const whole = (size: string) => size.replace(' ', '\u00a0');

/** Every conductor with where it goes, what it is, and how long to cut it. */
export function conductorSection(list: BuildList, units: UnitSystem): SheetNode[] {
  const metres = (value: number) => formatQuantity(value, 'length', units);
  return [
    heading('Conductors'),
    table(
      ['*', 'auto', 'auto', 'auto', 'auto'],
      ['Conductor, from and to', 'Size', 'Colour', 'Cut', 'Labels'],
      list.conductors.map(({ name, from, to, size, colour, band, cutM, pulledM, cable, labels }) => [
        {
          stack: [
            { text: name, font: 'AtkinsonMedium' },
            { text: `${from.words} to ${to.words}`, fontSize: 9 },
          ],
        },
        whole(size),
        {
          stack: [
            colourInWords(colour),
            ...(band ? [{ text: `tape ${colourInWords(band)}`, fontSize: 9 }] : []),
            ...(cable ? [{ text: 'core of a cable', fontSize: 9 }] : []),
          ],
        },
        {
          stack: [
            { text: cutM === null ? 'with its part' : metres(cutM), font: 'AtkinsonBold' },
            ...(pulledM === null ? [] : [{ text: `as pulled ${metres(pulledM)}`, fontSize: 9 }]),
          ],
        },
        { stack: labels.map((text) => ({ text, fontSize: 8, noWrap: true })) },
      ]),
    ),
    ...list.spares.map(({ size, cutM, why }): SheetNode => `Spare core ${size}, ${metres(cutM)}: ${why}`),
    heading('Cable to order'),
    orderTable(list.order, units),
  ];
}

/** Every joint: what meets in it, and how it is made. */
export function jointSection(list: BuildList, units: UnitSystem): SheetNode[] {
  const small = (value: number) => formatQuantity(value, 'shortLength', units);
  return [
    heading('Joints'),
    table(
      [44, '*', 86, 74, 74],
      ['Joint', 'What meets', 'How', 'Strip, sleeve', 'Pull'],
      list.joints.map(
        ({ name, conductors: who, how, barrel, school, stripM, sleeve, sealant, pullN, tugN, because }) => [
          { text: name, font: 'AtkinsonMedium' },
          {
            stack: [
              who.map((one) => `${one.name} (${one.size}${one.assumed ? ', assumed' : ''})`).join(' + '),
              ...(because ? [{ text: because, fontSize: 9 }] : []),
            ],
          },
          how === 'block'
            ? 'block or stud'
            : `${barrel ? `${barrel.colour} barrel` : jointSchools[school].name}${how === 'step-down' ? ', step-down' : ''}${sealant ? ', sealant' : ''}`,
          stripM === null ? '' : `${small(stripM)}${sleeve ? `, ${small(sleeve.lengthM)}` : ''}`,
          pullN === null || tugN === null ? '' : `${pullN} N, tug ${plainNumber(tugN, 0)} N`,
        ],
      ),
    ),
  ];
}

/** Steps with a box each. */
export function stepSection({ steps: all }: BuildList): SheetNode[] {
  return [
    heading('Steps'),
    ...all.map(({ text, minutes, waitFor, waitHours, cautions: keys }) =>
      tickBox({
        text: [
          text,
          { text: minutes > 0 ? ` ${minutes} min.` : '', fontSize: 9 },
          ...(waitFor
            ? [{ text: ` Then ${waitFor.toLowerCase()}: ${waitHours} h at 20 °C, twice that at 10 °C.`, fontSize: 9 }]
            : []),
          ...keys.map((key) => ({ text: ` ${cautions[key]}`, fontSize: 9, italics: false })),
        ],
      }),
    ),
  ];
}

/** Parts with what each is for, then the tools. */
export function partSection(list: BuildList, units: UnitSystem): SheetNode[] {
  return [
    heading('Parts'),
    table(
      [52, '*', '*'],
      ['Number', 'What', 'Why'],
      list.parts.map(({ item, quantity, unit, why }) => [
        unit === 'm' ? formatQuantity(quantity, 'length', units) : String(quantity),
        { text: item, font: 'AtkinsonMedium' },
        { text: why, fontSize: 9 },
      ]),
    ),
    heading('Tools'),
    list.tools.join(' · '),
  ];
}

/** What is to be bought of cable. */
function orderTable(order: readonly OrderLine[], units: UnitSystem): SheetNode {
  return table(
    ['*', 'auto', 'auto'],
    ['Cable', 'Pieces', 'With a tenth more'],
    order.map(({ size, colour, metres, pieces }) => [
      `${size}, ${colour}`,
      String(pieces),
      formatQuantity(metres, 'length', units),
    ]),
  );
}
