import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { HuntOrder } from '@harbor-latch/core/trace/hunt';
import type { Tracing } from '@harbor-latch/core/trace/tracing';
import { useState } from 'react';
import { View } from 'react-native';
import { useSymptoms } from '../../data/tracing';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { SuspectDrawing } from '../../drawing/SuspectDrawing';
import { FoldedCard } from '../../fields/FoldedCard';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { DrawingAndPanel } from '../../ui/DrawingAndPanel';
import { Notice } from '../../ui/Notice';
import type { Room } from '../../ui/room';
import { Words } from '../../ui/Words';
import { BeginHunt } from './BeginHunt';
import { HarnessCard } from './HarnessCard';
import { NextTest } from './NextTest';
import { SharesCard } from './SharesCard';
import { Suspects } from './Suspects';
import { useHunt, type HuntInHand } from './useHunt';

type Known = Exclude<AssessedCircuit, { status: 'incomplete' }>;

export interface TraceStationProps {
  readonly draft: Draft;
  readonly assessed: Known;
  readonly room: Room;
}

/** Hunts a fault: what it may be, and the test that is worth doing next. */
export function TraceStation({ draft, assessed, room }: TraceStationProps) {
  const [order, setOrder] = useState<HuntOrder>('best');
  const [chosen, setChosen] = useState<string | null>(null);
  const symptoms = useSymptoms(draft.job, assessed.circuit.id);
  const hunt = useHunt(draft, assessed, order);
  const units = useUnits();
  const { now, tracing, current } = hunt;
  const test = tracing?.next.find(({ id }) => id === chosen) ?? tracing?.next[0] ?? null;
  const drawn = room.beside || (now !== null && test?.between !== null && test !== null);
  const panel =
    !hunt.ready || symptoms === null ? (
      <Words role="status" muted>
        Working out what may be wrong with this circuit …
      </Words>
    ) : now === null ? (
      <>
        <BeginHunt symptoms={symptoms} story={hunt.story} onBegin={hunt.begin} />
        <SharesCard known={hunt.known} record={hunt.record} />
        <HarnessCard
          job={draft.job}
          circuit={assessed.circuit.id}
          conductors={assessed.plan.conductors}
          record={hunt.record}
        />
      </>
    ) : tracing === null ? (
      <>
        <Words role="status" muted>
          Working out what every test would read …
        </Words>
        <End hunt={hunt} />
      </>
    ) : (
      <>
        <Words
          kind="small"
          muted
        >{`${now.begun.body.words}. The bilge is reached ${now.begun.body.access === 'hard' ? 'with effort' : 'easily'}.`}</Words>
        {tracing.carried > 0 ? (
          <Words kind="small" muted>
            {tracing.carried === 1
              ? 'A reading of the open proof counts too.'
              : `${tracing.carried} readings of the open proof count too.`}
          </Words>
        ) : null}
        <How tracing={tracing} hunt={hunt} />
        {test ? (
          <NextTest
            key={test.id}
            test={test}
            others={tracing.next.filter(({ id }) => id !== test.id)}
            current={current}
            onRead={(answer) => {
              setChosen(null);
              void hunt.read(test, answer);
            }}
            onCannot={() => {
              setChosen(null);
              void hunt.cannot(test);
            }}
            onOther={setChosen}
          />
        ) : null}
        {tracing.next.length > 0 ? (
          <ChoiceRow label="Order of the tests" choices={orders(tracing)} value={order} onChoose={setOrder} />
        ) : null}
        <Words kind="heading" level={2}>
          What it may be
        </Words>
        <Suspects tracing={tracing} />
        <ReadSoFar hunt={hunt} />
        <SharesCard known={hunt.known} record={hunt.record} />
        <End hunt={hunt} />
      </>
    );
  const drawing = (
    <SuspectDrawing
      job={draft.job}
      assessed={assessed}
      test={now ? test : null}
      where={now ? (tracing?.where ?? []) : []}
      width={Math.min(560, room.drawingWidth)}
      units={units}
    />
  );
  return (
    <DrawingAndPanel room={room} drawing={drawn ? drawing : null} share="66%" of={test?.id ?? ''}>
      {panel}
    </DrawingAndPanel>
  );
}

