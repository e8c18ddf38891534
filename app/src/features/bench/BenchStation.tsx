import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { netlistAsPlanned } from '@harbor-latch/core/assess/asPlanned';
import { batteryOf } from '@harbor-latch/core/assess/batteryOf';
import type { TerminalRef } from '@harbor-latch/core/circuit/index';
import { consequences } from '@harbor-latch/core/documents/index';
import type { Battery, Circuit, Job } from '@harbor-latch/core/job/index';
import { defaults, levelSensors } from '@harbor-latch/core/reference/index';
import { schemeOf } from '@harbor-latch/core/schemes/index';
import { sensorOf } from '@harbor-latch/core/water/index';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { drawn } from '../../drawing/drawn';
import type { Room } from '../../ui/room';
import { Scrolled } from '../../ui/Scrolled';
import { usePalette } from '../../ui/theme';
import { ToolButton } from '../../ui/ToolButton';
import { ToolTabs } from '../../ui/ToolTabs';
import { useStable } from '../../ui/useStable';
import { Words } from '../../ui/Words';
import { BeforeWork } from '../../ui/BeforeWork';
import { BenchControls } from './BenchControls';
import { benchDiagram } from './benchDrawing';
import { FaultPanel, MendAll } from './FaultPanel';
import { LiveDrawing } from './LiveDrawing';
import { MeterPanel, restingMeter, withProbe, type MeterState } from './MeterPanel';
import { OverRating, Readout } from './Readout';
import { RewirePanel } from './RewirePanel';
import { movedTo, swapOf, swapped, withAdded, type Rewiring, type RewireStep } from './rewiring';
import { TruthPanel } from './TruthPanel';
import { useFollow } from './useFollow';
import { BenchNow, useBench, type Bench } from './useBench';
import { WrongBanner } from './WrongBanner';

type Known = Exclude<AssessedCircuit, { status: 'incomplete' }>;
const noPosts: Readonly<Record<string, string>> = {};

type Tool = 'try' | 'meter' | 'faults' | 'table' | 'rewire';

const tools: readonly { readonly key: Tool; readonly name: string }[] = [
  { key: 'try', name: 'Try' },
  { key: 'meter', name: 'Meter' },
  { key: 'faults', name: 'Faults' },
  { key: 'table', name: 'Table' },
  { key: 'rewire', name: 'Rewire' },
];

export interface BenchStationProps {
  readonly job: Job;
  readonly assessed: Known;
  readonly room: Room;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
}

/** The circuit at work: flip, lift, pull, probe and break it before anything is in the bilge. */
export function BenchStation(props: BenchStationProps) {
  const { assessed, job } = props;
  const battery = batteryOf(job, assessed.circuit);
  const bench = useBench(assessed.circuit.id, assessed.netlist);
  // The switch that was touched and what came of it answer at once; the drawing and what goes wrong follow right after.
  const seen = useDeferredValue(bench);
  return (
    <BenchNow.Provider value={bench}>
      <OnBench {...props} battery={battery} bench={seen} />
    </BenchNow.Provider>
  );
}

