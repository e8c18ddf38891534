import { cautions } from '@harbor-latch/core/reference/index';
import { nextTest, type Outcome } from '@harbor-latch/core/prove/proofList';
import type { ProvePhase } from '@harbor-latch/core/prove/proveTest';
import { signedBody } from '@harbor-latch/core/prove/signOff';
import { batteryTooLow, judged, type Read } from '@harbor-latch/core/prove/verdict';
import { hashOf as jobHashOf } from '@harbor-latch/core/records/canonical';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Notice } from '../../ui/Notice';
import { useSay } from '../../ui/Said';
import { usePalette } from '../../ui/theme';
import { ToolTabs } from '../../ui/ToolTabs';
import { Words } from '../../ui/Words';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Draft } from '../../data/draft';
import type { Room } from '../../ui/room';
import { ProofDrawing } from './ProofDrawing';
import { ProofListView } from './ProofListView';
import { SignedPanel } from './SignedPanel';
import { SignPanel, sumWords, type Signing } from './SignPanel';
import { TestCard } from './TestCard';
import { useEntryPhotographs } from '../../records/useEntryPhotographs';
import { useCertificate } from './useCertificate';
import { useProof, type Proof } from './useProof';
import { figure, readWords } from './words';

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
}

/** Proves a circuit: one test at a time, what was read against what it must show, and the signature. */
export function ProveStation({ draft, assessed, room }: ProveStationProps) {
  const [phase, setPhase] = useState<ProvePhase>('commission');
  const proof = useProof(draft, assessed.circuit.id, phase);
  const [tool, setTool] = useState<Tool>('test');
  const [chosen, setChosen] = useState<string | null>(null);
  const { now, list, ready } = proof;
  const open = now.begun.length > 0;
  const current = open ? (list.find(({ test }) => test.id === chosen) ?? nextTest(list, null)) : null;
  const hand = useHand({ draft, assessed, phase, proof });
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
    void hand.read(outcome, read);
    // What is as expected asks for nothing more: the next one comes.
    if (judged(outcome.test, read).verdict === 'pass') goNext(outcome.test.id);
    else show(outcome.test.id);
  };
  const phaseRow = <ChoiceRow label="Where it is proved" choices={phases} value={phase} onChoose={setPhase} />;
  const panel = !ready ? (
    <Words role="status" muted>
      Working out what every meter must show …
    </Words>
  ) : !open && now.signed ? (
    <>
      {phaseRow}
      <Signed proof={proof} draft={draft} assessed={assessed} onAgain={() => void hand.begin()} />
    </>
  ) : !open ? (
    <>
      {phaseRow}
      <Begin phase={phase} count={list.filter(({ test }) => test.needed).length} onBegin={() => void hand.begin()} />
    </>
  ) : (
    <>
      <ProofNotices proof={proof} />
      {tool === 'list' ? (
        <>
          {phaseRow}
          <Words>{sumWords(proof.sum)}</Words>
          <ProofListView list={list} onOpen={show} />
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
      job={draft.job}
      assessed={assessed}
      test={tool === 'test' ? (current?.test ?? null) : null}
      width={Math.min(560, room.drawingWidth)}
    />
  );
  const body = (
    <ScrollView
      key={`${tool} ${tool === 'test' ? (current?.test.id ?? '') : ''}`}
      style={{ flex: 1 }}
      contentContainerStyle={{ padding: 14, gap: 12, paddingBottom: 32 }}
    >
      {panel}
    </ScrollView>
  );
  const surface = { backgroundColor: palette.surface, borderColor: palette.line };
  if (room.beside)
    return (
      <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
        {drawing}
        <View style={{ width: room.toolsWidth, ...surface, borderLeftWidth: 1 }}>
          {tabs}
          {body}
        </View>
      </View>
    );
  const drawn = tool === 'test' && current !== null && current.test.place !== 'bench';
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      {drawn ? drawing : null}
      <View style={{ ...(drawn ? { height: '69%' } : { flex: 1 }), ...surface, borderTopWidth: 1 }}>
        {tabs}
        {body}
      </View>
    </View>
  );
}

/** Which of the needed tests it is. */
function placeOf(list: readonly Outcome[], { test }: Outcome): string {
  const needed = list.filter((one) => one.test.needed);
  const at = needed.findIndex((one) => one.test.id === test.id);
  return at < 0 ? 'Further' : `${at + 1} of ${needed.length}`;
}

