import type { Outcome } from '@harbor-latch/core/prove/proofList';
import type { Read } from '@harbor-latch/core/prove/verdict';
import { useState } from 'react';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { StandingBadge } from '../../ui/Standing';
import { TextDialog } from '../../ui/TextDialog';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { ReadingPad, type PadText } from '../../fields/ReadingPad';
import { Litres, PouredWater } from './PouredWater';
import { SeenAnswers } from './SeenAnswers';
import { Stopwatch, WaitClock } from './Stopwatch';
import { expectedWords, instrumentWords, outcomeLook, placeWords, readWords } from './words';

export interface TestCardProps {
  readonly outcome: Outcome;
  /** “7 of 28”. */
  readonly place: string;
  readonly onRead: (read: Read) => void;
  readonly onLeaveOut: (reason: string) => void;
  readonly onNote: (note: string) => void;
  readonly onPhotograph: () => void;
  readonly onNext: () => void;
  /** Goes after what a miss may mean. */
  readonly onTrace: () => void;
}

/** One test: how the circuit is set, where to touch, what was read, and what that means. */
export function TestCard({ outcome, place, onRead, onLeaveOut, onNote, onPhotograph, onNext, onTrace }: TestCardProps) {
  const { test } = outcome;
  const [again, setAgain] = useState(false);
  const done = outcome.outcome !== 'not done' && outcome.outcome !== 'stands' && !again;
  const read = (what: Read) => {
    setAgain(false);
    onRead(what);
  };
  return (
    <View style={{ gap: 10 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        <StandingBadge
          standing={test.power === 'dead' ? 'note' : 'caution'}
          word={test.power === 'dead' ? (test.place === 'bench' ? 'No power' : 'Dead') : 'Live'}
        />
        <Words kind="small" muted>{`${place} · ${placeWords[test.place]} · ${instrumentWords[test.instrument]}`}</Words>
      </View>
      <Words kind="heading" level={2}>
        {test.text}
      </Words>
      {done ? (
        <Verdict
          outcome={outcome}
          onAgain={() => setAgain(true)}
          onNext={onNext}
          onNote={onNote}
          onPhotograph={onPhotograph}
          onTrace={onTrace}
        />
      ) : (
        <Ask key={test.id} outcome={outcome} onRead={read} onLeaveOut={onLeaveOut} />
      )}
    </View>
  );
}

function Ask({
  outcome: { test, outcome },
  onRead,
  onLeaveOut,
}: {
  readonly outcome: Outcome;
  readonly onRead: (read: Read) => void;
  readonly onLeaveOut: (reason: string) => void;
}) {
  const palette = usePalette();
  const [shown, setShown] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const [typed, setTyped] = useState<PadText>({ text: '', unit: '' });
  const [litres, setLitres] = useState(test.litres ?? 0);
  const { expect } = test;
  const timed = test.instrument === 'bucket and watch' || test.instrument === 'watch';
  return (
    <>
      {outcome === 'stands' ? (
        <Words kind="small" muted>
          {outcomeLook.stands.word}. It may be read anew.
        </Words>
      ) : null}
      {test.waitS === undefined ? null : <WaitClock seconds={test.waitS} />}
      {test.litres === undefined || 'state' in expect ? null : <Litres litres={litres} onLitres={setLitres} />}
      {test.filling ? <PouredWater filling={test.filling} /> : null}
      {timed ? <Stopwatch onSeconds={(seconds) => setTyped({ text: String(seconds), unit: 's' })} /> : null}
      {'state' in expect ? (
        <SeenAnswers expect={expect} onRead={onRead} />
      ) : (
        <ReadingPad test={test} expect={expect} litres={litres} typed={typed} onTyped={setTyped} onRead={onRead} />
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 4 }}>
        <PressRow
          label={shown ? 'Hide what is expected' : 'Show what is expected'}
          onPress={() => setShown(!shown)}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: 6,
            paddingHorizontal: 8,
            borderRadius: 10,
            flexShrink: 1,
          }}
        >
          <Icon name={shown ? 'eye-off-outline' : 'eye-outline'} size={20} color={palette.accent} />
          <Words kind="small" color={palette.accent} style={{ flexShrink: 1 }}>
            {shown ? `Expected: ${expectedWords(test)}` : 'Show what is expected'}
          </Words>
        </PressRow>
        <BigButton mode="text" onPress={() => setLeaving(true)}>
          Leave out
        </BigButton>
      </View>
      {shown && test.widenedBy.length > 0 ? (
        <Words kind="small" muted>{`Wider for: ${test.widenedBy.join(', ')}.`}</Words>
      ) : null}
      {leaving ? (
        <TextDialog
          title="Leave this test out"
          label="Why"
          first=""
          most={300}
          least={1}
          onText={(reason) => {
            setLeaving(false);
            onLeaveOut(reason);
          }}
          onClose={() => setLeaving(false)}
        />
      ) : null}
    </>
  );
}

