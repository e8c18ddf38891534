import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { batteryOf } from '@harbor-latch/core/assess/batteryOf';
import { assumptionsOf } from '@harbor-latch/core/explain/index';
import { doubtsOf, legKinds } from '@harbor-latch/core/job/index';
import { schemeOf } from '@harbor-latch/core/schemes/index';
import { useMemo, useRef } from 'react';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { Card } from '../../ui/Card';
import { Gradually } from '../../ui/Gradually';
import { Words } from '../../ui/Words';
import { BoatForm } from '../../fields/BoatForm';
import { DoubtsContext } from '../../fields/FieldContext';
import { goToField } from '../../fields/goToField';
import { FiguresStage } from './FiguresStage';
import { FirstStage } from './FirstStage';
import { JudgeStage } from './JudgeStage';
import { LegStage } from './LegStage';
import { PhotographsCard } from '../../photographs/PhotographsCard';
import { More } from '../../fields/More';
import { NeededBar } from './NeededBar';
import { PanelStage } from './PanelStage';
import { PumpStage } from './PumpStage';
import { SourceStage } from './SourceStage';
import { WaterStage } from './WaterStage';

/** What can be seen and measured of a circuit, from the dry end to the wet end and back. */
export function SurveyStation({
  draft,
  index,
  assessed,
  onSize,
  onBoat,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly assessed: AssessedCircuit;
  readonly onSize: () => void;
  readonly onBoat: () => void;
}) {
  const page = useRef<View>(null);
  const units = useUnits();
  const { job } = draft;
  const circuit = job.circuits[index];
  const found = circuit ? doubtsOf(circuit, job.boat.hullLengthM, units) : [];
  // The same doubts are the same map: no field is shown anew for them.
  const text = JSON.stringify(found.map(({ path, message }) => [['circuits', index, ...path].join('/'), message]));
  const doubts = useMemo(() => new Map(JSON.parse(text) as [string, string][]), [text]);
  if (!circuit) return null;
  const { legs, options } = schemeOf(circuit);
  const shares = circuit.sharesFeedWith !== undefined;
  const legsAfter = (stop: 'source' | 'panel' | 'pump') =>
    legs
      .filter(({ key }) => legKinds[key].after === stop && !(shares && legKinds[key].ofFeed))
      .map((leg) => <LegStage key={leg.key} index={index} leg={leg} circuit={circuit} />);
  const pump = options.includes('pump');
  return (
    <BoatForm draft={draft}>
      <DoubtsContext.Provider value={doubts}>
        <View ref={page} style={{ gap: 12 }}>
          <NeededBar
            assessed={assessed}
            onJump={(path) => goToField(page.current, ['circuits', index, ...path])}
            onSize={onSize}
          />
          <Gradually first={1}>
            <FirstStage job={job} index={index} circuit={circuit} />
            {pump ? <SourceStage draft={draft} index={index} circuit={circuit} /> : null}
            {legsAfter('source')}
            <PanelStage draft={draft} index={index} circuit={circuit} />
            {legsAfter('panel')}
            {pump ? <PumpStage index={index} circuit={circuit} /> : null}
            {legsAfter('pump')}
            <WaterStage draft={draft} index={index} onBoat={onBoat} />
            {pump ? <FiguresStage index={index} circuit={circuit} /> : null}
            <JudgeStage index={index} circuit={circuit} />
            <Assumed draft={draft} index={index} />
            <PhotographsCard
              draft={draft}
              circuitId={circuit.id}
              hint="None yet. Worth one: the panel from behind, the pump’s data plate, the highest point of its hose."
            />
          </Gradually>
        </View>
      </DoubtsContext.Provider>
    </BoatForm>
  );
}

/** What defaults still stand in for, and what measuring each would change. */
function Assumed({ draft, index }: { readonly draft: Draft; readonly index: number }) {
  const units = useUnits();
  const circuit = draft.job.circuits[index];
  if (!circuit) return null;
  const assumptions = assumptionsOf(circuit, batteryOf(draft.job, circuit), units);
  if (assumptions.length === 0) return null;
  return (
    <Card>
      <View style={{ padding: 14 }}>
        <More title="Still assumed" summary={`${assumptions.length} defaults stand in for a measurement`} alone>
          {assumptions.map(({ what, assumed, changes }) => (
            <View key={what}>
              <Words kind="strong">{`${what}: ${assumed}`}</Words>
              <Words kind="small" muted>{`Measured: ${changes}.`}</Words>
            </View>
          ))}
        </More>
      </View>
    </Card>
  );
}
