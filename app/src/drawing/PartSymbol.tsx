import type { Doing } from '@harbor-latch/core/circuit/index';
import type { PlacedPart } from '@harbor-latch/core/drawing/diagram';
import { symbolMarks } from '@harbor-latch/core/drawing/symbolMarks';
import { memo } from 'react';
import { G } from 'react-native-svg';
import type { Palette } from '../ui/palette';
import { inksOf, Marks } from './Marks';

/** The symbol of a part, painted where the part stands. */
export const PartSymbol = memo(function PartSymbol({
  part,
  doing,
  palette,
}: {
  readonly part: PlacedPart;
  /** What the part is doing, where it is at work; contacts are then drawn as they stand. */
  readonly doing?: Doing | undefined;
  readonly palette: Palette;
}) {
  return (
    <G transform={`translate(${part.at.x} ${part.at.y})`}>
      <Marks marks={symbolMarks(part, doing, inksOf(palette))} />
    </G>
  );
});