const minutes = (value: number) => `${value < 10 ? value.toFixed(1) : Math.round(value)} min`;

const orders = ({ expectedMinutes, textbookMinutes }: Tracing) =>
  [
    { value: 'best', label: `Best next, about ${minutes(expectedMinutes)}` },
    { value: 'textbook', label: `From the source outward, ${minutes(textbookMinutes)}` },
  ] as const;

/** What can be said by now: a repair, that nothing fits, or that nothing tells more. */
function How({ tracing, hunt }: { readonly tracing: Tracing; readonly hunt: HuntInHand }) {
  const { settled, exhausted, unlisted, repairs } = tracing;
  const [first] = repairs;
  if (unlisted)
    return (
      <Notice tone="caution" icon="alert">
        What was read fits nothing in the list. Look for what nobody thinks of: a part that is not in the drawing,
        another circuit joined to this one, two faults at once. Read the strangest value again.
      </Notice>
    );
  if (!first || (!settled && !exhausted)) return null;
  return (
    <Card>
      <View style={{ padding: 14, gap: 10 }}>
        <Words kind="small" muted>
          {settled
            ? `${Math.round(first.share * 100)} % sure`
            : 'Nothing that can be done here tells more. Most likely'}
        </Words>
        <Words kind="heading" level={2}>
          {first.repair.words}
        </Words>
        {first.repair.buys && first.share < SURE_TO_BUY ? (
          <Words kind="small">Buy nothing yet: under 80 % a part is often bought in vain.</Words>
        ) : null}
        {hunt.advice(first).map((sentence) => (
          <Words key={sentence} kind="small">
            {sentence}
          </Words>
        ))}
        {!settled && repairs.length > 1 ? (
          <Words kind="small">{`Else: ${repairs
            .slice(1, 3)
            .map(({ repair, share }) => `${repair.words} ${Math.round(share * 100)} %`)
            .join(' · ')}`}</Words>
        ) : null}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <BigButton icon="check" onPress={() => void hunt.repaired(first, true)}>
            Done: it works again
          </BigButton>
          <BigButton mode="outlined" onPress={() => void hunt.repaired(first, false)}>
            Done: no better
          </BigButton>
        </View>
      </View>
    </Card>
  );
}

/** A part is advised from this share on. */
const SURE_TO_BUY = 0.8;

function ReadSoFar({ hunt }: { readonly hunt: HuntInHand }) {
  const readings = hunt.now?.readings ?? [];
  if (readings.length === 0) return null;
  return (
    <FoldedCard title="Read so far" summary={readings.length === 1 ? '1 reading' : `${readings.length} readings`}>
      {readings.map(({ entry: { id, body, by } }) => (
        <View key={id} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <View style={{ flex: 1, minWidth: 0 }}>
            <Words kind="small">{body.words}</Words>
            <Words kind="strong">{readWords(body.read)}</Words>
            {by === '' ? null : <Words kind="small" muted>{`By ${by}`}</Words>}
          </View>
          <BigButton mode="text" label={`Take back: ${body.words}`} onPress={() => hunt.takeBack(id)}>
            Take back
          </BigButton>
        </View>
      ))}
    </FoldedCard>
  );
}

type Read = NonNullable<HuntInHand['now']>['readings'][number]['entry']['body']['read'];

function readWords(read: Read): string {
  if ('cannot' in read) return 'Cannot be done';
  if ('fixed' in read) return read.fixed ? 'It works again' : 'No better';
  return 'said' in read ? read.said : `${read.value} ${read.unit}`;
}

function End({ hunt }: { readonly hunt: HuntInHand }) {
  return (
    <View style={{ alignItems: 'flex-start' }}>
      <BigButton mode="text" onPress={hunt.end}>
        End this hunt
      </BigButton>
    </View>
  );
}
