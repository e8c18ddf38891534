import { waterOf } from '@harbor-latch/core/runs/circuitsOf';
import { posesOf, riseAt, slopesOf } from '@harbor-latch/core/water/index';
import { memo, useDeferredValue, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import type { Cut } from '../../drawing/wellDrawing';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Scrolled } from '../../ui/Scrolled';
import { usePalette } from '../../ui/theme';
import { ToolButton } from '../../ui/ToolButton';
import { ToolTabs } from '../../ui/ToolTabs';
import { useStable } from '../../ui/useStable';
import { CyclePanel } from './CyclePanel';
import type { FloatStationProps } from './floatStationProps';
import { HosePanel } from './HosePanel';
import { Labelled } from './Labelled';
import { makeMoments, type Moments } from './moments';
import { NoWater } from './NoWater';
import { PlacePanel } from './PlacePanel';
import { RunsPanel } from './RunsPanel';
import { movedPiece, piecesOf, whileMoved, type Place } from './wellPieces';
import { WellSection, ZOOMS, type WellSectionProps } from './WellSection';

type Tool = 'place' | 'cycle' | 'runs' | 'hose';

const tools: readonly { readonly key: Tool; readonly name: string }[] = [
  { key: 'place', name: 'Place' },
  { key: 'cycle', name: 'Cycle' },
  { key: 'runs', name: 'Runs' },
  { key: 'hose', name: 'Hose' },
];

/** What was let go and is nowhere else after so long stands where it stood, ms. */
const GIVEN_UP_MS = 1000;

/** A piece that a hand holds, or has just let go. */
interface Moving {
  readonly id: string;
  readonly to: Place;
  /** Where it stood before it was let go. */
  readonly from?: Place;
}

const samePlace = (one: Place, other: Place) => one.xM === other.xM && one.yM === other.yM && one.zM === other.zM;

/** Where pump and float stand in their well, and what the water does to them. */
export function FloatStation(props: FloatStationProps) {
  const water = waterOf(props.assessed);
  return water ? <InWell {...props} /> : <NoWater {...props} />;
}

