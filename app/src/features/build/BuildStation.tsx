import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Circuit } from '@harbor-latch/core/job/index';
import { useState } from 'react';
import { View } from 'react-native';
import { useBuilding } from '../../data/assessment';
import type { Draft } from '../../data/draft';
import { PhotographsCard } from '../../photographs/PhotographsCard';
import { Card } from '../../ui/Card';
import { ToolTabs } from '../../ui/ToolTabs';
import { CablePanel } from './CablePanel';
import { JointsPanel } from './JointsPanel';
import { PapersPanel } from './PapersPanel';
import { PartsPanel } from './PartsPanel';
import { PostsPanel } from './PostsPanel';
import { Problems } from './Problems';
import { StepsPanel } from './StepsPanel';

type Tool = 'posts' | 'cable' | 'joints' | 'parts' | 'steps' | 'papers';

const tools: readonly { readonly key: Tool; readonly name: string }[] = [
  { key: 'posts', name: 'Posts' },
  { key: 'cable', name: 'Cable' },
  { key: 'joints', name: 'Joints' },
  { key: 'parts', name: 'Parts' },
  { key: 'steps', name: 'Steps' },
  { key: 'papers', name: 'Papers' },
];

/** °C, where nothing else was said. */
const USUAL_C = 20;

/** What it takes to build a circuit, and the steps of it, one after the other. */
export function BuildStation({
  draft,
  index,
  assessed,
  onCircuit,
  onSelect,
  onShow,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly assessed: AssessedCircuit;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  /** Lights what it is about in the drawing. */
  readonly onSelect: (id: string | null) => void;
  readonly onShow: (id: string) => void;
}) {
  const [tool, setTool] = useState<Tool>('cable');
  const circuit = draft.job.circuits[index];
  const temperatureC = circuit?.build?.temperatureC ?? USUAL_C;
  const building = useBuilding(draft.job, circuit?.id ?? '', temperatureC);
  if (!circuit) return null;
  return (
    <View style={{ gap: 12 }}>
      <Card>
        <View style={{ flexDirection: 'row' }}>
          <ToolTabs label="What to build by" tools={tools} chosen={tool} onChoose={setTool} />
        </View>
      </Card>
      {building ? <Problems problems={building.list.problems} differences={building.list.differences} /> : null}
      {tool === 'posts' ? <PostsPanel draft={draft} index={index} circuit={circuit} onCircuit={onCircuit} /> : null}
      {building && tool === 'cable' ? (
        <CablePanel
          draft={draft}
          index={index}
          circuit={circuit}
          list={building.list}
          onCircuit={onCircuit}
          onSelect={onSelect}
        />
      ) : null}
      {building && tool === 'joints' ? (
        <JointsPanel circuit={circuit} list={building.list} onCircuit={onCircuit} onSelect={onSelect} />
      ) : null}
      {building && tool === 'parts' ? (
        <PartsPanel draft={draft} index={index} circuit={circuit} list={building.list} onCircuit={onCircuit} />
      ) : null}
      {building && tool === 'steps' ? (
        <StepsPanel
          draft={draft}
          circuit={circuit}
          building={building}
          temperatureC={temperatureC}
          onCircuit={onCircuit}
          onSelect={onSelect}
          onShow={onShow}
        />
      ) : null}
      {tool === 'papers' ? <PapersPanel draft={draft} assessed={assessed} /> : null}
      {tool === 'steps' ? (
        <PhotographsCard
          draft={draft}
          circuitId={circuit.id}
          hint="None yet. Each step says what is worth one: joints before and after the sleeve above all."
        />
      ) : null}
    </View>
  );
}
