import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { standingOf, type Standing } from '@harbor-latch/core/assess/standing';
import { worstSeverity } from '@harbor-latch/core/findings/finding';
import type { ReactNode } from 'react';
import type { IconName } from '../../ui/Icon';
import { BenchStation } from '../bench/BenchStation';
import { FloatStation } from '../float/FloatStation';
import { SizeStation } from '../size/SizeStation';
import { SurveyStation } from '../survey/SurveyStation';
import type { AtStation, Station } from './atStation';
import { DrawingStation } from './DrawingStation';

export interface StationEntry {
  readonly key: Station;
  readonly name: string;
  readonly icon: IconName;
  /** Whether it stands in the rail of a wide page; the drawing is part of other stations there. */
  readonly onRail: boolean;
  /** Whether it waits until the survey has what sizing needs. */
  readonly needsSized: boolean;
  /** A page that scrolls, the drawing beside it where there is room; or a station that fills its room by itself. */
  readonly frame: 'page' | 'own';
  /** What is marked at its name: something to do there. */
  readonly mark: (assessed: AssessedCircuit) => Standing | null;
  readonly show: (at: AtStation) => ReactNode;
}

const nothing = () => null;

/** Every station, in the order of the work; a new one is an entry here and a folder of its own. */
export const stations: readonly StationEntry[] = [
  {
    key: 'survey',
    name: 'Survey',
    icon: 'tape-measure',
    onRail: true,
    needsSized: false,
    frame: 'page',
    mark: (assessed) => (assessed.status === 'incomplete' && assessed.needs.length > 0 ? 'incomplete' : null),
    show: ({ draft, index, assessed }) => <SurveyStation draft={draft} index={index} assessed={assessed} />,
  },
  {
    key: 'size',
    name: 'Size',
    icon: 'scale-balance',
    onRail: true,
    needsSized: true,
    frame: 'page',
    mark: (assessed) => {
      const standing = standingOf(assessed);
      return standing === 'stop' || standing === 'caution' ? standing : null;
    },
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
    onRail: true,
    needsSized: true,
    frame: 'own',
    mark: waterMark,
    show: ({ draft, assessed, all, wide, width, height, onCircuit, onJob }) => (
      <FloatStation
        draft={draft}
        assessed={assessed}
        all={all}
        width={wide ? width - 180 - 480 : width}
        height={height}
        beside={wide}
        onCircuit={onCircuit}
        onJob={onJob}
      />
    ),
  },
  {
    key: 'bench',
    name: 'Bench',
    icon: 'flash-outline',
    onRail: true,
    needsSized: true,
    frame: 'own',
    mark: nothing,
    show: ({ draft, assessed, wide, width, onCircuit }) =>
      assessed.status === 'incomplete' ? null : (
        <BenchStation
          job={draft.job}
          assessed={assessed}
          width={wide ? Math.min(560, width - 180 - 480) : Math.min(width, 560)}
          beside={wide}
          onCircuit={onCircuit}
        />
      ),
  },
  {
    key: 'drawing',
    name: 'Drawing',
    icon: 'transit-connection-variant',
    onRail: false,
    needsSized: false,
    frame: 'own',
    mark: nothing,
    show: (at) => <DrawingStation {...at} />,
  },
];

/** The worst that is found of where pump and float stand. */
function waterMark(assessed: AssessedCircuit): Standing | null {
  if (assessed.status === 'incomplete') return null;
  const worst = worstSeverity(assessed.findings.filter(({ topic }) => topic === 'water'));
  return worst === 'note' ? null : worst;
}

/** A station by the name in an address; the survey for any other. */
export function stationNamed(name: string | undefined): Station {
  return stations.find(({ key }) => key === name)?.key ?? 'survey';
}
