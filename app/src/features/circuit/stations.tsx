import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { standingBy, type Standing } from '@harbor-latch/core/assess/standing';
import type { Finding } from '@harbor-latch/core/findings/finding';
import type { ProofStands } from '@harbor-latch/core/prove/proofStands';
import type { ReactNode } from 'react';
import type { IconName } from '../../ui/Icon';
import { BuildStation } from '../build/BuildStation';
import { BenchStation } from '../bench/BenchStation';
import { FloatStation } from '../float/FloatStation';
import { ProveStation } from '../prove/ProveStation';
import { SizeStation } from '../size/SizeStation';
import { TraceStation } from '../trace/TraceStation';
import { SurveyStation } from '../survey/SurveyStation';
import type { AtStation, PlaceKey, Station } from './atStation';
import { DrawingStation } from './DrawingStation';

/** How a station stands: its mark, and what it still lacks. */
export interface Stands {
  readonly standing: Standing;
  readonly words: string;
}

export interface StationEntry {
  readonly key: Station;
  readonly name: string;
  readonly icon: IconName;
  /** The place it is a step of; null for the drawing, which every station can open and which is part of them on a wide page. */
  readonly place: PlaceKey | null;
  /** Whether it waits until the survey has what sizing needs. */
  readonly needsSized: boolean;
  /** What it shows above all: what is entered, which stands at once and is never faded; or figures, which a change waits for. */
  readonly shows: 'entries' | 'figures';
  /** A page that scrolls, the drawing beside it where there is room; or a station that fills its room by itself. */
  readonly frame: 'page' | 'own';
  /** How it stands, said at its name; null where there is nothing to say. */
  readonly stands: (assessed: AssessedCircuit, proof: ProofStands | null) => Stands | null;
  readonly show: (at: AtStation) => ReactNode;
}

const nothing = () => null;

/** Every station, in the order of the work; a new one is an entry here and a folder of its own. */
export const stations: readonly StationEntry[] = [
  {
    key: 'survey',
    name: 'Survey',
    icon: 'tape-measure',
    place: 'plan',
    needsSized: false,
    shows: 'entries',
    frame: 'page',
    stands: surveyStands,
    show: ({ draft, index, assessed, onGo, onBoat }) => (
      <SurveyStation draft={draft} index={index} assessed={assessed} onSize={() => onGo('size')} onBoat={onBoat} />
    ),
  },
  {
    key: 'size',
    name: 'Size',
    icon: 'scale-balance',
    place: 'plan',
    needsSized: true,
    shows: 'figures',
    frame: 'page',
    stands: (assessed) => stands(assessed, ({ topic }) => topic !== 'water'),
    show: ({ draft, assessed, selected, onSelect, onCircuit, onFix, onGo }) => (
      <SizeStation
        job={draft.job}
        assessed={assessed}
        selected={selected}
        onSelect={onSelect}
        onCircuit={onCircuit}
        onFix={onFix}
        onSurvey={() => onGo('survey')}
      />
    ),
  },
  {
    key: 'float',
    name: 'Float',
    icon: 'waves-arrow-up',
    place: 'plan',
    needsSized: true,
    shows: 'figures',
    frame: 'own',
    stands: waterStands,
    show: ({ draft, assessed, all, room, onCircuit, onJob, onBoat }) => (
      <FloatStation
        draft={draft}
        assessed={assessed}
        all={all}
        room={room}
        onCircuit={onCircuit}
        onJob={onJob}
        onBoat={onBoat}
      />
    ),
  },
  {
    key: 'bench',
    name: 'Bench',
    icon: 'flash-outline',
    place: 'bench',
    needsSized: true,
    shows: 'figures',
    frame: 'own',
    stands: nothing,
    show: ({ draft, assessed, room, onCircuit }) =>
      assessed.status === 'incomplete' ? null : (
        <BenchStation job={draft.job} assessed={assessed} room={room} onCircuit={onCircuit} />
      ),
  },
  {
    key: 'build',
    name: 'Build',
    icon: 'hammer-wrench',
    place: 'build',
    needsSized: true,
    shows: 'figures',
    frame: 'page',
    stands: buildStands,
    show: ({ draft, index, assessed, room, onCircuit, onSelect, onGo }) => (
      <BuildStation
        draft={draft}
        index={index}
        assessed={assessed}
        onCircuit={onCircuit}
        onSelect={onSelect}
        onShow={(id) => {
          onSelect(id);
          if (room.layout !== 'wide') onGo('drawing');
        }}
      />
    ),
  },
  {
    key: 'prove',
    name: 'Prove',
    icon: 'clipboard-check-outline',
    place: 'prove',
    needsSized: true,
    shows: 'figures',
    frame: 'own',
    stands: (_assessed, proof) => provedStands(proof),
    show: ({ draft, assessed, room, onGo }) =>
      assessed.status === 'incomplete' ? null : (
        <ProveStation draft={draft} assessed={assessed} room={room} onTrace={() => onGo('trace')} />
      ),
  },
  {
    key: 'trace',
    name: 'Trace',
    icon: 'magnify',
    place: 'trace',
    needsSized: true,
    shows: 'figures',
    frame: 'own',
    stands: nothing,
    show: ({ draft, assessed, room }) =>
      assessed.status === 'incomplete' ? null : <TraceStation draft={draft} assessed={assessed} room={room} />,
  },
  {
    key: 'drawing',
    name: 'Drawing',
    icon: 'transit-connection-variant',
    place: null,
    needsSized: false,
    shows: 'figures',
    frame: 'own',
    stands: nothing,
    show: (at) => <DrawingStation {...at} />,
  },
];

