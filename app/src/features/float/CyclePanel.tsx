import { ingressOf } from '@harbor-latch/core/runs/circuitsOf';
import { runFaultKeys, runFaults, type RunFault } from '@harbor-latch/core/runs/runFaults';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import { batteryChemistry } from '@harbor-latch/core/reference/index';
import { posesOf, type WaterRun } from '@harbor-latch/core/water/index';
import { formatQuantity, formatVolume } from '@harbor-latch/core/units/index';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { useWaterTask } from '../../data/waterWorker';
import { BigButton } from '../../ui/BigButton';
import { useShown } from '../../ui/Kept';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Notice } from '../../ui/Notice';
import { useStable } from '../../ui/useStable';
import { noteMovement } from '../../whenQuiet';
import { Words } from '../../ui/Words';
import { Labelled } from './Labelled';
import { Progress } from './Progress';
import { RunNeeds } from './RunNeeds';
import type { Moment } from './moments';
import { StripChart } from './StripChart';
import { piecesOf } from './wellPieces';
import { timeInWords } from './verdictWords';

const PIECES = 600;
const spans = [
  { value: '1', label: '1 h' },
  { value: '6', label: '6 h' },
  { value: '24', label: '1 day' },
  { value: '168', label: '1 week' },
] as const;
const speeds = [
  { value: '1', label: '1×' },
  { value: '60', label: '60×' },
  { value: '3600', label: '3600×' },
] as const;
const faults: readonly { readonly value: RunFault | 'none'; readonly label: string }[] = [
  { value: 'none', label: 'All sound' },
  ...runFaultKeys.map((value) => ({ value, label: runFaults[value].name })),
];

/** A run of the well played: water rises, float lifts, pump starts, water leaves. */
export function CyclePanel({
  job,
  all,
  wellId,
  poseId,
  width,
  onMoment,
  onCircuit,
}: {
  readonly job: Job;
  readonly all: readonly AssessedCircuit[];
  readonly wellId: string;
  readonly poseId: string;
  readonly width: number;
  readonly onMoment: (moment: Moment | null) => void;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
}) {
  const ways = ingressOf(job, wellId);
  const [ingressId, setIngressId] = useState<string>(ways[0]?.id ?? '');
  const [hours, setHours] = useState<string>('6');
  const [fault, setFault] = useState<RunFault | 'none'>('none');
  const first = piecesOf(all, wellId).find(({ what }) => what === 'pump')?.circuit.id;
  const planted = fault === 'none' || first === undefined ? {} : { [first]: fault };
  const ingress = ways.find(({ id }) => id === ingressId) ?? ways[0];
  const key = ingress ? JSON.stringify(['cycle', job, wellId, poseId, ingress.id, hours, fault]) : null;
  const task = useWaterTask<WaterRun | null>(key, (work) =>
    work.cycle({
      job,
      wellId,
      poseId,
      ingressId: ingress?.id ?? null,
      hours: Number(hours),
      pieces: PIECES,
      faults: planted,
    }),
  );
  if (!ingress) {
    return (
      <Notice tone="note" icon="weather-pouring">
        No way of taking in water is listed for this well yet. Add one on the Boat page: rain, a drip, a failed fitting.
      </Notice>
    );
  }
  const run = task.state.kind === 'done' ? task.state.result : null;
  return (
    <View style={{ gap: 12 }}>
      <RunNeeds job={job} all={all} wellId={wellId} onCircuit={onCircuit} />
      <Progress task={task} what="The run" />
      {run && run.trace.length > 0 ? (
        <Played
          key={key}
          job={job}
          all={all}
          wellId={wellId}
          poseId={poseId}
          run={run}
          width={width}
          onMoment={onMoment}
        />
      ) : null}
      <Labelled label="Water comes in by">
        <ChoiceRow
          label="Ingress"
          value={ingress.id}
          choices={ways.map(({ id, name }) => ({ value: id, label: name }))}
          onChoose={setIngressId}
        />
      </Labelled>
      <Labelled label="For">
        <ChoiceRow label="Length of the run" value={hours} choices={[...spans]} onChoose={setHours} />
      </Labelled>
      <Labelled label="With">
        <ChoiceRow label="Fault in the run" value={fault} choices={faults} onChoose={setFault} />
      </Labelled>
    </View>
  );
}

