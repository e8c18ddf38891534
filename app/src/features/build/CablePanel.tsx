import { cutTable } from '@harbor-latch/core/documents/buildTables';
import type { BuildConductor, BuildList } from '@harbor-latch/core/build/buildList';
import { colourInWords } from '@harbor-latch/core/schemes/colourInWords';
import { insulationColours, type Circuit, type InsulationColour, type Job } from '@harbor-latch/core/job/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { YardOrder } from '@harbor-latch/core/build/openJobs';
import { cutByPiece, pieceKey } from '@harbor-latch/core/build/stockLedger';
import { useYardOrder } from '../../data/assessment';
import { useStock } from '../../stock/useStock';
import type { Draft } from '../../data/draft';
import { exportTable } from '../../data/exportTable';
import { useUnits } from '../../data/settings';
import { BoatForm } from '../../fields/BoatForm';
import { NumberField } from '../../fields/NumberField';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Icon } from '../../ui/Icon';
import { PressRow } from '../../ui/PressRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { withColour } from './changes';
import { PullFields } from './PullFields';
import { StockCut } from './StockCut';
import { Swatch } from '../../drawing/Swatch';

interface CableProps {
  readonly draft: Draft;
  readonly index: number;
  readonly circuit: Circuit;
  readonly list: BuildList;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  readonly onSelect: (id: string | null) => void;
}

/** Every conductor with the length to cut it to, its colour, its ends and its labels; what to order of it. */
export function CablePanel({ draft, index, circuit, list, onCircuit, onSelect }: CableProps) {
  const units = useUnits();
  const { state: stock } = useStock();
  const jobs = useMemo(() => [draft.job], [draft.job]);
  const order = useYardOrder(`boat ${draft.id}`, jobs, stock, 'all');
  const cut = cutByPiece(stock);
  const isCut = ({ id, cable }: BuildConductor) => cut.has(pieceKey(draft.id, circuit.id, cable ?? id));
  const wanted = list.conductors.filter(({ cutM }) => cutM !== null);
  const [open, setOpen] = useState<string | null>(null);
  const toggle = (id: string) => {
    onSelect(open === id ? null : id);
    setOpen(open === id ? null : id);
  };
  return (
    <BoatForm draft={draft}>
      <Card>
        <View style={{ padding: 14, paddingBottom: 6, gap: 2 }}>
          <Words kind="heading" level={2}>
            Cut list
          </Words>
          <Words kind="small" muted>
            {`Lengths to cut, slack and all. Open a line for what they are made of and which drum to cut from. ${wanted.filter(isCut).length} of ${wanted.length} cut.`}
          </Words>
        </View>
        {list.conductors.map((one) => (
          <Conductor
            key={one.id}
            index={index}
            job={draft.job}
            circuit={circuit}
            conductor={one}
            cut={isCut(one)}
            order={order}
            open={one.id === open}
            onToggle={() => toggle(one.id)}
            onCircuit={onCircuit}
          />
        ))}
        {list.spares.map(({ leg, why, decided, size, cutM }) => (
          <View key={leg} style={{ padding: 14, gap: 2 }}>
            <Words kind="strong">{`Spare core, ${size}, ${formatQuantity(cutM, 'length', units)}`}</Words>
            <Words kind="small" muted>
              {decided ? why : `Proposed. ${why}`}
            </Words>
          </View>
        ))}
      </Card>
      <PullFields index={index} circuit={circuit} list={list} />
      <Card>
        <View style={{ padding: 14, gap: 8 }}>
          <Words kind="heading" level={2}>
            To order
          </Words>
          {list.order.map(({ size, colour, metres, pieces }) => (
            <View key={`${size} ${colour}`} style={{ flexDirection: 'row', gap: 10 }}>
              <Words style={{ flex: 1, minWidth: 0 }}>{`${size}, ${colour}`}</Words>
              <Words kind="small" muted>
                {pieces === 1 ? '1 piece' : `${pieces} pieces`}
              </Words>
              <Words kind="strong">{formatQuantity(metres, 'length', units)}</Words>
            </View>
          ))}
          <Words kind="small" muted>
            The pieces of each size and colour, and a tenth more.
          </Words>
          <View style={{ alignItems: 'flex-start' }}>
            <BigButton
              mode="outlined"
              icon="file-delimited-outline"
              onPress={() => exportTable(`${draft.job.boat.name} ${circuit.name} cut list`, cutTable(list))}
            >
              Cut list as CSV
            </BigButton>
          </View>
        </View>
      </Card>
    </BoatForm>
  );
}

