import type { Job } from '@harbor-latch/core/job/index';
import { hoseWorking } from '@harbor-latch/core/explain/index';
import { waterOf } from '@harbor-latch/core/runs/circuitsOf';
import type { HoseChoice } from '@harbor-latch/core/runs/index';
import { hoseBoresM } from '@harbor-latch/core/findings/waterFixes';
import { defaults } from '@harbor-latch/core/reference/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { useWaterTask } from '../../data/waterWorker';
import { BigButton } from '../../ui/BigButton';
import { Notice } from '../../ui/Notice';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { BoatForm } from '../../fields/BoatForm';
import type { FloatStationProps } from './floatStationProps';
import { HeadFlowChart } from './HeadFlowChart';
import { HoseFields } from '../../fields/HoseFields';

/** What really leaves the boat: at three supplies, on both curves, and with other hose or cable. */
export function HosePanel({
  draft,
  assessed,
  width,
  onCircuit,
}: Pick<FloatStationProps, 'draft' | 'assessed' | 'onCircuit'> & { readonly width: number }) {
  const units = useUnits();
  const { job } = draft;
  const index = job.circuits.findIndex(({ id }) => id === assessed.circuit.id);
  const water = waterOf(assessed);
  const choices = useHoseChoices(job, assessed.circuit.id);
  if (assessed.status !== 'sized' || !water) {
    return <Words muted>This circuit has no pump, so no hose.</Words>;
  }
  const [now] = choices;
  const working = hoseWorking(water, units);
  const flow = (lPerH: number) => formatQuantity(lPerH, 'flow', units, 0);
  const head = (metres: number) => formatQuantity(metres, 'head', units, 2);
  const missing = !water.hose
    ? 'The hose is not surveyed yet.'
    : !water.curve
      ? 'The pump’s open flow and shut-off head, or points of its curve, are not entered yet: see the Survey.'
      : null;
  return (
    <View style={{ gap: 14 }}>
      {missing ? (
        <Notice tone="note" icon="progress-pencil">
          {missing}
        </Notice>
      ) : null}
      {now ? (
        <View style={{ gap: 4 }} role="status">
          <Words kind="bigFigure">
            {flow(now.flows.find(({ supplyV }) => supplyV === defaults.runningSupplyV)?.flowLPerH ?? 0)}
          </Words>
          <Words muted>
            {`leave the boat at ${defaults.runningSupplyV} V${now.share === null ? '' : `: ${Math.round(now.share * 100)} % of what the pump would move into the open at the same volts`}.`}
          </Words>
        </View>
      ) : null}
      {water.hose && water.curve ? (
        <HeadFlowChart
          curve={water.curve}
          hose={water.hose}
          waterIn={water.waterIn}
          liftM={water.poses[0]?.liftM ?? 0}
          supplies={assessed.facts.supplies}
          operating={water.poses[0]?.operating ?? []}
          width={width}
        />
      ) : null}
      {choices.length > 0 ? (
        <ChoiceTable
          choices={choices}
          flow={flow}
          head={head}
          onTake={(label, circuit) => onCircuit(circuit, `Chosen: ${label}`)}
        />
      ) : null}
      {working.length > 0 ? (
        <View style={{ gap: 6 }}>
          <Words kind="strong" level={2}>
            The working
          </Words>
          {working.map(({ what, figures }) => (
            <View key={what}>
              <Words kind="small" muted>
                {what}
              </Words>
              <Words>{figures}</Words>
            </View>
          ))}
        </View>
      ) : null}
      {index >= 0 ? (
        <BoatForm draft={draft}>
          <HoseFields draft={draft} index={index} bores={hoseBoresM} />
        </BoatForm>
      ) : null}
    </View>
  );
}

/** Other hoses and cables beside the circuit as it is: the last that were worked out, until those of the job as it is have come. */
function useHoseChoices(job: Job, circuitId: string): readonly HoseChoice[] {
  const units = useUnits();
  const [last, setLast] = useState<readonly HoseChoice[]>([]);
  const key = JSON.stringify(['hoses', job, circuitId, units]);
  const { state } = useWaterTask<readonly HoseChoice[]>(key, (work) => work.hoses(job, circuitId, units));
  if (state.kind === 'done' && state.result !== last) setLast(state.result);
  return state.kind === 'done' ? state.result : last;
}

function ChoiceTable({
  choices,
  flow,
  head,
  onTake,
}: {
  readonly choices: readonly HoseChoice[];
  readonly flow: (lPerH: number) => string;
  readonly head: (metres: number) => string;
  readonly onTake: (label: string, circuit: HoseChoice['circuit']) => void;
}) {
  const palette = usePalette();
  const rated = (one: (typeof choices)[number], volts: number) => one.flows.find(({ supplyV }) => supplyV === volts);
  return (
    <View style={{ gap: 6 }}>
      <Words kind="strong" level={2}>
        Side by side
      </Words>
      {choices.map((one, at) => (
        <View key={one.label} style={{ borderTopWidth: 1, borderColor: palette.line, paddingVertical: 8, gap: 4 }}>
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8, justifyContent: 'space-between' }}>
            <Words kind="strong" style={{ flexShrink: 1 }}>
              {one.label}
            </Words>
            {at === 0 ? null : (
              <BigButton mode="outlined" label={`Take: ${one.label}`} onPress={() => onTake(one.label, one.circuit)}>
                Take
              </BigButton>
            )}
          </View>
          <View style={{ flexDirection: 'row', gap: 10 }}>
            {defaults.suppliesV.map((volts) => (
              <View key={volts} style={{ flex: 1 }}>
                <Words kind="small" muted>{`${volts.toFixed(1)} V`}</Words>
                <Words style={{ fontVariant: ['tabular-nums'] }}>{flow(rated(one, volts)?.flowLPerH ?? 0)}</Words>
                <Words kind="small" muted>
                  {`at ${head(rated(one, volts)?.headM ?? 0)}`}
                </Words>
              </View>
            ))}
          </View>
        </View>
      ))}
    </View>
  );
}
