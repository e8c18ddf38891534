import { batteryOf, withIdea } from '@harbor-latch/core/assess/index';
import type { Fix } from '@harbor-latch/core/findings/index';
import type { Circuit as JobCircuit, Job } from '@harbor-latch/core/job/index';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { assessed as assessedOf, useBoat, useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { exportSvg } from '../../data/files';
import { useUnits } from '../../data/settings';
import { circuitDiagram } from '../../drawing/circuitDiagram';
import { svgText } from '../../drawing/svgText';
import { Kept } from '../../ui/Kept';
import { useSay } from '../../ui/Said';
import { Screen } from '../../ui/Screen';
import { ToolButton } from '../../ui/ToolButton';
import { whenIdle } from '../../ui/whenIdle';
import { Absent } from '../boat/Absent';
import { SaveStatus } from '../boat/SaveStatus';
import { StationFrame } from './StationFrame';
import type { AtStation, Station } from './atStation';
import { StationBar, StationRail } from './StationBar';
import { stationNamed, stations } from './stations';

const WIDE = 1000;

/** A circuit at its stations: one after the other on a phone, side by side where there is room. */
export function CircuitScreen() {
  const { boatId, circuitId, station } = useLocalSearchParams<{
    boatId: string;
    circuitId: string;
    station: string;
  }>();
  const { draft, yard } = useBoat(boatId);
  const index = draft?.job.circuits.findIndex((circuit) => circuit.id === circuitId) ?? -1;
  if (!draft || index < 0)
    return <Absent yard={yard} what={draft ? 'circuit' : 'boat'} back={draft ? `/boat/${boatId}` : '/'} />;
  return <Circuit key={circuitId} draft={draft} index={index} station={stationNamed(station)} />;
}

function Circuit({
  draft,
  index,
  station,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly station: Station;
}) {
  const { width, height } = useWindowDimensions();
  const router = useRouter();
  const drafts = useDrafts();
  const say = useSay();
  const units = useUnits();
  const [selected, setSelected] = useState<string | null>(null);
  const wide = width >= WIDE;
  const shown = station === 'drawing' && wide ? 'size' : station;
  const kept = useKept(shown);
  const all = assessedOf(draft.job, units);
  const circuit = draft.job.circuits[index];
  const assessed = all[index];
  if (!circuit || !assessed) return null;
  const undo = () => drafts.undo(draft.id);
  const changeJob = (job: Job, said: string) => {
    drafts.replace(draft.id, job);
    say(said, undo);
  };
  const at: AtStation = {
    draft,
    index,
    assessed,
    all,
    wide,
    width,
    height,
    selected,
    onSelect: setSelected,
    onCircuit: (changed: JobCircuit, said: string) =>
      changeJob(withIdea(draft.job, { label: said, circuit: changed }), said),
    onJob: changeJob,
    onFix: (fix: Fix) => changeJob(withIdea(draft.job, fix), `Done: ${fix.label}`),
    onGo: (to) => router.setParams({ station: to }),
  };
  const drawingFile = () => {
    const title = `${draft.job.boat.name}, ${circuit.name}`;
    exportSvg(title, svgText(circuitDiagram(assessed, batteryOf(draft.job, circuit), units), title));
  };
  return (
    <Screen
      title={circuit.name}
      under={<SaveStatus draft={draft} />}
      back={`/boat/${draft.id}`}
      scroll={false}
      actions={
        <>
          <ToolButton icon="undo" label="Undo the last change" disabled={draft.past.length === 0} onPress={undo} />
          <ToolButton icon="file-image-outline" label="Export the drawing" onPress={drawingFile} />
        </>
      }
      footer={wide ? undefined : <StationBar station={station} assessed={assessed} onGo={at.onGo} />}
    >
      <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
        {wide ? <StationRail station={shown} assessed={assessed} onGo={at.onGo} /> : null}
        {stations
          .filter(({ key }) => key === shown || kept.has(key))
          .map((entry) => (
            <Kept key={entry.key} shown={entry.key === shown}>
              <StationFrame entry={entry} at={at} />
            </Kept>
          ))}
      </View>
    </Screen>
  );
}

/** Stations that are ready to be shown: those seen, and the others one after the other while nothing else is to be done. */
function useKept(shown: Station): ReadonlySet<Station> {
  const [kept, setKept] = useState<ReadonlySet<Station>>(new Set([shown]));
  if (!kept.has(shown)) setKept(new Set([...kept, shown]));
  useEffect(() => {
    const next = stations.find(({ key }) => !kept.has(key));
    return next && whenIdle(() => setKept(new Set([...kept, next.key])));
  }, [kept]);
  return kept;
}
