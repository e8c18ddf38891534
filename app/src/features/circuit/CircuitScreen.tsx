import { batteryOf } from '@harbor-latch/core/assess/batteryOf';
import { withIdea } from '@harbor-latch/core/assess/withIdea';
import type { Fix } from '@harbor-latch/core/findings/finding';
import type { Circuit as JobCircuit, Job } from '@harbor-latch/core/job/index';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { memo, useDeferredValue, useMemo, useRef, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { useAssessedAhead, useAssessment } from '../../data/assessment';
import { useBoat, useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { useCircuits } from '../../data/circuits';
import { exportSvg } from '../../data/files';
import { useUnits } from '../../data/settings';
import { useProofStands } from '../../records/useProofStands';
import { UnitsButton } from '../../fields/UnitsButton';
import { circuitDiagram } from '@harbor-latch/core/drawing/circuitDiagram';
import { titleBlock } from '@harbor-latch/core/drawing/titleBlock';
import { svgText } from '@harbor-latch/core/drawing/svgText';
import { Kept, useKept } from '../../ui/Kept';
import { roomOf } from '../../ui/room';
import { Screen } from '../../ui/Screen';
import { undoKey, useShortcut, type Shortcut } from '../../ui/Shortcuts';
import { ToolButton } from '../../ui/ToolButton';
import { useStable } from '../../ui/useStable';
import { Absent } from '../../saving/Absent';
import { SaveStatus } from '../../saving/SaveStatus';
import { StationFrame } from './StationFrame';
import type { AtStation, Station } from './atStation';
import { steps } from './places';
import { PlaceBar, StationRail } from './StationBar';
import { stationNamed, stations, type StationEntry } from './stations';
import { useStation, useStationsKept } from './useStation';
import { useWithFigures } from './useWithFigures';
import { useSayChange } from '../../useSayChange';

/** A digit for each step, in their order. */
const stepKeys: Shortcut = {
  keys: steps.map((_, index) => index + 1).join(),
  shown: `1 to ${steps.length}`,
  does: steps.map(({ name }) => name).join(', '),
};
const drawingKey: Shortcut = { keys: 'd', shown: 'D', does: 'The drawing' };

/** A circuit at its stations: one after the other on a phone, side by side where there is room. */
export function CircuitScreen() {
  const { boatId, circuitId, station } = useLocalSearchParams<{
    boatId: string;
    circuitId: string;
    station: string;
  }>();
  const { draft: now, yard } = useBoat(boatId, sameToStations);
  useAssessedAhead(now?.job);
  // The field or button that was touched answers at once by itself; what else follows from it comes right after. Not so where
  // the circuit goes or stands elsewhere in the boat: the fields below would look for themselves where they are no more.
  const before = useDeferredValue(now);
  const indexIn = (one: Draft | undefined) => one?.job.circuits.findIndex(({ id }) => id === circuitId) ?? -1;
  const index = indexIn(now);
  const draft = index === indexIn(before) ? before : now;
  if (!draft || index < 0)
    return <Absent yard={yard} what={draft ? 'circuit' : 'boat'} back={draft ? `/boat/${boatId}` : '/'} />;
  return <Circuit key={circuitId} draft={draft} index={index} addressed={stationNamed(station)} />;
}

/** Whether two drafts are the same to a station: being saved changes nothing that it shows. */
function sameToStations(one: Draft, other: Draft): boolean {
  const standing = ({ save }: Draft) => (save.kind === 'conflict' || save.kind === 'refused' ? save : null);
  return (
    one.id === other.id &&
    one.job === other.job &&
    one.typed === other.typed &&
    one.reloads === other.reloads &&
    one.unkept === other.unkept &&
    standing(one) === standing(other)
  );
}

const Circuit = memo(function Circuit({
  draft,
  index,
  addressed,
}: {
  readonly draft: Draft;
  readonly index: number;
  /** The station that the address names. */
  readonly addressed: Station;
}) {
  const { width, height } = useWindowDimensions();
  const drafts = useDrafts();
  const router = useRouter();
  const sayChange = useSayChange();
  const units = useUnits();
  const [selected, setSelected] = useState<string | null>(null);
  const rooms = useRef<View>(null);
  const { station, last, go, goTo } = useStation(addressed, rooms);
  const room = useMemo(() => roomOf(width, height), [width, height]);
  const wide = room.layout === 'wide';
  const shown = station === 'drawing' && wide ? last : station;
  const kept = useStationsKept(shown, wide);
  const boat = useAssessment(draft.job);
  const all = useCircuits(draft.job, boat);
  const { current, failed } = boat;
  const circuit = draft.job.circuits[index];
  const assessed = all[index];
  const proof = useProofStands(draft.id, circuit?.id ?? '');
  const toBoat = useStable(() => router.navigate(`/boat/${draft.id}`));
  // The same for every station and every tap on one: those that nothing has changed for are not shown anew.
  const at = useMemo((): AtStation | null => {
    if (!assessed) return null;
    const { id, job } = draft;
    const onJob = (changed: Job, said: string) => {
      drafts.replaceSeen(id, job, changed);
      sayChange(id, said);
    };
    return {
      draft,
      index,
      assessed,
      all,
      current,
      failed,
      room,
      selected,
      onSelect: setSelected,
      onCircuit: (changed: JobCircuit, said: string) => onJob(withIdea(job, { label: said, circuit: changed }), said),
      onJob,
      onFix: (fix: Fix) => onJob(withIdea(job, fix), `Done: ${fix.label}`),
      onGo: go,
      onBoat: toBoat,
    };
  }, [draft, index, assessed, all, current, failed, room, selected, drafts, sayChange, go, toBoat]);
  const undo = useStable(() => drafts.undo(draft.id));
  useShortcut(undoKey, undo);
  useShortcut(stepKeys, (key) => {
    const step = steps[Number(key) - 1];
    if (step) go(step.key);
  });
  const drawn = station === 'drawing' && !wide;
  const draw = useStable(() => go(drawn ? last : 'drawing'));
  useShortcut(drawingKey, wide ? () => undefined : draw);
  const drawingFile = useStable(() => {
    if (!circuit || !assessed) return;
    const title = `${draft.job.boat.name}, ${circuit.name}`;
    const diagram = circuitDiagram(assessed, batteryOf(draft.job, circuit), units);
    exportSvg(title, svgText(diagram, title, titleBlock(draft.job, circuit, new Date())));
  });
  const under = useMemo(() => <SaveStatus boat={draft.id} />, [draft.id]);
  const undoable = draft.past.length > 0;
  const actions = useMemo(
    () => (
      <>
        <ToolButton icon="undo" label="Undo the last change" disabled={!undoable} onPress={undo} />
        <UnitsButton />
        {wide || drawn ? (
          <ToolButton icon="file-image-outline" label="Export the drawing" onPress={drawingFile} />
        ) : null}
        {wide ? null : (
          <ToolButton
            icon={drawn ? 'close' : 'transit-connection-variant'}
            label={drawn ? 'Close the drawing' : 'Drawing'}
            onPress={draw}
          />
        )}
      </>
    ),
    [undoable, undo, wide, drawn, drawingFile, draw],
  );
  const layout = room.layout;
  const bar = useMemo(
    () =>
      assessed && layout === 'phone' ? (
        <PlaceBar station={shown} assessed={assessed} proof={proof} onGo={go} onPlace={goTo} />
      ) : undefined,
    [layout, shown, assessed, proof, go, goTo],
  );
  const railWidth = room.railWidth;
  const rail = useMemo(
    () =>
      assessed && layout !== 'phone' ? (
        <StationRail station={shown} assessed={assessed} proof={proof} width={railWidth} onGo={go} />
      ) : null,
    [layout, shown, assessed, proof, railWidth, go],
  );
  if (!circuit || !at) return null;
  return (
    <Screen title={circuit.name} under={under} back={`/boat/${draft.id}`} scroll={false} actions={actions} footer={bar}>
      <View style={styles.row}>
        {rail}
        <View ref={rooms} style={styles.rooms}>
          {stations
            .filter(({ key }) => key === shown || kept.has(key))
            .map((entry) => (
              <KeptStation key={entry.key} entry={entry} at={at} shown={entry.key === shown} />
            ))}
        </View>
      </View>
    </Screen>
  );
});

const styles = StyleSheet.create({
  row: { flex: 1, flexDirection: 'row', minHeight: 0 },
  rooms: { flex: 1, minWidth: 0 },
});

/** A station that rests while another is shown. */
const KeptStation = memo(function KeptStation({
  entry,
  at,
  shown,
}: {
  readonly entry: StationEntry;
  readonly at: AtStation;
  readonly shown: boolean;
}) {
  const held = useKept(at, shown);
  const whole = useWithFigures(held);
  // The field or button that was touched answers at once; what follows from it in the station comes right after.
  const followed = useDeferredValue(entry.shows === 'entries' ? held : whole);
  return useMemo(
    () => (
      <Kept name={entry.key} shown={shown} of={held}>
        <StationFrame entry={entry} at={followed} />
      </Kept>
    ),
    [shown, held, entry, followed],
  );
});
