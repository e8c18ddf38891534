import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { labelGrids, type LabelGridKey } from '@harbor-latch/core/documents/labelSheet';
import { paperKinds, type PaperKind } from '@harbor-latch/core/documents/paperFor';
import type { Paper } from '@harbor-latch/core/documents/sheetNodes';
import { format } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { makePaper } from '../../data/papers';
import { useUnits } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Notice } from '../../ui/Notice';
import { Words } from '../../ui/Words';

type State = { readonly kind: 'idle' | 'making' } | { readonly kind: 'failed'; readonly message: string };

const grids = (Object.keys(labelGrids) as LabelGridKey[]).map((value) => ({ value, label: labelGrids[value].name }));

/** Papers that go aboard, made on this device: the job sheet with the drawing, and labels. */
export function PapersPanel({ draft, assessed }: { readonly draft: Draft; readonly assessed: AssessedCircuit }) {
  const units = useUnits();
  const [paper, setPaper] = useState<Paper>(units === 'us' ? 'letter' : 'a4');
  const [grid, setGrid] = useState<LabelGridKey>(units === 'us' ? 'letter-30' : 'a4-24');
  const [state, setState] = useState<State>({ kind: 'idle' });
  const { job } = draft;
  const { circuit } = assessed;
  const title = `${job.boat.name} ${circuit.name}`;
  const make = async (kind: PaperKind) => {
    setState({ kind: 'making' });
    try {
      const message = await makePaper(`${title} ${paperKinds[kind]}`, {
        job,
        circuitId: circuit.id,
        units,
        kind,
        paper,
        grid,
        address: `${window.location.origin}/boat/${job.boat.id}/${circuit.id}/build`,
        day: format(new Date(), 'd MMM yyyy'),
        version: draft.basedOn,
      });
      setState(message === null ? { kind: 'idle' } : { kind: 'failed', message });
    } catch (error) {
      setState({ kind: 'failed', message: error instanceof Error ? error.message : 'The paper could not be made.' });
    }
  };
  return (
    <>
      <Card>
        <View style={{ padding: 14, gap: 10 }}>
          <Words kind="heading" level={2}>
            Job sheet
          </Words>
          <Words kind="small" muted>
            Findings and cautions, the drawing, every conductor, joint, step and part, and what the meter shows: enough
            to wire the circuit from paper alone.
          </Words>
          <ChoiceRow
            label="Paper"
            value={paper}
            choices={[
              { value: 'a4' as const, label: 'A4' },
              { value: 'letter' as const, label: 'Letter' },
            ]}
            onChoose={setPaper}
          />
          <View style={{ alignItems: 'flex-start', gap: 8 }}>
            <BigButton icon="printer-outline" onPress={() => void make('job')}>
              Job sheet as PDF
            </BigButton>
            <BigButton mode="outlined" icon="printer-outline" onPress={() => void make('cuts')}>
              Cut list as PDF
            </BigButton>
            <BigButton mode="outlined" icon="printer-outline" onPress={() => void make('parts')}>
              Parts list as PDF
            </BigButton>
            <BigButton mode="outlined" icon="printer-outline" onPress={() => void make('proof')}>
              Readings to take as PDF
            </BigButton>
            <BigButton mode="outlined" icon="printer-outline" onPress={() => void make('chart')}>
              Fault-finding chart as PDF
            </BigButton>
            <BigButton mode="outlined" icon="printer-outline" onPress={() => void make('template')}>
              Cut-outs at full size as PDF
            </BigButton>
          </View>
        </View>
      </Card>
      <Card>
        <View style={{ padding: 14, gap: 10 }}>
          <Words kind="heading" level={2}>
            Labels
          </Words>
          <Words kind="small" muted>
            Both ends of each conductor, both sides of each bulkhead, and the source. Print at full size.
          </Words>
          <ChoiceRow label="Sheet of labels" value={grid} choices={grids} onChoose={setGrid} />
          <View style={{ alignItems: 'flex-start' }}>
            <BigButton mode="outlined" icon="printer-outline" onPress={() => void make('labels')}>
              Labels as PDF
            </BigButton>
          </View>
        </View>
      </Card>
      {state.kind === 'making' ? (
        <Words role="status" muted>
          Making the paper …
        </Words>
      ) : null}
      {state.kind === 'failed' ? (
        <Notice tone="stop" icon="alert-octagon">
          {state.message}
        </Notice>
      ) : null}
    </>
  );
}
