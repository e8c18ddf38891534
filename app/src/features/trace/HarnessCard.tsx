import { judgeColour } from '@harbor-latch/core/build/colours';
import { insulationColours, type Continuity, type Job } from '@harbor-latch/core/job/index';
import { cautions } from '@harbor-latch/core/reference/index';
import { colourFromWords, colourInWords } from '@harbor-latch/core/schemes/colourInWords';
import type { PlannedConductor } from '@harbor-latch/core/schemes/index';
import type { HarnessFound, HarnessQuestion } from '@harbor-latch/core/trace/harness';
import { useState } from 'react';
import { View } from 'react-native';
import { useHarness } from '../../data/tracing';
import { FoldedCard } from '../../fields/FoldedCard';
import { More } from '../../fields/More';
import type { Recorder } from '../../records/useRecords';
import { BigButton } from '../../ui/BigButton';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Notice } from '../../ui/Notice';
import { useSay } from '../../ui/Said';
import { Words } from '../../ui/Words';
import { harnessKept, keepHarness, type KeptHarness } from './harnessKept';

const answers: readonly { readonly reads: Continuity; readonly label: string }[] = [
  { reads: 'beeps', label: 'Near nothing, it beeps' },
  { reads: 'some', label: 'Some ohms, as of a motor' },
  { reads: 'none', label: 'Nothing, open' },
];
const MOST_WIRES = 5;
const NOT_SEEN = '';
const colours: readonly string[] = [NOT_SEEN, ...insulationColours];

type Found = Extract<HarnessFound, { kind: 'found' }>;

interface HarnessProps {
  readonly job: Job;
  readonly circuit: string;
  readonly conductors: readonly PlannedConductor[];
  readonly record: Recorder;
}

/** Tells the unknown wires that come out of a bilge apart, by ohms between two of them at a time. */
export function HarnessCard(props: HarnessProps) {
  const { circuit } = props;
  const [kept, setKept] = useState(() => harnessKept(circuit));
  const count = kept.readings.length;
  return (
    <FoldedCard
      title="Wires that nobody knows"
      summary={count === 0 ? 'Tell them apart with an ohmmeter' : count === 1 ? '1 reading' : `${count} readings`}
    >
      <Wires
        {...props}
        kept={kept}
        onKeep={(next) => {
          keepHarness(circuit, next);
          setKept(next);
        }}
      />
    </FoldedCard>
  );
}

/** Worked out only while it is looked at. */
function Wires({
  job,
  circuit,
  conductors,
  record,
  kept,
  onKeep: keep,
}: HarnessProps & { readonly kept: KeptHarness; readonly onKeep: (kept: KeptHarness) => void }) {
  const say = useSay();
  const told = useHarness(job, circuit, kept.wires, kept.readings);
  if (!told)
    return (
      <Words role="status" muted>
        Working out what every pair would read …
      </Words>
    );
  const { least, found } = told;
  const wires = Math.max(least, kept.wires ?? least);
  const counts = Array.from({ length: MOST_WIRES - least + 1 }, (_, at) => String(least + at));
  const { readings } = kept;
  const current = told.wires === wires && told.read === readings.length;
  return (
    <>
      <Words kind="small" muted>
        {`${cautions.proveDead} Take the wires off their posts at the panel, strip their ends, and number them as they lie. What they are joined to in the bilge stays on.`}
      </Words>
      <ChoiceRow
        label="How many come out"
        value={String(wires)}
        choices={counts.map((value) => ({ value, label: value }))}
        onChoose={(value) => keep({ wires: Number(value), readings: [], colours: kept.colours })}
      />
      <More title="Their colours" summary={kept.colours.filter((one) => one !== NOT_SEEN).join(', ') || 'not seen yet'}>
        {Array.from({ length: wires }, (_, at) => (
          <ChoiceRow
            key={at}
            label={`Colour of wire ${at + 1}`}
            value={kept.colours[at] ?? ''}
            choices={colours.map((value) => ({ value, label: value === NOT_SEEN ? 'Not seen' : value }))}
            onChoose={(value) =>
              keep({
                ...kept,
                colours: Array.from({ length: wires }, (_one, of) => (of === at ? value : (kept.colours[of] ?? ''))),
              })
            }
          />
        ))}
      </More>
      {current ? null : (
        <Words role="status" muted>
          Looking for the best question …
        </Words>
      )}
      {current && found.kind === 'asking' ? (
        <Question
          question={found.question}
          left={found.left}
          most={found.most}
          colours={kept.colours}
          onRead={(reads) => keep({ ...kept, readings: [...readings, { ...found.question, reads }] })}
        />
      ) : null}
      {current && found.kind === 'found' ? (
        <Told
          found={found}
          colours={kept.colours}
          conductors={conductors}
          onRecord={async (words) => {
            const row = await record('note', circuit, { words });
            say('In the log', () => void record('withdrawn', circuit, { entry: row.id }));
          }}
        />
      ) : null}
      {current && found.kind === 'faulty' ? (
        <Notice tone="stop" icon="alert-octagon">
          Nothing with at most one broken wire reads so. Take the last reading back and read it again; then look for two
          broken wires, or for a part in the bilge that is not in the drawing.
        </Notice>
      ) : null}
      {readings.length > 0 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <BigButton mode="text" icon="undo" onPress={() => keep({ ...kept, readings: readings.slice(0, -1) })}>
            {`Take the last of ${readings.length} back`}
          </BigButton>
        </View>
      ) : null}
    </>
  );
}

