import type { AssessedAlarm, AssessedPump } from '../assess';
import { buildList, type BuildList } from '../build';
import type { Job } from '../job';
import { cautions, jointSchools, ruleSets } from '../reference';
import { colourInWords, schemeOf } from '../schemes';
import { formatAmps, formatPercent, formatQuantity, plainNumber, type UnitSystem } from '../units';
import { heading, table, tickBox, type Paper, type Sheet, type SheetNode } from './sheetNodes';

/** What a sheet is made of. */
export interface SheetGround {
  readonly job: Job;
  readonly assessed: AssessedPump | AssessedAlarm;
  readonly units: UnitSystem;
  readonly paper: Paper;
  /** The drawing as an SVG text; null without one. */
  readonly svg: string | null;
  /** Where the job is found; null where it has no address. */
  readonly address: string | null;
  /** The day, in words. */
  readonly day: string;
  /** Version of the job; null where the server has none yet. */
  readonly version: number | null;
}

export const NOT_A_LICENCE =
  'These figures do not replace the boat’s rules, the insurer or a licensed marine electrician. Check the edition in force where you work.';

const words: Readonly<Record<'stop' | 'caution' | 'note', string>> = { stop: 'Stop', caution: 'Caution', note: 'Note' };

/** The sheet that goes aboard: everything it takes to wire the circuit from paper alone. */
export function jobSheet(ground: SheetGround): Sheet {
  const { job, assessed, paper, day, version } = ground;
  const { circuit } = assessed;
  const list = buildList(job, assessed);
  const title = `${job.boat.name}: ${circuit.name}`;
  return {
    paper,
    title: `${title}, job sheet`,
    head: [title, version === null ? day : `Version ${version} · ${day}`],
    foot: NOT_A_LICENCE,
    content: [
      front(ground),
      ...before(ground),
      ...findings(ground),
      ...drawing(ground),
      ...conductors(ground, list),
      ...joints(ground, list),
      ...steps(list),
      ...parts(ground, list),
      ...readings(ground),
    ],
  };
}

function front({ job, assessed, address, units }: SheetGround): SheetNode {
  const { circuit, facts } = assessed;
  const lines = [
    schemeOf(circuit).name,
    [job.boat.craft, job.boat.berth].filter(Boolean).join(' · '),
    ...(facts.kind === 'pump'
      ? [
          `Pump ${formatAmps(facts.designCurrentA)} · fuse ${formatAmps(facts.protection.ratingA)} · drop ${formatPercent(facts.dropPercent)} · ${ruleSets[facts.choices.rules ?? 'us'].name}`,
        ]
      : ['An alarm with a battery of its own.']),
    ...(job.boat.hullLengthM === undefined ? [] : [`Hull ${formatQuantity(job.boat.hullLengthM, 'length', units)}`]),
  ].filter((line) => line !== '');
  return {
    columns: [
      {
        width: '*',
        stack: [
          { text: 'Job sheet', font: 'AtkinsonBold', fontSize: 22 },
          ...lines.map((text) => ({ text, margin: [0, 3, 0, 0] })),
        ],
      },
      ...(address === null ? [] : [{ qr: address, fit: 92, width: 'auto', eccLevel: 'M' }]),
    ],
  };
}

function before({ job, assessed }: SheetGround): SheetNode[] {
  const pumped = assessed.status === 'sized';
  const texts = [
    ...assessed.wiredAs.filter(({ beforeWork }) => beforeWork).map(({ text }) => text),
    ...(pumped ? [cautions.proveDead, cautions.autoStart] : []),
    cautions.batteryBurns,
    ...(job.boat.petrol ? [cautions.fuelVapour] : []),
    cautions.shorePower,
  ];
  return [heading('Before work'), { ul: [...new Set(texts)] }];
}

function findings({ assessed }: SheetGround): SheetNode[] {
  if (assessed.findings.length === 0) return [heading('Findings'), 'Nothing is found against it.'];
  return [
    heading('Findings left'),
    ...assessed.findings.map(({ severity, message, source }): SheetNode => ({
      text: [{ text: `${words[severity]}: `, font: 'AtkinsonBold' }, message, { text: ` (${source})`, fontSize: 9 }],
      margin: [0, 0, 0, 4],
    })),
  ];
}

function drawing({ svg }: SheetGround): SheetNode[] {
  return svg === null
    ? []
    : [heading('The circuit', { pageBreak: 'before' }), { svg, fit: [500, 620], alignment: 'center' }];
}

/** A size that is not torn over two lines. */
const whole = (size: string) => size.replace(' ', '\u00a0');

function conductors({ units }: SheetGround, list: BuildList): SheetNode[] {
  const metres = (value: number) => formatQuantity(value, 'length', units);
  return [
    heading('Conductors', { pageBreak: 'before' }),
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
        { text: `${labels[0]}\n${labels[1]}`, fontSize: 8 },
      ]),
    ),
    ...list.spares.map(({ size, cutM, why }): SheetNode => `Spare core ${size}, ${metres(cutM)}: ${why}`),
    heading('Cable to order'),
    table(
      ['*', 'auto', 'auto'],
      ['Cable', 'Pieces', 'With a tenth more'],
      list.order.map(({ size, colour, metres: sum, pieces }) => [`${size}, ${colour}`, String(pieces), metres(sum)]),
    ),
  ];
}

function joints({ units }: SheetGround, list: BuildList): SheetNode[] {
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

function steps({ steps: all }: BuildList): SheetNode[] {
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

function parts({ units }: SheetGround, list: BuildList): SheetNode[] {
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

function readings({ assessed: { facts } }: SheetGround): SheetNode[] {
  if (facts.kind !== 'pump') return [];
  return [
    heading('What the meter shows while it runs'),
    table(
      ['*', 'auto', 'auto', 'auto'],
      ['At the battery', 'Across the pump', 'Through it', 'Read'],
      facts.supplies.map(({ supplyV, pumpV, pumpA }) => [
        `${supplyV.toFixed(1)} V`,
        `${pumpV.toFixed(2)} V`,
        formatAmps(pumpA),
        '__________ V   __________ A',
      ]),
    ),
  ];
}
