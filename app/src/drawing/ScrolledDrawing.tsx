import type { TerminalRef } from '@harbor-latch/core/circuit/index';
import type { Diagram } from '@harbor-latch/core/drawing/diagram';
import { Scrolled } from '../ui/Scrolled';
import { BandDrawing } from './BandDrawing';
import type { Live } from './live';
import { useScrolledTo } from './useScrolledTo';

const noSelect = () => undefined;

/** A drawing that is looked at beside a test: it scrolls to what the test touches, which is lit. */
export function ScrolledDrawing({
  diagram,
  width,
  between,
  at = null,
  live = null,
  region,
  label,
}: {
  readonly diagram: Diagram;
  readonly width: number;
  readonly between: readonly [TerminalRef, TerminalRef] | null;
  /** The part or conductor that is tested as a whole. */
  readonly at?: string | null;
  readonly live?: Live | null;
  /** What a screen reader hears of what scrolls, and of the drawing. */
  readonly region: string;
  readonly label: string;
}) {
  const [red, black] = between ?? [null, null];
  const { room, reach } = useScrolledTo(red?.part ?? at, black?.part ?? at);
  return (
    <Scrolled room={room} region={region} content={{ alignItems: 'center', paddingVertical: 8 }}>
      <BandDrawing
        diagram={diagram}
        width={width}
        selected={at}
        onSelect={noSelect}
        reach={reach}
        lit={{ red, black }}
        {...(live ? { live } : {})}
        label={label}
      />
    </Scrolled>
  );
}
