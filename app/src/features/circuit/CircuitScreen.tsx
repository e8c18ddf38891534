import { batteryOf, withIdea } from '@harbor-latch/core/assess/index';
import type { Fix } from '@harbor-latch/core/findings/index';
import type { Circuit as JobCircuit, Job } from '@harbor-latch/core/job/index';
import { defaults } from '@harbor-latch/core/reference/index';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { assessed as assessedOf, useBoat, useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { exportSvg } from '../../data/files';
import { useUnits } from '../../data/settings';
import { BandDrawing } from '../../drawing/BandDrawing';
import { circuitDiagram } from '../../drawing/circuitDiagram';
import { svgText } from '../../drawing/svgText';
import { useSay } from '../../ui/Said';
import { Screen } from '../../ui/Screen';
import { ToolButton } from '../../ui/ToolButton';
import { Words } from '../../ui/Words';
import { Absent } from '../boat/Absent';
import { SaveNotices } from '../boat/SaveNotices';
import { SaveStatus } from '../boat/SaveStatus';
import { BenchStation } from '../bench/BenchStation';
import { FloatStation } from '../float/FloatStation';
import { NotYet, SizeStation } from '../size/SizeStation';
import { SurveyStation } from '../survey/SurveyStation';
import { Inspector } from './Inspector';
import { StationBar, StationRail, type Station } from './Stations';

const WIDE = 1000;

/** A circuit at one of its stations: one below the other on a phone, side by side where there is room. */
export function CircuitScreen({ station }: { readonly station: Station }) {
  const { boatId, circuitId } = useLocalSearchParams<{ boatId: string; circuitId: string }>();
  const { draft, yard } = useBoat(boatId);
  const index = draft?.job.circuits.findIndex((circuit) => circuit.id === circuitId) ?? -1;
  if (!draft || index < 0)
    return <Absent yard={yard} what={draft ? 'circuit' : 'boat'} back={draft ? `/boat/${boatId}` : '/'} />;
  return <Circuit key={circuitId} draft={draft} index={index} station={station} />;
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
  const circuit = draft.job.circuits[index];
  const assessed = assessedOf(draft.job, units)[index];
  if (!circuit || !assessed) return null;
  const base = `/boat/${draft.id}/${circuit.id}`;
  const go = (to: Station) => router.replace(`${base}/${to}`);
  const undo = () => drafts.undo(draft.id);
  const change = (changed: JobCircuit, said: string) => {
    const circuits = draft.job.circuits.map((other) => (other.id === circuit.id ? changed : other));
    drafts.replace(draft.id, { ...draft.job, circuits });
    say(said, undo);
  };
  const changeJob = (job: Job, said: string) => {
    drafts.replace(draft.id, job);
    say(said, undo);
  };
  const applyFix = (fix: Fix) => changeJob(withIdea(draft.job, fix), `Done: ${fix.label}`);
  const changeAny = (changed: JobCircuit, said: string) => {
    const circuits = draft.job.circuits.map((other) => (other.id === changed.id ? changed : other));
    changeJob({ ...draft.job, circuits }, said);
  };
  const wide = width >= WIDE;
  const shown = station === 'drawing' && wide ? 'size' : station;
  const page =
    shown === 'survey' ? (
      <SurveyStation draft={draft} index={index} assessed={assessed} />
    ) : (
      <SizeStation
        assessed={assessed}
        selected={selected}
        onSelect={setSelected}
        onCircuit={change}
        onFix={applyFix}
        onSurvey={() => go('survey')}
      />
    );
  const drawing = (space: number) => (
    <CircuitDrawing draft={draft} index={index} width={space} selected={selected} onSelect={setSelected} />
  );
  return (
    <Screen
      title={circuit.name}
      under={<SaveStatus draft={draft} />}
      back={`/boat/${draft.id}`}
      scroll={false}
      actions={
        <>
          <ToolButton icon="undo" label="Undo the last change" disabled={draft.past.length === 0} onPress={undo} />
          <ToolButton
            icon="file-image-outline"
            label="Export the drawing"
            onPress={() => {
              const title = `${draft.job.boat.name}, ${circuit.name}`;
              const diagram = circuitDiagram(assessed, batteryOf(draft.job, circuit), units);
              exportSvg(title, svgText(diagram, title));
            }}
          />
        </>
      }
      footer={wide ? undefined : <StationBar station={station} assessed={assessed} onGo={go} />}
    >
      {shown === 'float' ? (
        <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
          {wide ? <StationRail station={shown} assessed={assessed} onGo={go} /> : null}
          {assessed.status === 'incomplete' ? (
            <View style={{ flex: 1, padding: 12 }}>
              <NotYet assessed={assessed} onSurvey={() => go('survey')} />
            </View>
          ) : (
            <FloatStation
              draft={draft}
              assessed={assessed}
              all={assessedOf(draft.job, units)}
              width={wide ? width - 180 - 480 : width}
              height={height}
              beside={wide}
              onCircuit={changeAny}
              onJob={changeJob}
            />
          )}
        </View>
      ) : shown === 'bench' ? (
        <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
          {wide ? <StationRail station={shown} assessed={assessed} onGo={go} /> : null}
          {assessed.status === 'incomplete' ? (
            <View style={{ flex: 1, padding: 12 }}>
              <NotYet assessed={assessed} onSurvey={() => go('survey')} />
            </View>
          ) : (
            <BenchStation
              job={draft.job}
              assessed={assessed}
              width={wide ? Math.min(560, width - 180 - 480) : Math.min(width, 560)}
              beside={wide}
              onCircuit={change}
            />
          )}
        </View>
      ) : wide ? (
        <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
          <StationRail station={shown} assessed={assessed} onGo={go} />
          <ScrollView style={{ flex: 1 }} contentContainerStyle={{ alignItems: 'center', paddingVertical: 8 }}>
            {drawing(Math.min(560, width - 200 - 480))}
            <Words
              kind="small"
              muted
            >{`Amperes: the most each carries, with ${defaults.runningSupplyV} V at the battery.`}</Words>
          </ScrollView>
          <ScrollView
            style={{ width: 480, flexGrow: 0 }}
            contentContainerStyle={{ padding: 12, gap: 12, paddingBottom: 40 }}
          >
            <SaveNotices draft={draft} />
            {page}
          </ScrollView>
        </View>
      ) : station === 'drawing' ? (
        <View style={{ flex: 1, minHeight: 0 }}>
          <ScrollView style={{ flex: 1 }} contentContainerStyle={{ alignItems: 'center', paddingBottom: 16 }}>
            {drawing(Math.min(width, 560))}
          </ScrollView>
          <Inspector
            assessed={assessed}
            selected={selected}
            onClose={() => setSelected(null)}
            onSize={() => go('size')}
          />
        </View>
      ) : (
        <ScrollView
          style={{ flex: 1 }}
          contentContainerStyle={{
            padding: 12,
            gap: 12,
            paddingBottom: 32,
            width: '100%',
            maxWidth: 640,
            alignSelf: 'center',
          }}
        >
          <SaveNotices draft={draft} />
          {page}
        </ScrollView>
      )}
    </Screen>
  );
}

function CircuitDrawing({
  draft,
  index,
  width,
  selected,
  onSelect,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly width: number;
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
}) {
  const units = useUnits();
  const diagram = useMemo(() => {
    const circuit = draft.job.circuits[index];
    const assessed = assessedOf(draft.job, units)[index];
    return circuit && assessed ? circuitDiagram(assessed, batteryOf(draft.job, circuit), units) : null;
  }, [draft.job, index, units]);
  if (!diagram) return null;
  return (
    <BandDrawing
      diagram={diagram}
      width={width}
      selected={selected}
      onSelect={onSelect}
      label="Drawing of the circuit from source to bilge. Each conductor and part is a button."
    />
  );
}
