import type { DrumLeft, StockCut, StockState } from '@harbor-latch/core/build/stockLedger';
import { colourFromWords } from '@harbor-latch/core/schemes/colourInWords';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { format } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import type { StockHand } from '../../stock/useStock';
import { Swatch } from '../../drawing/Swatch';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Empty } from '../../ui/Empty';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { DrumDialog } from './DrumDialog';

/** A rest shorter than this is an offcut, m. */
const OFFCUT_M = 5;

const collator = new Intl.Collator(undefined, { numeric: true });

/** Drums and offcuts with what is left on each. */
export function DrumsPanel({ state, hand }: { readonly state: StockState; readonly hand: StockHand }) {
  const [open, setOpen] = useState<string | null>(null);
  const [adding, setAdding] = useState<DrumLeft | 'new' | null>(null);
  const drums = [...state.drums].sort(
    (a, b) => collator.compare(a.size, b.size) || collator.compare(a.colour, b.colour) || a.metres - b.metres,
  );
  const add = (
    <BigButton icon="plus" onPress={() => setAdding('new')}>
      Add a drum or offcut
    </BigButton>
  );
  return (
    <>
      {drums.length === 0 ? (
        <Empty icon="package-variant" title="No cable listed yet" action={add}>
          List the drums and offcuts in the van: the cut list then says what to cut from which, with the least waste,
          and the order leaves out what is there.
        </Empty>
      ) : (
        <>
          <Card>
            {drums.map((drum, index) => (
              <DrumRow
                key={drum.id}
                drum={drum}
                first={index === 0}
                cuts={state.cuts.filter((cut) => cut.drum === drum.id)}
                open={open === drum.id}
                onToggle={() => setOpen(open === drum.id ? null : drum.id)}
                onCount={() => setAdding(drum)}
                hand={hand}
              />
            ))}
          </Card>
          <View style={{ alignItems: 'flex-start' }}>{add}</View>
        </>
      )}
      {adding ? (
        <DrumDialog
          of={adding === 'new' ? null : adding}
          onClose={() => setAdding(null)}
          onDrum={(change, said) => {
            setAdding(null);
            hand.note(change, said);
          }}
        />
      ) : null}
    </>
  );
}

function DrumRow({
  drum,
  first,
  cuts,
  open,
  onToggle,
  onCount,
  hand,
}: {
  readonly drum: DrumLeft;
  readonly first: boolean;
  readonly cuts: readonly StockCut[];
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly onCount: () => void;
  readonly hand: StockHand;
}) {
  const palette = usePalette();
  const units = useUnits();
  const { size, colour, metres, countedM, insulationC, opened, place } = drum;
  const left = formatQuantity(metres, 'length', units);
  const kind = opened === null ? 'whole' : metres < OFFCUT_M ? 'offcut' : 'begun';
  const insulation = colourFromWords(colour);
  return (
    <View style={{ borderTopWidth: first ? 0 : 1, borderColor: palette.line }}>
      <PressRow
        expanded={open}
        label={`${size}, ${colour}: ${left} left, ${kind}`}
        onPress={onToggle}
        style={{ flexDirection: 'row', alignItems: 'center', gap: 10, paddingVertical: 10, paddingHorizontal: 14 }}
      >
        {insulation ? <Swatch colour={insulation} /> : <Icon name="cable-data" color={palette.muted} />}
        <View style={{ flex: 1, minWidth: 0, gap: 2 }}>
          <Words kind="strong">{`${size}, ${colour}`}</Words>
          <Words kind="small" muted>
            {[kind, `${insulationC}\u00a0°C`, place].filter(Boolean).join(' · ')}
          </Words>
          <LeftBar share={countedM > 0 ? metres / countedM : 0} />
        </View>
        <Words kind="figure" color={drum.overM > 0 ? palette.stop : palette.text}>
          {left}
        </Words>
        <Icon name={open ? 'chevron-up' : 'chevron-down'} size={24} color={palette.muted} />
      </PressRow>
      {open ? (
        <View style={{ padding: 14, paddingTop: 0, gap: 10 }}>
          <Words kind="small" muted>
            {`Counted as ${formatQuantity(countedM, 'length', units)}${opened === null ? '' : `, first cut on ${opened}`}.`}
          </Words>
          {cuts.map((cut) => (
            <View key={cut.entry} style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
              <Words kind="small" style={{ flex: 1, minWidth: 0 }}>
                {`${formatQuantity(cut.metres, 'length', units)} ${cut.for ? `for ${cut.for.words}` : 'for nothing listed'} · ${format(new Date(cut.at), 'd MMM')}${cut.by === '' ? '' : ` · ${cut.by}`}`}
              </Words>
              <BigButton
                mode="text"
                label={`Take back the cut of ${formatQuantity(cut.metres, 'length', units)}`}
                onPress={() => hand.takeBack(cut.entry, 'The cut was taken back')}
              >
                Take back
              </BigButton>
            </View>
          ))}
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <BigButton mode="outlined" icon="tape-measure" onPress={onCount}>
              Count it anew
            </BigButton>
            <BigButton
              mode="text"
              onPress={() => hand.note({ kind: 'gone', drum: drum.id }, `${size}, ${colour} taken off the list`)}
            >
              It is gone
            </BigButton>
          </View>
        </View>
      ) : null}
    </View>
  );
}

/** How much of a drum is left. */
function LeftBar({ share }: { readonly share: number }) {
  const palette = usePalette();
  return (
    <View
      aria-hidden
      style={{ height: 6, borderRadius: 3, backgroundColor: palette.line, overflow: 'hidden', marginTop: 2 }}
    >
      <View style={{ height: 6, width: `${Math.min(1, share) * 100}%`, backgroundColor: palette.muted }} />
    </View>
  );
}