function Played({
  job,
  all,
  wellId,
  poseId,
  run,
  width,
  onMoment,
}: {
  readonly job: Job;
  readonly all: readonly AssessedCircuit[];
  readonly wellId: string;
  readonly poseId: string;
  readonly run: WaterRun;
  readonly width: number;
  readonly onMoment: (moment: Moment | null) => void;
}) {
  const units = useUnits();
  const [atS, setAtS] = useState(0);
  const [speed, setSpeed] = useState<string>('3600');
  const [playing, setPlaying] = useState(false);
  const piece = run.trace[Math.min(run.trace.length - 1, Math.floor((atS / run.seconds) * run.trace.length))];
  const before = useRef({ atS });
  useEffect(() => {
    before.current.atS = atS;
  }, [atS]);
  const shown = useShown();
  useEffect(() => {
    if (!playing || !shown) return;
    let last = performance.now();
    let frame = requestAnimationFrame(function tick(now) {
      const next = Math.min(run.seconds, before.current.atS + ((now - last) / 1000) * Number(speed));
      last = now;
      noteMovement();
      setAtS(next);
      if (next >= run.seconds) setPlaying(false);
      else frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, shown, speed, run.seconds]);
  const levelM = piece ? levelAt(piece, run.trace[run.trace.indexOf(piece) - 1]?.endM, atS) : 0;
  const running = piece ? run.pumps.filter((_, index) => (piece.running[index] ?? 0) > 0.5).map(({ id }) => id) : [];
  const runningKey = running.join();
  const runningIds = useMemo(() => (runningKey === '' ? [] : runningKey.split(',')), [runningKey]);
  useEffect(() => {
    onMoment({ levelM, running: runningIds });
  }, [levelM, runningIds, onMoment]);
  useEffect(() => () => onMoment(null), [onMoment]);
  const dryM = useMemo(() => Math.min(...run.trace.map(({ lowM }) => lowM)), [run]);
  const names = useMemo(
    () => run.pumps.map(({ id }) => job.circuits.find((circuit) => circuit.id === id)?.name ?? id),
    [run, job],
  );
  const playOrPause = useStable(() => {
    if (atS >= run.seconds) setAtS(0);
    setPlaying(!playing);
  });
  const [pump] = run.pumps;
  const [battery] = run.batteries;
  const kind = job.batteries.find(({ id }) => id === battery?.id)?.chemistry ?? 'lead-acid';
  const pose = posesOf(job).find(({ id }) => id === poseId);
  const limitM = limitOf(all, wellId, poseId);
  const volume = (m3: number) => formatVolume(1000 * m3, units);
  return (
    <View style={{ gap: 10 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8, flexWrap: 'wrap' }}>
        <BigButton icon={playing ? 'pause' : 'play'} onPress={playOrPause}>
          {playing ? 'Pause' : 'Play'}
        </BigButton>
        <ChoiceRow label="Speed" value={speed} choices={[...speeds]} onChoose={setSpeed} />
      </View>
      <Words style={{ fontVariant: ['tabular-nums'] }}>
        {`${timeInWords(atS)}: ${levelM <= dryM + 1e-6 ? 'no water' : `water at ${formatQuantity(levelM, 'shortLength', units)}`}${running.length > 0 ? `, ${running.length > 1 ? 'pumps run' : 'pump runs'}` : ''}, battery at ${Math.round((piece?.charge ?? 1) * 100)} %`}
      </Words>
      <StripChart
        trace={run.trace}
        seconds={run.seconds}
        pumps={names}
        limitM={limitM}
        width={width}
        atS={atS}
        onTime={setAtS}
      />
      <Words kind="small" muted>
        {[
          `${pose?.name ?? ''}, from a dry well and a full battery.`,
          `${volume(run.inM3)} came in, ${volume(run.pumpedM3)} left, ${volume(run.endM3)} stand in the well.`,
          pump ? `${pump.starts} starts${pump.runS === null ? '' : `, ${timeInWords(pump.runS)} a run`}.` : '',
          battery
            ? `${battery.ampHours.toFixed(1)} Ah used; usable down to ${Math.round(batteryChemistry[kind].usableTo * 100)} %.`
            : '',
        ].join(' ')}
      </Words>
    </View>
  );
}

/** The level between two points of the trace. */
function levelAt({ fromS, toS, endM }: WaterRun['trace'][number], beforeM: number | undefined, atS: number): number {
  const share = Math.min(1, Math.max(0, (atS - fromS) / (toS - fromS)));
  return beforeM === undefined ? endM : beforeM + share * (endM - beforeM);
}

function limitOf(all: readonly AssessedCircuit[], wellId: string, poseId: string): number | null {
  const one = all.find((assessed) => assessed.circuit.water?.wellId === wellId);
  if (!one || one.status === 'incomplete') return null;
  return one.facts.water?.poses.find(({ pose }) => pose.id === poseId)?.limit?.levelM ?? null;
}