function Conductor({
  index,
  job,
  circuit,
  conductor,
  cut,
  order,
  open,
  onToggle,
  onCircuit,
}: {
  readonly index: number;
  readonly job: Job;
  readonly circuit: Circuit;
  readonly conductor: BuildConductor;
  /** Whether it is cut. */
  readonly cut: boolean;
  readonly order: YardOrder | null;
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly onCircuit: CableProps['onCircuit'];
}) {
  const palette = usePalette();
  const units = useUnits();
  const { id, name, size, colour, band, from, to, cutM, labels } = conductor;
  const length = cutM === null ? 'with its part' : formatQuantity(cutM, 'length', units);
  return (
    <View style={{ borderTopWidth: 1, borderColor: palette.line }}>
      <PressRow
        expanded={open}
        label={`${name}: ${size}, ${colourInWords(colour)}, ${length}${cut ? ', cut' : ''}`}
        onPress={onToggle}
        style={{ flexDirection: 'row', alignItems: 'center', gap: 10, paddingVertical: 10, paddingHorizontal: 14 }}
      >
        <Swatch colour={colour} />
        <View style={{ flex: 1, minWidth: 0 }}>
          <Words kind="strong">{name}</Words>
          <Words kind="small" muted>
            {`${size}, ${colourInWords(colour)}${band ? `, tape ${colourInWords(band)}` : ''}`}
          </Words>
          <Words kind="small" muted>{`${from.words} → ${to.words}`}</Words>
        </View>
        {cut ? <Icon name="content-cut" size={20} color={palette.accent} /> : null}
        <Words kind={cutM === null ? 'small' : 'figure'}>{length}</Words>
        <Icon name={open ? 'chevron-up' : 'chevron-down'} size={24} color={palette.muted} />
      </PressRow>
      {open ? (
        <View style={{ padding: 14, paddingTop: 0, gap: 14 }}>
          <StockCut job={job} circuit={circuit} conductor={conductor} order={order} />
          <MadeOf conductor={conductor} />
          <Words kind="small">{`Labels: ${labels[0]} and ${labels[1]}`}</Words>
          {cutM === null ? null : (
            <>
              <NumberField
                path={['circuits', index, 'build', 'pulledM', id]}
                label={`${name} as pulled`}
                quantity="length"
                step={{ metric: 0.1, us: 0.5 }}
                guide="From end to end, once it lies in the boat. From then on it counts instead of the survey’s length."
              />
              <ColourChoice circuit={circuit} conductor={conductor} onCircuit={onCircuit} />
            </>
          )}
        </View>
      ) : null}
    </View>
  );
}

/** What a cut length is the sum of. */
function MadeOf({ conductor: { slackM, cutM, cable } }: { readonly conductor: BuildConductor }) {
  const units = useUnits();
  if (!slackM || cutM === null) {
    return (
      <Words kind="small" muted>
        It comes with its part and is not cut.
      </Words>
    );
  }
  const { route, panelEnd, bench, dripLoop, joints, remake, rounding } = slackM;
  const sum = route + panelEnd + bench + dripLoop + joints + remake + rounding;
  const lines: readonly (readonly [string, number])[] = [
    ['Route', cutM - sum],
    ['Round frames and corners, 5 %', route],
    ['At the panel', panelEnd],
    ['Up to bench or deck', bench],
    ['Drip loop', dripLoop],
    ['For joints', joints],
    ['For one remake', remake],
    [cable === null ? 'Up to the tape’s step' : 'Up to the longest core', rounding],
  ];
  return (
    <View style={{ gap: 2 }}>
      {lines
        .filter(([, metres]) => metres > 0.0005)
        .map(([what, metres]) => (
          <View key={what} style={{ flexDirection: 'row', gap: 10 }}>
            <Words kind="small" style={{ flex: 1, minWidth: 0 }}>
              {what}
            </Words>
            <Words kind="small" style={{ fontVariant: ['tabular-nums'] }}>
              {formatQuantity(metres, 'length', units, 2)}
            </Words>
          </View>
        ))}
    </View>
  );
}

function ColourChoice({
  circuit,
  conductor: { id, name, colour, band },
  onCircuit,
}: {
  readonly circuit: Circuit;
  readonly conductor: BuildConductor;
  readonly onCircuit: CableProps['onCircuit'];
}) {
  const taken = circuit.build?.colours?.[id];
  const planned = band ?? colour;
  const choose = (value: 'planned' | InsulationColour) =>
    value === 'planned'
      ? onCircuit(withColour(circuit, id, null), `${name}: as planned`)
      : onCircuit(withColour(circuit, id, { base: value }), `${name}: ${value}`);
  return (
    <View style={{ gap: 6 }}>
      <Words kind="strong">Its insulation</Words>
      <ChoiceRow
        label={`Insulation of ${name}`}
        value={taken?.base ?? 'planned'}
        choices={[
          { value: 'planned' as const, label: taken ? `As planned: ${colourInWords(planned)}` : 'As planned' },
          ...insulationColours
            .filter((base) => base !== planned.base || planned.stripe)
            .map((value) => ({ value, label: value })),
        ]}
        onChoose={choose}
      />
      {taken ? (
        <ChoiceRow
          label={`Bands on ${name}`}
          value={taken.banded ? 'banded' : 'plain'}
          choices={[
            { value: 'plain' as const, label: 'Not banded' },
            { value: 'banded' as const, label: `Banded ${colourInWords(planned)} at both ends` },
          ]}
          onChoose={(value) =>
            onCircuit(
              withColour(circuit, id, value === 'banded' ? { ...taken, banded: true } : { base: taken.base }),
              `${name}: ${value === 'banded' ? 'banded' : 'not banded'}`,
            )
          }
        />
      ) : null}
    </View>
  );
}
