import type { BodyOf, EntryOf } from '../records';
import { NOT_A_LICENCE, heading, table, type Paper, type Sheet, type SheetNode } from './sheetNodes';

/** A signed proof, and where it stands in the chain. */
export interface CertificateGround {
  readonly proof: Pick<EntryOf<'proof'>, 'body' | 'madeAt' | 'by' | 'device'>;
  /** The entry's own hash. */
  readonly fingerprint: string;
  /** Its number and hash in the boat's chain; null while the server does not have it. */
  readonly link: { readonly number: number; readonly chainHash: string } | null;
  readonly boatName: string;
  readonly circuitName: string;
  readonly paper: Paper;
  /** Where it can be checked; null where it has no address. */
  readonly address: string | null;
  /** A time of the record in words. */
  readonly timeInWords: (iso: string) => string;
}

const outcomes: Readonly<Record<BodyOf<'proof'>['tests'][number]['outcome'], string>> = {
  pass: 'As expected',
  stands: 'Stands from the proof before',
  look: 'To be looked at again',
  miss: 'Missed',
  noted: 'Noted',
  'left out': 'Left out',
  'not done': 'Not done',
};
const severities = { stop: 'Stop', caution: 'Caution', note: 'Note' } as const;

type Tested = BodyOf<'proof'>['tests'][number];

const figure = (value: number) => String(Number(value.toPrecision(4)));
const readOf = ({ read }: Tested) =>
  read === null ? '–' : 'said' in read ? read.said : `${figure(read.value)} ${read.unit}`;
const expectedOf = ({ expect }: Tested) =>
  'state' in expect ? expect.state : `${figure(expect.low)} to ${figure(expect.high)} ${expect.unit}`;

/** The certificate of a proof for owner or insurer: what was read against what was expected, and how to check that nothing of it was altered. */
export function certificateSheet(ground: CertificateGround): Sheet {
  const { proof, boatName, circuitName, paper, fingerprint } = ground;
  const { body } = proof;
  const title = `${boatName}: ${circuitName}`;
  const when = ground.timeInWords(proof.madeAt);
  return {
    paper,
    title: `${title}, certificate`,
    head: [title, when],
    foot: `Fingerprint ${fingerprint}`,
    content: [
      front(ground, when),
      heading('Readings'),
      table(
        ['*', 96, 96, 84],
        ['Test', 'Expected', 'Read', 'Verdict'],
        body.tests.map((test) => [
          { text: test.words, fontSize: 9.5 },
          { text: expectedOf(test), fontSize: 9.5 },
          { text: readOf(test), font: 'AtkinsonMedium', fontSize: 9.5 },
          {
            text: test.outcome === 'left out' && test.reason ? `Left out: ${test.reason}` : outcomes[test.outcome],
            fontSize: 9.5,
          },
        ]),
      ),
      ...(body.accepted.length > 0
        ? [
            heading('Findings that stood open, and why they were accepted'),
            table(
              [48, '*', 170],
              ['', 'Finding', 'Accepted because'],
              body.accepted.map(({ severity, message, reason }) => [severities[severity], message, reason]),
            ),
          ]
        : []),
      ...(body.note === undefined ? [] : [heading('Remark'), body.note]),
      heading('How it is checked'),
      checked(ground),
      { text: NOT_A_LICENCE, margin: [0, 10, 0, 0], fontSize: 9 },
    ],
  };
}

function front({ proof, boatName, circuitName, fingerprint, address }: CertificateGround, when: string): SheetNode {
  const { body } = proof;
  const { restingV, runningV } = body.battery;
  const battery = [
    ...(restingV === undefined ? [] : [`${figure(restingV)} V at rest`]),
    ...(runningV === undefined ? [] : [`${figure(runningV)} V while the pump ran`]),
  ];
  const people = [...new Set(body.tests.flatMap(({ by }) => (by === undefined || by === '' ? [] : [by])))];
  return {
    columns: [
      {
        width: '*',
        stack: [
          { text: body.result === 'proved' ? 'Proved' : 'Not proved', font: 'AtkinsonBold', fontSize: 24 },
          { text: `${boatName}, ${circuitName}`, font: 'AtkinsonMedium', fontSize: 13 },
          ...[
            body.phase === 'bench' ? 'Bench test, before anything was in the boat' : 'In the boat, as built',
            `Signed by ${body.name}${body.role === undefined ? '' : `, ${body.role}`}, ${when}`,
            ...(people.length > 0 ? [`Read by ${people.join(', ')}`] : []),
            ...(battery.length > 0 ? [`Battery ${battery.join(', ')}`] : []),
          ].map((text) => ({ text, margin: [0, 3, 0, 0] })),
        ],
      },
      { qr: address === null ? fingerprint : `${address}#${fingerprint}`, fit: 96, width: 'auto', eccLevel: 'M' },
    ],
  };
}

function checked({ proof, fingerprint, link }: CertificateGround): SheetNode {
  return {
    stack: [
      { text: `Fingerprint of this record (SHA-256): ${fingerprint}`, font: 'AtkinsonMedium' },
      `Hash of the job as it stood: ${proof.body.jobHash}`,
      `Key of the device that signed it (Ed25519): ${proof.device}`,
      link === null
        ? 'Not yet in the boat’s chain: it was printed before the yard’s server had it.'
        : `Number ${link.number} in the boat’s chain, hash ${link.chainHash}.`,
      'The boat’s records in one file, checked with this fingerprint, show whether anything in them was altered, removed, moved or added since.',
    ].map((line) =>
      typeof line === 'string' ? { text: line, margin: [0, 2, 0, 0], fontSize: 9 } : { ...line, fontSize: 9 },
    ),
  };
}