const wireName = (at: number, colours: readonly string[]) => `wire ${at + 1}${colours[at] ? ` (${colours[at]})` : ''}`;

function Question({
  question: { a, b, lifted },
  left,
  most,
  colours,
  onRead,
}: {
  readonly question: HarnessQuestion;
  readonly left: number;
  readonly most: number | null;
  readonly colours: readonly string[];
  readonly onRead: (reads: Continuity) => void;
}) {
  return (
    <>
      <Words kind="strong">{`${lifted === 'up' ? 'Float lifted' : 'Float down'}. One probe on ${wireName(a, colours)}, the other on ${wireName(b, colours)}.`}</Words>
      <Words kind="small" muted>
        {`${left} ways are left${most === null ? '' : `, at most ${most === 1 ? '1 question' : `${most} questions`}`}.`}
      </Words>
      <View style={{ gap: 8, alignItems: 'stretch' }}>
        {answers.map(({ reads, label }) => (
          <BigButton key={reads} mode="outlined" onPress={() => onRead(reads)}>
            {label}
          </BigButton>
        ))}
      </View>
    </>
  );
}

/** Which wire is which, and the bands and labels to put on. */
function Told({
  found: { ways, labels },
  colours,
  conductors,
  onRecord,
}: {
  readonly found: Found;
  readonly colours: readonly string[];
  readonly conductors: readonly PlannedConductor[];
  readonly onRecord: (words: string) => Promise<void>;
}) {
  const [first] = ways;
  const broken =
    first === undefined || first.broken === null
      ? null
      : (conductors.find(({ id }) => id === first.broken)?.name ?? null);
  const rows = labels.map(({ role, name }, at) => {
    const planned = conductors.find(({ id }) => id === role);
    return { at, name, todo: planned ? bandWords(planned, colours[at] ?? '') : '' };
  });
  return (
    <>
      {rows.map(({ at, name, todo }) => (
        <View key={at}>
          <View style={{ flexDirection: 'row', gap: 10 }}>
            <Words style={{ flex: 1, minWidth: 0 }}>{capital(wireName(at, colours))}</Words>
            <Words kind="strong">{name}</Words>
          </View>
          {todo === '' ? null : <Words kind="small">{todo}</Words>}
        </View>
      ))}
      {broken ? (
        <Notice tone="caution" icon="alert">
          {`${broken} is broken on its way into the bilge: it reads nothing to any other.`}
        </Notice>
      ) : null}
      {ways.length > 1 ? (
        <Words kind="small">
          {`${ways.length} ways read the same. Last resort: the negative that is found to the battery’s, then 12 V through a test lamp and a 3 A fuse, touched to each of the others for a moment. Hands off the pump: it may start.`}
        </Words>
      ) : null}
      <View style={{ alignItems: 'flex-start' }}>
        <BigButton
          icon="note"
          mode="outlined"
          onPress={() =>
            void onRecord(
              `Wires told apart: ${rows.map(({ at, name }) => `${wireName(at, colours)} is ${name}`).join(', ')}${broken ? `; ${broken} is broken` : ''}.`,
            )
          }
        >
          Write it into the log
        </BigButton>
      </View>
    </>
  );
}

/** What is put on a wire: bands where its colour is another than planned, and its label. */
function bandWords(planned: PlannedConductor, seen: string): string {
  const colour = colourFromWords(seen);
  if (!colour) return `By the plan ${colourInWords(planned.colour)}. Label both ends “${planned.name}”.`;
  return `${judgeColour(planned, { ...colour, banded: true }).message} Label both ends “${planned.name}”.`;
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