function Verdict({
  outcome,
  onAgain,
  onNext,
  onNote,
  onPhotograph,
  onTrace,
}: {
  readonly outcome: Outcome;
  readonly onTrace: () => void;
  readonly onAgain: () => void;
  readonly onNext: () => void;
  readonly onNote: (note: string) => void;
  readonly onPhotograph: () => void;
}) {
  const palette = usePalette();
  const [noting, setNoting] = useState(false);
  const look = outcomeLook[outcome.outcome];
  const { reading, leftOut } = outcome;
  const entry = reading ?? leftOut;
  const { note, photographs } = reading?.body ?? {};
  return (
    <>
      <View role="status" style={{ backgroundColor: palette[look.ground], borderRadius: 12, padding: 14, gap: 6 }}>
        <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
          <Icon name={look.icon} color={palette[look.ink]} />
          <Words kind="strong" color={palette[look.ink]}>
            {look.word}
          </Words>
        </View>
        {reading ? <Words kind="figure">{readWords(outcome)}</Words> : null}
        {reading ? <Words kind="small">{`Expected: ${expectedWords(outcome.test)}`}</Words> : null}
        {outcome.words === '' ? null : <Words kind="small">{outcome.words}</Words>}
        {entry && entry.by !== '' ? <Words kind="small" muted>{`Read by ${entry.by}`}</Words> : null}
        {note === undefined ? null : <Words kind="small">{`Note: ${note}`}</Words>}
        {photographs === undefined ? null : (
          <Words kind="small" muted>
            {photographs.length === 1 ? '1 photograph hangs on it' : `${photographs.length} photographs hang on it`}
          </Words>
        )}
        {outcome.others.map(({ id, by, body }) => (
          <Words key={id} kind="small" muted>
            {`Also read${by === '' ? '' : ` by ${by}`}: ${readWords({ reading: { body } })}`}
          </Words>
        ))}
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <BigButton icon="arrow-right" onPress={onNext}>
          Next test
        </BigButton>
        <BigButton mode="outlined" onPress={onAgain}>
          {leftOut && !reading ? 'Do it after all' : 'Read again'}
        </BigButton>
      </View>
      {reading ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {outcome.outcome === 'miss' ? (
            <BigButton mode="text" icon="magnify" onPress={onTrace}>
              Trace it
            </BigButton>
          ) : null}
          <BigButton mode="text" icon="note" onPress={() => setNoting(true)}>
            Note
          </BigButton>
          <BigButton mode="text" icon="camera-plus-outline" onPress={onPhotograph}>
            Photograph
          </BigButton>
        </View>
      ) : null}
      {noting ? (
        <TextDialog
          title="Note beside this reading"
          label="Note"
          first=""
          most={1000}
          least={1}
          onText={(text) => {
            setNoting(false);
            onNote(text);
          }}
          onClose={() => setNoting(false)}
        />
      ) : null}
    </>
  );
}