function Begin({
  phase,
  count,
  onBegin,
}: {
  readonly phase: ProvePhase;
  readonly count: number;
  readonly onBegin: () => void;
}) {
  return (
    <Card>
      <View style={{ padding: 14, gap: 10 }}>
        <Words kind="heading" level={2}>
          {phase === 'bench' ? 'Before anything is in the bilge' : 'Once it is in the boat'}
        </Words>
        <Words>
          {phase === 'bench'
            ? `${count} tests of pump, float and joints with real water: new parts are faulty often enough.`
            : `${count} readings against what this very circuit must show at its battery: the dead ones first, then with the fuse in.`}
        </Words>
        <Words kind="small" muted>
          {phase === 'bench' ? cautions.autoStart : `${cautions.proveDead} ${cautions.autoStart}`}
        </Words>
        <Words kind="small" muted>
          What is expected stays hidden until it is read. Each reading is signed by this device and kept without a
          signal; several people may read on their own phones.
        </Words>
        <BigButton icon="play" onPress={onBegin}>
          Begin
        </BigButton>
      </View>
    </Card>
  );
}

function ProofNotices({ proof }: { readonly proof: Proof }) {
  const { now, list, changedSince, records } = proof;
  const low = batteryTooLow(
    list.map(({ test }) => test),
    now.battery.restingV,
  );
  const refused = [...now.readings.values()].flatMap(({ id }) => records.refused.get(id) ?? []);
  return (
    <>
      {low === null ? null : (
        <Notice tone="stop" icon="battery">
          {low}
        </Notice>
      )}
      {changedSince ? (
        <Notice tone="caution" icon="alert">
          The circuit was changed since this proof was begun. What is expected is that of the circuit as it now is.
        </Notice>
      ) : null}
      {refused.map((reason) => (
        <Notice key={reason} tone="stop" icon="alert-octagon">
          {reason}
        </Notice>
      ))}
    </>
  );
}

function Signed({
  proof,
  draft,
  assessed,
  onAgain,
}: {
  readonly proof: Proof;
  readonly draft: Draft;
  readonly assessed: Known;
  readonly onAgain: () => void;
}) {
  const { now, list, voided, records, hashOf } = proof;
  const certificate = useCertificate(draft, assessed.circuit);
  const { signed } = now;
  if (!signed) return null;
  const row = records.rows.find(({ id }) => id === signed.id);
  return (
    <>
      <SignedPanel
        signed={signed}
        fingerprint={hashOf(signed.id)}
        inChain={row?.link?.number ?? null}
        list={list}
        voided={voided}
        late={now.afterSigning.length}
        onAgain={onAgain}
        onCertificate={() => void certificate.make(signed, row ?? null)}
      />
      {certificate.problem === null ? null : (
        <Notice tone="stop" icon="alert-octagon">
          {certificate.problem}
        </Notice>
      )}
    </>
  );
}

/** What is done in a proof: each of it a record. */
function useHand({
  draft,
  assessed,
  phase,
  proof,
}: {
  readonly draft: Draft;
  readonly assessed: Known;
  readonly phase: ProvePhase;
  readonly proof: Proof;
}) {
  const say = useSay();
  const { now, list, testsHash, record, hashOf } = proof;
  const circuit = assessed.circuit.id;
  const photographs = useEntryPhotographs(draft);
  const proofId = now.begun[0]?.id ?? null;
  const takeBack = (entry: string) => void record('withdrawn', circuit, { entry });
  const readAnew = ({ test, reading }: Outcome, more: { note?: string; photographs?: string[] }) => {
    if (!reading) return;
    const { replaces: _before, ...body } = reading.body;
    void record('reading', circuit, { ...body, ...more, test: test.id, replaces: reading.id });
  };
  return {
    begin: () => record('proofBegun', circuit, { phase, jobHash: jobHashOf(draft.job), testsHash }),
    read: async ({ test, reading }: Outcome, read: Read) => {
      const { verdict } = judged(test, read);
      const row = await record('reading', circuit, {
        proof: proofId,
        test: test.id,
        words: test.text,
        read,
        expect: 'state' in test.expect ? { state: test.expect.state } : test.expect,
        verdict,
        battery: now.battery,
        instrument: test.instrument,
        ...(reading ? { replaces: reading.id } : {}),
      });
      if (verdict === 'pass')
        say(`As expected: ${'said' in read ? read.said : figure(read.value, read.unit)}`, () => takeBack(row.id));
    },
    leaveOut: async ({ test }: Outcome, reason: string) => {
      if (proofId === null) return;
      const row = await record('skipped', circuit, { proof: proofId, test: test.id, words: test.text, reason });
      say('Left out', () => takeBack(row.id));
    },
    note: async (outcome: Outcome, note: string) => readAnew(outcome, { note }),
    photograph: (outcome: Outcome) =>
      photographs.choose((ids) =>
        readAnew(outcome, { photographs: [...(outcome.reading?.body.photographs ?? []), ...ids] }),
      ),
    sign: async (signing: Signing) => {
      await record('proof', circuit, signedBody({ phase, job: draft.job, now, list, hashOf, ...signing }));
      say(`Signed by ${signing.name}`);
    },
    words: readWords,
  };
}
