import { batteryOf, type AssessedAlarm, type AssessedPump } from '../assess';
import { buildList } from '../build';
import { circuitDiagram } from '../drawing/circuitDiagram';
import { svgForPaper } from '../drawing/svgText';
import type { Job } from '../job';
import { otherPumps } from '../prove/proving';
import { cautions, ruleSets } from '../reference';
import { schemeOf } from '../schemes';
import { formatAmps, formatPercent, formatQuantity, type UnitSystem } from '../units';
import { readingRows } from './readingRows';
import { heading, NOT_A_LICENCE, onNewPage, type Paper, type Sheet, type SheetNode } from './sheetNodes';
import { conductorSection, jointSection, partSection, stepSection } from './sheetSections';

/** What a sheet is made of. */
export interface SheetGround {
  readonly job: Job;
  readonly assessed: AssessedPump | AssessedAlarm;
  readonly units: UnitSystem;
  readonly paper: Paper;
  /** Where the job is found; null where it has no address. */
  readonly address: string | null;
  /** The day, in words. */
  readonly day: string;
  /** Version of the job; null where the server has none yet. */
  readonly version: number | null;
}

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
      onNewPage,
      ...conductorSection(list, ground.units),
      ...jointSection(list, ground.units),
      ...stepSection(list),
      ...partSection(list, ground.units),
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
          { text: circuit.name, font: 'AtkinsonMedium', fontSize: 13 },
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

function drawing({ job, assessed, units }: SheetGround): SheetNode[] {
  const diagram = circuitDiagram(assessed, batteryOf(job, assessed.circuit), units);
  const svg = svgForPaper(diagram, assessed.circuit.name);
  return [onNewPage, heading('The circuit'), { svg, fit: [500, 620], alignment: 'center' }];
}

function readings({ job, assessed }: SheetGround): SheetNode[] {
  return [
    onNewPage,
    heading('What every meter must show'),
    {
      text: `With the battery as surveyed. At another one the page reckons each window anew. ${cautions.proveDead}`,
      margin: [0, 0, 0, 6],
      fontSize: 9.5,
    },
    readingRows(assessed, 'commission', otherPumps(job, assessed.circuit.id)),
  ];
}