const OnBench = memo(function OnBench({
  job,
  assessed,
  room,
  onCircuit,
  battery,
  bench,
}: BenchStationProps & { readonly battery: Battery; readonly bench: Bench }) {
  const { circuit, facts } = assessed;
  const { wired } = facts.behaviour;
  const posts = circuit.panel?.posts ?? noPosts;
  const units = useUnits();
  const palette = usePalette();
  const [tool, setTool] = useState<Tool>('try');
  const [meter, setMeter] = useState<MeterState>(() => restingMeter(wired));
  const [step, setStep] = useState<RewireStep>({ kind: 'choose' });
  const [selected, setSelected] = useState<string | null>(null);
  const diagram = useMemo(() => drawn.diagram(assessed, job, units, 'bench', benchDiagram), [assessed, job, units]);
  const rewire = (rewired: Rewiring | undefined, said: string) => {
    const { rewired: _before, ...planned } = circuit;
    onCircuit(rewired ? { ...planned, rewired } : planned, said);
  };
  const onTerminal = useStable((at: TerminalRef) => {
    if (tool === 'meter') setMeter(withProbe(meter, at));
    else if (step.kind === 'move') {
      rewire(movedTo(circuit.rewired, step.wire, step.end, at), 'Conductor moved');
      setStep({ kind: 'choose' });
    } else if (step.kind === 'add' && step.from) {
      rewire(withAdded(circuit.rewired, step.from, at), 'Conductor added');
      setStep({ kind: 'choose' });
    } else if (step.kind === 'add') setStep({ kind: 'add', from: at });
  });
  const touching = tool === 'meter' || (tool === 'rewire' && (step.kind === 'move' || step.kind === 'add'));
  const { faults, open } = bench.state;
  const { differences } = facts.behaviour;
  const wrong = faults.length > 0 || open.length > 0 || differences.length > 0;
  const planned = useMemo(() => netlistAsPlanned(assessed), [assessed]);
  const capacityAh = battery.capacityAh ?? defaults.capacityAh;
  const made = useMemo(
    () => (wrong ? consequences(planned, bench.netlist, wired, capacityAh) : null),
    [wrong, planned, bench.netlist, wired, capacityAh],
  );
  const { reach, room: drawingRoom } = useFollow(bench.state);
  const select = useStable((id: string | null) => {
    setSelected(id);
    const wires = [...wired.conductors, ...wired.existing];
    const wire = wires.find((one) => one.id === id);
    if (tool !== 'rewire' || !wire) return;
    const other = step.kind === 'swap' ? wires.find((one) => one.id === step.wire) : undefined;
    if (other && swapOf(other, wire)) {
      rewire(swapped(circuit.rewired, other, wire), 'Conductors swapped');
      setStep({ kind: 'choose' });
    } else setStep({ kind: 'move', wire: wire.id, end: 'to' });
  });
  const probes = useMemo(
    () => ({
      red: tool === 'meter' ? meter.red : step.kind === 'add' ? step.from : null,
      black: tool === 'meter' ? meter.black : null,
    }),
    [tool, meter, step],
  );
  const drawing = (
    <LiveDrawing
      diagram={diagram}
      bench={bench}
      plan={wired}
      posts={posts}
      width={Math.min(560, room.drawingWidth)}
      selected={(step.kind === 'move' || step.kind === 'swap') && tool === 'rewire' ? step.wire : selected}
      onSelect={select}
      onTerminal={touching ? onTerminal : null}
      probes={probes}
      reach={reach}
    />
  );
  const panel = (
    <View style={{ gap: 12 }}>
      {tool === 'try' ? (
        <>
          <BenchControls plan={wired} />
          <Waiting assessed={assessed} />
          <BeforeWork statements={assessed.wiredAs} />
        </>
      ) : null}
      {tool === 'meter' ? (
        <MeterPanel bench={bench} plan={wired} posts={posts} meter={meter} onMeter={setMeter} />
      ) : null}
      {tool === 'faults' ? (
        <>
          <FaultPanel plan={wired} planned={assessed.netlist} />
          <MendAll />
        </>
      ) : null}
      {tool === 'table' ? (
        <TruthPanel
          title={`${job.boat.name}, ${circuit.name}`}
          netlist={bench.netlist}
          plan={wired}
          circuit={circuit}
          known={made}
          onExpects={(expects) => onCircuit({ ...circuit, expects }, 'Noted what you expect')}
        />
      ) : null}
      {tool === 'rewire' ? (
        <RewirePanel
          circuit={circuit}
          wired={wired}
          differences={differences}
          step={step}
          onStep={setStep}
          onRewired={rewire}
        />
      ) : null}
    </View>
  );
  const head = (
    <View style={{ flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1, borderColor: palette.line }}>
      <ToolTabs label="Tools of the bench" tools={tools} chosen={tool} onChoose={setTool} />
      <ToolButton icon="undo-variant" label="Undo on the bench" disabled={!bench.canUndo} onPress={bench.undo} />
      <ToolButton icon="restore" label="Reset the bench" onPress={bench.reset} />
    </View>
  );
  const surface = { backgroundColor: palette.surface, borderColor: palette.line };
  const banner = made ? (
    <WrongBanner
      state={bench.state}
      plan={wired}
      // What is rewired lists them itself.
      differences={tool === 'rewire' ? [] : differences}
      rewired={differences.length > 0}
      sentences={made.sentences}
    />
  ) : null;
  const readout = <Readout plan={wired} />;
  // On its side a phone is too low for anything that does not scroll.
  const fixed = room.layout !== 'flat';
  const tooling = (
    <>
      {fixed ? <View style={{ paddingHorizontal: 14, paddingTop: 10, gap: 8 }}>{readout}</View> : null}
      {head}
      <Scrolled key={tool} content={{ padding: 14, gap: 12, paddingBottom: 32 }}>
        {fixed ? null : readout}
        <OverRating plan={wired} />
        {panel}
      </Scrolled>
    </>
  );
  if (room.beside) {
    return (
      <View style={{ flex: 1, minHeight: 0 }}>
        {banner}
        <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
          <Scrolled room={drawingRoom} content={{ alignItems: 'center', paddingVertical: 8 }}>
            {drawing}
          </Scrolled>
          <View style={{ width: room.toolsWidth, ...surface, borderLeftWidth: 1 }}>{tooling}</View>
        </View>
      </View>
    );
  }
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      <Scrolled room={drawingRoom} content={{ alignItems: 'center', paddingBottom: 12 }}>
        {drawing}
      </Scrolled>
      {banner}
      <View style={{ height: '54%', ...surface, borderTopWidth: 1 }}>{tooling}</View>
    </View>
  );
});

/** What the bench shows at once and the bilge does not: delays of sensors. */
function Waiting({ assessed }: { readonly assessed: Known }) {
  const { circuit } = assessed;
  const senses = sensorOf(schemeOf(circuit).senses, circuit.water?.float);
  const delays = senses === null || senses === 'timer' ? null : { ...levelSensors[senses], ...circuit.water?.float };
  const wait =
    delays !== null && delays.onDelayS + delays.runOnS > 0
      ? `In the bilge the sensor starts the pump after about ${delays.onDelayS} s and runs it on for ${delays.runOnS} s; here it answers at once.`
      : senses === 'timer'
        ? `In the bilge the pump wakes every ${defaults.sensingPeriodS} s, feels for ${defaults.sensingFeelS} s and runs on while wet; here it answers at once.`
        : null;
  return wait === null ? null : (
    <Words kind="small" muted>
      {wait}
    </Words>
  );
}
