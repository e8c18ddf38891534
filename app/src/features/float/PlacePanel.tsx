import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Fix } from '@harbor-latch/core/findings/finding';
import type { WaterFacts } from '@harbor-latch/core/findings/waterFacts';
import type { Circuit } from '@harbor-latch/core/job/index';
import { fittedSensors, levelSensors } from '@harbor-latch/core/reference/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { View } from 'react-native';
import { useFixes } from '../../data/assessment';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Notice } from '../../ui/Notice';
import { Words } from '../../ui/Words';
import { Card } from '../../ui/Card';
import { Findings } from '../../ui/Findings';
import { BoatForm } from '../../fields/BoatForm';
import { ChoiceField } from '../../fields/ChoiceField';
import { More } from '../../fields/More';
import { NumberField } from '../../fields/NumberField';
import { Labelled } from './Labelled';
import { movedPiece, type WellPiece } from './wellPieces';
import { windowInWords } from './windowWords';

/** Places are kept to the millimetre: nearer than half of one is there. */
const SAME_M = 0.0005;

/** The chosen piece to the millimetre, its window with what bounds it, and what is wrong with where it stands. */
export const PlacePanel = memo(function PlacePanel({
  draft,
  water,
  subject,
  pieces,
  chosen,
  onChoose,
  filled,
  onFilled,
  limit,
  onCircuit,
  onBoat,
}: {
  readonly draft: Draft;
  readonly water: WaterFacts;
  readonly subject: AssessedCircuit;
  readonly pieces: readonly WellPiece[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
  readonly filled: 'off' | 'on' | 'limit';
  readonly onFilled: (filled: 'off' | 'on' | 'limit') => void;
  readonly limit: boolean;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  readonly onBoat: () => void;
}) {
  const units = useUnits();
  const piece = pieces.find(({ id }) => id === chosen);
  const index = draft.job.circuits.findIndex(({ id }) => id === piece?.circuit.id);
  const findings = (subject.status === 'incomplete' ? [] : subject.findings).filter(({ topic }) => topic === 'water');
  const fixes = useFixes(draft.job, subject.circuit.id, findings);
  const onFix = (fix: Fix) => onCircuit(fix.circuit, `Done: ${fix.label}`);
  const millimetres = (metres: number) => formatQuantity(metres, 'shortLength', units);
  const bestM = water.window?.recommendedM ?? null;
  const stands = piece !== undefined && bestM !== null && Math.abs(piece.place.zM - bestM) < SAME_M;
  const offered = piece?.what === 'float' && piece.movable && bestM !== null && !stands;
  return (
    <View style={{ gap: 12 }}>
      {pieces.length > 1 ? (
        <Labelled label="Piece">
          <ChoiceRow
            label="Piece"
            value={chosen}
            choices={pieces.map(({ id, name }) => ({ value: id, label: name }))}
            onChoose={onChoose}
          />
        </Labelled>
      ) : null}
      {piece?.what === 'float' && water.window ? (
        <View style={{ gap: 6, alignItems: 'flex-start' }}>
          <View role="status" aria-live="polite" style={{ gap: 2 }}>
            <Words kind="strong">
              {bestM === null ? 'No height serves' : `Best height of its base: ${millimetres(bestM)}`}
            </Words>
            <Words>{windowInWords(water, millimetres)}</Words>
            {bestM === null ? null : (
              <Words>
                {stands
                  ? 'It stands there. The green bar beside it shows every height that serves.'
                  : `It stands at ${millimetres(piece.place.zM)}. The green bar beside it shows every height that serves.`}
              </Words>
            )}
          </View>
          {!offered ? null : (
            <BigButton
              icon="arrow-collapse-vertical"
              onPress={() =>
                onCircuit(
                  movedPiece(piece, { ...piece.place, zM: bestM }),
                  `${piece.name} put at ${millimetres(bestM)}`,
                )
              }
            >
              Put it at the best height
            </BigButton>
          )}
        </View>
      ) : null}
      <Findings
        findings={findings.filter(({ severity }) => severity !== 'note')}
        fixes={fixes.known}
        main={!offered}
        onTake={(id) => fixes.take(id, onFix)}
      />
      <Labelled label="Water shown">
        <ChoiceRow
          label="Water shown"
          value={filled}
          choices={[
            { value: 'off', label: 'Float lets go' },
            { value: 'on', label: 'Float switches on' },
            ...(limit ? [{ value: 'limit' as const, label: 'At the limit' }] : []),
          ]}
          onChoose={onFilled}
        />
      </Labelled>
      {piece && index >= 0 ? (
        <BoatForm draft={draft}>
          <PieceFields piece={piece} index={index} water={water} />
        </BoatForm>
      ) : null}
      <Guesses draft={draft} water={water} onBoat={onBoat} />
      <Findings
        findings={findings.filter(({ severity }) => severity === 'note')}
        fixes={fixes.known}
        onTake={(id) => fixes.take(id, onFix)}
      />
    </View>
  );
});

function PieceFields({
  piece,
  index,
  water,
}: {
  readonly piece: WellPiece;
  readonly index: number;
  readonly water: WaterFacts;
}) {
  const at = ['circuits', index, 'water', piece.what === 'pump' ? 'pumpAt' : 'float'] as const;
  if (!piece.movable) {
    return (
      <Words kind="small" muted>
        {piece.what === 'pump'
          ? 'Heights and places are measured from this pump: the middle of its base is zero.'
          : 'This float is inside its pump and stands where the pump does.'}
      </Words>
    );
  }
  return (
    <View style={{ gap: 16 }}>
      <NumberField
        path={[...at, 'zM']}
        label="Base over the pump’s"
        quantity="shortLength"
        step={{ metric: 1, us: 0.1 }}
        assumed={0}
        signed
        guide="Straight up from the pump’s base to the float’s; a millimetre a touch."
      />
      <NumberField
        path={[...at, 'xM']}
        label="Forward of the pump"
        quantity="shortLength"
        step={{ metric: 10, us: 0.5 }}
        assumed={0}
        signed
        guide="Behind it is negative."
      />
      <NumberField
        path={[...at, 'yM']}
        label="To starboard of the pump"
        quantity="shortLength"
        step={{ metric: 10, us: 0.5 }}
        assumed={0}
        signed
        guide="To port is negative."
      />
      {piece.what === 'float' ? <FloatKind index={index} water={water} /> : null}
    </View>
  );
}

function FloatKind({ index, water }: { readonly index: number; readonly water: WaterFacts }) {
  const units = useUnits();
  const at = ['circuits', index, 'water', 'float'] as const;
  const { float, sensor } = water;
  if (!float || sensor === null || sensor === 'timer' || sensor === 'integral') return null;
  return (
    <Card>
      <View style={{ padding: 14 }}>
        <More
          title="Kind and trip heights"
          summary={`${sensor}, on at ${formatQuantity(float.onM, 'shortLength', units)}, off at ${formatQuantity(float.offM, 'shortLength', units)} over its base`}
          alone
        >
          <ChoiceField
            path={[...at, 'kind']}
            label="Kind of float"
            assumed={sensor}
            choices={fittedSensors.map((value) => ({ value, label: levelSensors[value].name }))}
            guide="Hinged floats lie level, hinge towards the flow; crumbs and rags wedge them, so give them a cage or use a probe."
          />
          <NumberField
            path={[...at, 'onM']}
            label="Switches on at"
            quantity="shortLength"
            step={{ metric: 5, us: 0.2 }}
            assumed={float.onM}
            guide="Water over its base. Read the leaflet, or lift it in a bucket."
          />
          <NumberField
            path={[...at, 'offM']}
            label="Switches off at"
            quantity="shortLength"
            step={{ metric: 5, us: 0.2 }}
            assumed={float.offM}
          />
          <NumberField
            path={[...at, 'onDelayS']}
            label="Waits before it starts"
            quantity="time"
            step={{ metric: 1, us: 1 }}
            assumed={float.onDelayS}
          />
          <NumberField
            path={[...at, 'runOnS']}
            label="Runs on after"
            quantity="time"
            step={{ metric: 1, us: 1 }}
            assumed={float.runOnS}
          />
        </More>
      </View>
    </Card>
  );
}

/** What is still an estimate, named where it is used. */
function Guesses({
  draft,
  water,
  onBoat,
}: {
  readonly draft: Draft;
  readonly water: WaterFacts;
  readonly onBoat: () => void;
}) {
  const { poses = [], circuits } = draft.job;
  const guessed = [
    water.survey.guessed ? 'the well' : null,
    poses.some((pose) => pose.guessed) ? 'the poses' : null,
    circuits.some((circuit) => circuit.water?.wellId === water.survey.id && circuit.water.hose?.guessed)
      ? 'the hose'
      : null,
  ].filter((one) => one !== null);
  if (guessed.length === 0) return null;
  return (
    <Notice
      tone="note"
      icon="help-circle-outline"
      actions={
        <BigButton mode="outlined" icon="arrow-right" onPress={onBoat}>
          The well and the poses
        </BigButton>
      }
    >
      {`Still estimates: ${guessed.join(', ')}. These are figures typical of the hull’s length; measure them with the boat, and the hose under Hose.`}
    </Notice>
  );
}
