import { defaults } from '@harbor-latch/core/reference/index';
import type { Circuit } from '@harbor-latch/core/job/index';
import type { QuantityKey } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { View } from 'react-native';
import { Card } from '../../ui/Card';
import { More } from '../../fields/More';
import { NumberField } from '../../fields/NumberField';
import { sameCircuitParts } from './sameCircuitParts';

type Figure = keyof NonNullable<Circuit['figures']>;

interface FigureField {
  readonly key: Figure;
  readonly label: string;
  readonly quantity: QuantityKey;
  readonly assumed: number;
  readonly by: number;
}

/** Figures that mostly stand at their defaults, each with what is assumed. */
const fields: readonly FigureField[] = [
  { key: 'jointOhm', label: 'Each joint', quantity: 'resistance', assumed: defaults.jointOhm, by: 0.001 },
  {
    key: 'switchOhm',
    label: 'Switch contact’s resistance',
    quantity: 'resistance',
    assumed: defaults.switchContactOhm,
    by: 0.001,
  },
  {
    key: 'floatOhm',
    label: 'Float contact’s resistance',
    quantity: 'resistance',
    assumed: defaults.floatContactOhm,
    by: 0.001,
  },
  {
    key: 'relayOhm',
    label: 'Relay contact’s resistance',
    quantity: 'resistance',
    assumed: defaults.relayContactOhm,
    by: 0.001,
  },
  {
    key: 'fuseDropV',
    label: 'Lost in a fuse at its rating',
    quantity: 'voltage',
    assumed: defaults.fuseDropV,
    by: 0.01,
  },
  { key: 'ledDropV', label: 'LED', quantity: 'voltage', assumed: defaults.ledDropV, by: 0.1 },
  { key: 'ledOhm', label: 'LED’s resistor', quantity: 'resistance', assumed: defaults.ledOhm, by: 10 },
  { key: 'lampOhm', label: 'Filament lamp', quantity: 'resistance', assumed: defaults.pilotLampOhm, by: 10 },
  { key: 'alarmOhm', label: 'Alarm’s sounder', quantity: 'resistance', assumed: defaults.alarmOhm, by: 10 },
  { key: 'sensorA', label: 'Electronic sensor draws', quantity: 'current', assumed: defaults.sensorDrawA, by: 0.001 },
  { key: 'conductorC', label: 'Conductors’ temperature', quantity: 'temperature', assumed: defaults.conductorC, by: 5 },
  {
    key: 'engineSpaceC',
    label: 'Conductors’ temperature in an engine space',
    quantity: 'temperature',
    assumed: defaults.engineSpaceC,
    by: 5,
  },
];

/** Contacts, joints, lamps and temperatures: defaults until somebody measures them. */
export const FiguresStage = memo(function FiguresStage({
  index,
  circuit,
}: {
  readonly index: number;
  readonly circuit: Circuit;
}) {
  const measured = Object.keys(circuit.figures ?? {}).length;
  return (
    <Card>
      <View style={{ padding: 14 }}>
        <More
          title="Contacts, joints and lamps"
          summary={measured === 0 ? 'All at their defaults' : `${measured} measured, the rest at their defaults`}
          alone
        >
          {fields.map(({ key, label, quantity, assumed, by }) => (
            <NumberField
              key={key}
              path={['circuits', index, 'figures', key]}
              label={label}
              quantity={quantity}
              step={{ metric: by, us: by }}
              assumed={assumed}
              signed
            />
          ))}
        </More>
      </View>
    </Card>
  );
}, sameCircuitParts('figures'));
