import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { useMemo } from 'react';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { BandDrawing } from '../../drawing/BandDrawing';
import { drawn } from '../../drawing/drawn';
import { Scrolled } from '../../ui/Scrolled';
import { Inspector } from './Inspector';
import type { AtStation } from './atStation';

/** The drawing on a phone, with what was touched in words under it. */
export function DrawingStation({ draft, assessed, room, selected, onSelect, onGo }: AtStation) {
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      <Scrolled content={{ alignItems: 'center', paddingBottom: 16 }}>
        <CircuitDrawing
          draft={draft}
          assessed={assessed}
          width={Math.min(room.drawingWidth, 560)}
          selected={selected}
          onSelect={onSelect}
        />
      </Scrolled>
      <Inspector assessed={assessed} selected={selected} onClose={() => onSelect(null)} onSize={() => onGo('size')} />
    </View>
  );
}

/** The circuit from source to bilge. */
export function CircuitDrawing({
  draft,
  assessed,
  width,
  selected,
  onSelect,
}: {
  readonly draft: Draft;
  readonly assessed: AssessedCircuit;
  readonly width: number;
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
}) {
  const units = useUnits();
  const diagram = useMemo(() => drawn.diagram(assessed, draft.job, units), [assessed, draft.job, units]);
  return (
    <BandDrawing
      diagram={diagram}
      width={width}
      selected={selected}
      onSelect={onSelect}
      label="Drawing of the circuit from source to bilge. Each conductor and part is a button."
    />
  );
}
