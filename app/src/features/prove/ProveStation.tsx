import { nextTest, type Outcome } from '@harbor-latch/core/prove/proofList';
import type { ProvePhase } from '@harbor-latch/core/prove/proveTest';
import { judged, type Read } from '@harbor-latch/core/prove/verdict';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { useState } from 'react';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { BigButton } from '../../ui/BigButton';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { DrawingAndPanel } from '../../ui/DrawingAndPanel';
import { Notice } from '../../ui/Notice';
import type { Room } from '../../ui/room';
import { usePalette } from '../../ui/theme';
import { ToolTabs } from '../../ui/ToolTabs';
import { Words } from '../../ui/Words';
import { BeginProof } from './BeginProof';
import { LastStrip, type LastRead } from './LastStrip';
import { ProofDrawing } from './ProofDrawing';
import { ProofListView } from './ProofListView';
import { ProofNotices } from './ProofNotices';
import { SignedProof } from './SignedProof';
import { SignPanel, sumWords } from './SignPanel';
import { TestCard } from './TestCard';
import { useProof } from './useProof';
import { useProofHand } from './useProofHand';
import { WindowsCard } from './WindowsCard';

type Known = Exclude<AssessedCircuit, { status: 'incomplete' }>;

const phases = [
  { value: 'bench', label: 'On the bench' },
  { value: 'commission', label: 'In the boat' },
] as const;

type Tool = 'test' | 'list' | 'sign';
const tools: readonly { readonly key: Tool; readonly name: string }[] = [
  { key: 'test', name: 'Test' },
  { key: 'list', name: 'All tests' },
  { key: 'sign', name: 'Sign' },
];

export interface ProveStationProps {
  readonly draft: Draft;
  readonly assessed: Known;
  readonly room: Room;
  /** Goes to where a fault is hunted. */
  readonly onTrace: () => void;
}

/** Proves a circuit: one test at a time, what was read against what it must show, and the signature. */
export function ProveStation({ draft, assessed, room, onTrace }: ProveStationProps) {
  const [phase, setPhase] = useState<ProvePhase>('commission');
  const proof = useProof(draft, assessed.circuit.id, phase);
  const [tool, setTool] = useState<Tool>('test');
  const [chosen, setChosen] = useState<string | null>(null);
  const [last, setLast] = useState<LastRead | null>(null);
  const [writing, setWriting] = useState(false);
  const { now, list, ready } = proof;
  const open = now.begun.length > 0;
  const current = open ? (list.find(({ test }) => test.id === chosen) ?? nextTest(list, null)) : null;
  const hand = useProofHand({ draft, circuit: assessed.circuit.id, phase, proof });
  const palette = usePalette();
  const show = (id: string | null) => {
    setChosen(id);
    setTool('test');
  };
  const goNext = (after: string) => {
    const next = nextTest(list, after);
    if (next && next.test.id !== after) show(next.test.id);
    else setTool('sign');
  };
  const onRead = (outcome: Outcome, read: Read) => {
    setLast(null);
    setWriting(true);
    void hand
      .read(outcome, read)
      .then(setLast)
      .finally(() => setWriting(false));
    // What is as expected asks for nothing more: the next one comes.
    if (judged(outcome.test, read).verdict === 'pass') goNext(outcome.test.id);
    else show(outcome.test.id);
  };
  const drawn =
    room.beside ||
    (tool === 'test' &&
      current !== null &&
      (current.test.between ?? current.test.at) !== undefined &&
      current.test.place !== 'bench');
  // Over the drawing where there is one: nothing moves for it.
  const beside = drawn;
  const strip = (
    <LastStrip
      last={last}
      onUndo={() => {
        if (!last) return;
        hand.takeBack(last.entry);
        setLast(null);
        show(last.test);
      }}
    />
  );
  const phaseRow = <ChoiceRow label="Where it is proved" choices={phases} value={phase} onChoose={setPhase} />;
  const panel = !ready ? (
    <Words role="status" muted>
      Working out what every meter must show …
    </Words>
  ) : !open && now.signed ? (
    <>
      {phaseRow}
      <SignedProof proof={proof} draft={draft} circuit={assessed.circuit} onAgain={() => void hand.begin()} />
    </>
  ) : !open ? (
    <>
      {phaseRow}
      <BeginProof
        phase={phase}
        count={list.filter(({ test }) => test.needed).length}
        onBegin={() => void hand.begin()}
      />
    </>
  ) : (
    <>
      {beside || !(tool === 'test' || last || writing) ? null : strip}
      <ProofNotices proof={proof} />
      {tool === 'list' ? (
        <>
          {phaseRow}
          <Words>{sumWords(proof.sum)}</Words>
          <ProofListView list={list} onOpen={show} />
          <WindowsCard windows={proof.windows} record={proof.record} />
        </>
      ) : null}
      {tool === 'sign' ? (
        <SignPanel
          sum={proof.sum}
          findings={assessed.findings}
          onSign={(signing) => {
            void hand.sign(signing);
            setTool('test');
            setChosen(null);
          }}
        />
      ) : null}
      {tool === 'test' && current ? (
        <TestCard
          key={current.test.id}
          outcome={current}
          place={placeOf(list, current)}
          onRead={(read) => onRead(current, read)}
          onLeaveOut={(reason) => {
            void hand.leaveOut(current, reason);
            goNext(current.test.id);
          }}
          onNote={(note) => void hand.note(current, note)}
          onPhotograph={() => hand.photograph(current)}
          onNext={() => goNext(current.test.id)}
          onTrace={onTrace}
        />
      ) : null}
      {tool === 'test' && !current ? (
        <Notice
          tone="note"
          icon="check-circle"
          actions={<BigButton onPress={() => setTool('sign')}>To the signature</BigButton>}
        >
          {`Nothing is left to be done. ${sumWords(proof.sum)}`}
        </Notice>
      ) : null}
    </>
  );
  const tabs = open ? (
    <View style={{ flexDirection: 'row', borderBottomWidth: 1, borderColor: palette.line }}>
      <ToolTabs label="The proof" tools={tools} chosen={tool} onChoose={setTool} />
    </View>
  ) : null;
  const drawing = (
    <ProofDrawing
      over={last ? strip : null}
      job={draft.job}
      assessed={assessed}
      test={tool === 'test' ? (current?.test ?? null) : null}
      width={Math.min(560, room.drawingWidth)}
    />
  );
  return (
    <DrawingAndPanel
      room={room}
      drawing={drawn ? drawing : null}
      share="69%"
      of={`${tool} ${tool === 'test' ? (current?.test.id ?? '') : ''}`}
      tabs={tabs}
    >
      {panel}
    </DrawingAndPanel>
  );
}

/** Which of the needed tests it is. */
function placeOf(list: readonly Outcome[], { test }: Outcome): string {
  const needed = list.filter((one) => one.test.needed);
  const at = needed.findIndex((one) => one.test.id === test.id);
  return at < 0 ? 'Further' : `${at + 1} of ${needed.length}`;
}