function surveyStands(assessed: AssessedCircuit): Stands | null {
  if (assessed.status !== 'incomplete') return { standing: 'good', words: 'Enough' };
  const { length } = assessed.needs;
  return length === 0 ? null : { standing: 'incomplete', words: `${length} needed` };
}

/** How a sized circuit stands by those findings that are a station's. */
function stands(assessed: AssessedCircuit, own: (finding: Finding) => boolean): Stands | null {
  if (assessed.status === 'incomplete')
    return assessed.needs.length === 0 ? null : { standing: 'incomplete', words: 'Waits' };
  const found = assessed.findings.filter(own);
  const standing = standingBy(found);
  const count = found.filter(({ severity }) => severity === standing).length;
  switch (standing) {
    case 'stop':
      return { standing, words: count === 1 ? '1 stop' : `${count} stops` };
    case 'caution':
      return { standing, words: count === 1 ? '1 caution' : `${count} cautions` };
    case 'good':
      return { standing, words: 'Good' };
    default:
      return standing satisfies never;
  }
}

function waterStands(assessed: AssessedCircuit): Stands | null {
  if (assessed.status !== 'incomplete' && assessed.circuit.water === undefined)
    return { standing: 'incomplete', words: 'No well yet' };
  return stands(assessed, ({ topic }) => topic === 'water');
}

/** How far the building of a circuit has come. */
function buildStands({ status, circuit }: AssessedCircuit): Stands | null {
  const marked = Object.keys(circuit.steps ?? {}).length;
  if (status === 'incomplete' || marked === 0) return null;
  return { standing: 'good', words: `${marked} done` };
}

/** How far the proof in the boat has come. */
function provedStands(proof: ProofStands | null): Stands | null {
  if (proof === null) return null;
  if (proof.kind === 'begun') return { standing: 'incomplete', words: `${proof.readings} read` };
  return proof.proved ? { standing: 'good', words: 'Signed' } : { standing: 'caution', words: 'Not proved' };
}

/** A station by the name in an address; the survey for any other. */
export function stationNamed(name: string | undefined): Station {
  return stations.find(({ key }) => key === name)?.key ?? 'survey';
}
