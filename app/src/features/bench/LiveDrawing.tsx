import type { TerminalRef } from '@harbor-latch/core/circuit/index';
import type { Diagram } from '@harbor-latch/core/drawing/diagram';
import { terminalInWords, type Plan } from '@harbor-latch/core/schemes/index';
import { formatVolts } from '@harbor-latch/core/units/index';
import { memo, useMemo, type Ref } from 'react';
import { BandDrawing, type Lit } from '../../drawing/BandDrawing';
import type { TerminalTouch } from '../../drawing/live';
import type { Reach } from '../../drawing/reach';
import { benchLive } from './benchDrawing';
import type { Bench } from './useBench';

/** The circuit at work as the bench stands; painted anew only when that is another. */
export const LiveDrawing = memo(function LiveDrawing({
  diagram,
  bench,
  plan,
  posts,
  width,
  selected,
  onSelect,
  onTerminal,
  probes,
  reach,
}: {
  readonly diagram: Diagram;
  readonly bench: Bench;
  readonly plan: Plan;
  readonly posts: Readonly<Record<string, string>>;
  readonly width: number;
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
  /** Touches terminals; null while parts and conductors are touched. */
  readonly onTerminal: ((at: TerminalRef) => void) | null;
  /** Where the meter's leads are, or the new conductor begins. */
  readonly probes: Lit;
  readonly reach: Ref<Reach>;
}) {
  const { netlist, row, state } = bench;
  const live = useMemo(() => {
    const touch: TerminalTouch | null = onTerminal && {
      onTerminal,
      label: (at) =>
        `${terminalInWords(plan, at, posts)}: ${row.point ? formatVolts(row.point.voltsAt(at)) : 'no steady volts'}`,
      ...probes,
    };
    return benchLive(diagram, netlist, row, new Set(state.faults.flatMap(({ at }) => at.split('~'))), touch);
  }, [diagram, netlist, row, state.faults, plan, posts, onTerminal, probes]);
  return (
    <BandDrawing
      diagram={diagram}
      width={width}
      selected={selected}
      onSelect={onSelect}
      live={live}
      reach={reach}
      label={
        onTerminal
          ? 'The circuit at work. Each terminal is a button.'
          : 'The circuit at work, from source to bilge. Each conductor and part is a button.'
      }
    />
  );
});