function InWell(props: FloatStationProps) {
  const { draft, assessed, all, room, onCircuit } = props;
  const { beside, height, drawingWidth, toolsWidth } = room;
  const chartWidth = toolsWidth - (beside ? 30 : 24);
  const palette = usePalette();
  const { job } = draft;
  const { circuit } = assessed;
  const wellId = circuit.water?.wellId ?? '';
  const poses = posesOf(job);
  const [tool, setTool] = useState<Tool>('place');
  const [poseId, setPoseId] = useState<string>(poses[0].id);
  const [cut, setCut] = useState<Cut>('along');
  const [zoom, setZoom] = useState(1);
  const [filled, setFilled] = useState<'off' | 'on' | 'limit'>('on');
  const [chosen, setChosen] = useState(`${circuit.id} float`);
  const [moving, setMoving] = useState<Moving | null>(null);
  const [moments] = useState(makeMoments);
  // The choice that was touched answers at once; the section and the panel follow right after.
  const posed = useDeferredValue(poseId);
  const pose = poses.find(({ id }) => id === posed) ?? poses[0];
  const standing = useMemo(() => piecesOf(all, wellId), [all, wellId]);
  const settledAt = standing.find(({ id }) => id === moving?.id)?.place;
  // Let go it stays where it was put until it stands there.
  if (moving?.from && settledAt && !samePlace(settledAt, moving.from)) setMoving(null);
  const letGo = moving?.from;
  useEffect(() => {
    if (!letGo) return undefined;
    const timer = setTimeout(() => setMoving(null), GIVEN_UP_MS);
    return () => clearTimeout(timer);
  }, [letGo]);
  const pieces = useMemo(
    () => standing.map((piece) => (piece.id === moving?.id ? { ...piece, place: moving.to } : piece)),
    [standing, moving],
  );
  const piece = pieces.find(({ id }) => id === chosen) ?? pieces[0];
  const subject = all.find((one) => one.circuit.id === piece?.circuit.id) ?? assessed;
  const settled = waterOf(subject) ?? waterOf(assessed);
  const held = useMemo(
    () => (piece && moving?.id === piece.id ? whileMoved(job, subject, piece, piece.place) : null),
    [job, subject, piece, moving],
  );
  const water = held ?? settled;
  // A finger that goes on is followed by the section; words and figures come after.
  const told = useDeferredValue(water);
  const toldPieces = useDeferredValue(pieces);
  const onMoving = useStable((id: string, to: Place | null) => setMoving(to && { id, to }));
  const onMoved = useStable((id: string, to: Place) => {
    const which = standing.find((one) => one.id === id);
    if (!which) return;
    setMoving({ id, to, from: which.place });
    onCircuit(movedPiece(which, to), `Moved: ${which.name.toLowerCase()}`);
  });
  if (!water) return null;
  const slopes = slopesOf(pose);
  const atPump = (heightM: number) => heightM - (piece ? riseAt(slopes, piece.place) : 0);
  const limit = water.poses.find((facts) => facts.pose.id === pose.id)?.limit ?? null;
  const restingM =
    filled === 'limit' && limit
      ? limit.levelM
      : piece?.what === 'float'
        ? atPump(piece.place.zM + (filled === 'off' ? piece.offM : piece.onM))
        : 0.05;
  const sectionHeight = beside ? Math.max(180, height - 150) : Math.min(260, Math.max(190, height * 0.27));
  const section = (
    <View style={{ alignItems: 'center' }}>
      <SectionAt
        moments={tool === 'cycle' ? moments : null}
        restingM={restingM}
        water={water}
        pose={pose}
        cut={cut}
        zoom={zoom}
        width={drawingWidth}
        height={sectionHeight}
        pieces={pieces}
        chosen={piece?.id ?? ''}
        onChoose={setChosen}
        onMoving={onMoving}
        onMoved={onMoved}
      />
      <View
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          alignSelf: 'stretch',
          paddingHorizontal: 8,
          flexWrap: 'wrap',
        }}
      >
        <ChoiceRow
          label="Cut"
          value={cut}
          choices={[
            { value: 'along', label: 'Along' },
            { value: 'across', label: 'Across' },
          ]}
          onChoose={setCut}
        />
        <View style={{ flex: 1 }} />
        <ToolButton
          icon="magnify-minus-outline"
          label="Smaller"
          disabled={zoom === 0}
          onPress={() => setZoom(zoom - 1)}
        />
        <ToolButton
          icon="magnify-plus-outline"
          label="Larger"
          disabled={zoom === ZOOMS.length - 1}
          onPress={() => setZoom(zoom + 1)}
        />
      </View>
    </View>
  );
  const panel = (
    <View style={{ gap: 12 }}>
      {tool === 'place' || tool === 'cycle' ? (
        <Labelled label="Pose">
          <ChoiceRow
            label="Pose"
            value={poses.some(({ id }) => id === poseId) ? poseId : pose.id}
            choices={poses.map(({ id, name }) => ({ value: id, label: name }))}
            onChoose={setPoseId}
          />
        </Labelled>
      ) : null}
      {tool === 'place' ? (
        <PlacePanel
          {...props}
          water={told ?? water}
          subject={subject}
          pieces={toldPieces}
          chosen={piece?.id ?? ''}
          onChoose={setChosen}
          filled={filled}
          onFilled={setFilled}
          limit={limit !== null}
        />
      ) : null}
      {tool === 'cycle' ? (
        <CyclePanel
          job={job}
          all={all}
          wellId={wellId}
          poseId={pose.id}
          width={chartWidth}
          onMoment={moments.show}
          onCircuit={onCircuit}
        />
      ) : null}
      {tool === 'runs' ? <RunsPanel job={job} all={all} wellId={wellId} onCircuit={onCircuit} /> : null}
      {tool === 'hose' ? <HosePanel {...props} width={chartWidth} /> : null}
    </View>
  );
  const head = (
    <View style={{ flexDirection: 'row', borderBottomWidth: 1, borderColor: palette.line }}>
      <ToolTabs label="Tools of the float station" tools={tools} chosen={tool} onChoose={setTool} />
    </View>
  );
  const surface = { backgroundColor: palette.surface, borderColor: palette.line };
  if (beside) {
    return (
      <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
        <Scrolled content={{ alignItems: 'center', paddingVertical: 8 }}>{section}</Scrolled>
        <View style={{ width: toolsWidth, ...surface, borderLeftWidth: 1 }}>
          {head}
          <Scrolled content={{ padding: 14, paddingBottom: 40 }}>{panel}</Scrolled>
        </View>
      </View>
    );
  }
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      {section}
      <View style={{ flex: 1, minHeight: 0, ...surface, borderTopWidth: 1 }}>
        {head}
        <Scrolled content={{ padding: 12, gap: 12, paddingBottom: 28 }}>{panel}</Scrolled>
      </View>
    </View>
  );
}

const nothingRuns: ReadonlySet<string> = new Set();
const neverTells = () => () => undefined;
const noMoment = () => null;

interface SectionAtProps extends Omit<WellSectionProps, 'levelM' | 'running'> {
  /** Of the run that is played, if one is. */
  readonly moments: Moments | null;
  /** The level while none is, m. */
  readonly restingM: number;
}

/** The section at the moment of the run that is played, or at rest. */
const SectionAt = memo(function SectionAt({ moments, restingM, ...section }: SectionAtProps) {
  const moment = useSyncExternalStore(moments?.subscribe ?? neverTells, moments?.now ?? noMoment);
  const ids = moment?.running;
  const running = useMemo(() => (ids ? new Set(ids) : nothingRuns), [ids]);
  return <WellSection {...section} levelM={moment?.levelM ?? restingM} running={running} />;
});
