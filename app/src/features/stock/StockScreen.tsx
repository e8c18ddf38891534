import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Job } from '@harbor-latch/core/job/index';
import type { OpenJobs } from '@harbor-latch/core/build/openJobs';
import { useYardOrder } from '../../data/assessment';
import { useYard, useYardState } from '../../data/boats';
import { useStock, useStockHand } from '../../stock/useStock';
import { WaitingNotice } from '../../saving/WaitingNotice';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Notice } from '../../ui/Notice';
import { Screen } from '../../ui/Screen';
import { ToolTabs } from '../../ui/ToolTabs';
import { Words } from '../../ui/Words';
import { DrumsPanel } from './DrumsPanel';
import { OrderPanel } from './OrderPanel';
import { StockPartsPanel } from './StockPartsPanel';

type Tool = 'cable' | 'parts' | 'order';

const tools: readonly { readonly key: Tool; readonly name: string }[] = [
  { key: 'cable', name: 'Cable' },
  { key: 'parts', name: 'Parts' },
  { key: 'order', name: 'To order' },
];

/** What the yard has of cable and parts, and what its open jobs still take. */
export function StockScreen() {
  const { state, refused } = useStock();
  const hand = useStockHand();
  const [tool, setTool] = useState<Tool>('cable');
  const [which, setWhich] = useState<OpenJobs>('begun');
  const yard = useYard();
  const yardState = useYardState();
  const jobs = useMemo(() => yard.boats.flatMap(({ job }): Job[] => (job ? [job] : [])), [yard.boats]);
  const order = useYardOrder('stock', jobs, state, which);
  return (
    <Screen
      title="Stock"
      back="/"
      under={
        <Words kind="small" muted>
          Van, store and shelf
        </Words>
      }
    >
      <WaitingNotice yard={yardState} boats={yard.boats.length} />
      <Card>
        <View style={{ flexDirection: 'row' }}>
          <ToolTabs label="What of the stock" tools={tools} chosen={tool} onChoose={setTool} />
        </View>
      </Card>
      {refused.map(({ id, reason }) => (
        <Notice
          key={id}
          tone="stop"
          icon="alert-octagon"
          actions={
            <BigButton mode="outlined" onPress={() => hand.giveUp(id)}>
              Give it up
            </BigButton>
          }
        >
          {reason}
        </Notice>
      ))}
      {state.problems.map(({ message, entries }) => (
        <Notice
          key={message}
          tone="caution"
          icon="alert"
          actions={
            <BigButton
              mode="outlined"
              icon="undo"
              onPress={() => entries[0] !== undefined && hand.takeBack(entries[0], 'The last cut was taken back')}
            >
              Take back the last cut
            </BigButton>
          }
        >
          {message}
        </Notice>
      ))}
      {tool === 'cable' ? <DrumsPanel state={state} hand={hand} /> : null}
      {tool === 'parts' ? <StockPartsPanel state={state} hand={hand} order={order} /> : null}
      {tool === 'order' ? (
        <OrderPanel order={order} which={which} onWhich={setWhich} drums={state.drums} whole={yard.whole} />
      ) : null}
    </Screen>
  );
}
