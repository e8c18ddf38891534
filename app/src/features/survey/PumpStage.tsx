import { defaultWindingOhm } from '@harbor-latch/core/circuit/index';
import type { Circuit, Pump } from '@harbor-latch/core/job/index';
import { defaults } from '@harbor-latch/core/reference/index';
import { formatAmps, formatQuantity, type UnitSystem } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Words } from '../../ui/Words';
import { CurvePoints } from './CurvePoints';
import { useField } from '../../fields/FieldContext';
import { legColours } from './legColours';
import { More } from '../../fields/More';
import { NumberField } from '../../fields/NumberField';
import { Stage } from './Stage';
import { TextField } from '../../fields/TextField';
import { sameCircuitParts } from './sameCircuitParts';

function summaryOf({ makerFuseA, openFlowLPerH, catalogue }: Pump, units: UnitSystem): string {
  const known = [
    ...(makerFuseA === undefined ? [] : [`maker’s fuse ${formatAmps(makerFuseA)}`]),
    ...(openFlowLPerH === undefined ? [] : [`${formatQuantity(openFlowLPerH, 'flow', units)} open`]),
  ];
  const words = known.length === 0 ? 'Maker’s fuse and flow not read' : known.join(', ');
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}${catalogue === undefined ? '' : ', estimate'}`;
}

/** What else the pump's label and leaflet say. */
export const PumpStage = memo(function PumpStage({
  index,
  circuit,
}: {
  readonly index: number;
  readonly circuit: Circuit;
}) {
  const path = ['circuits', index, 'pump'] as const;
  const units = useUnits();
  const { currentA } = circuit.pump;
  const labelV = circuit.pump.labelV ?? defaults.labelV;
  return (
    <Stage of={path} title="Pump" summary={summaryOf(circuit.pump, units)} conductors={legColours.manual}>
      <NumberField
        path={[...path, 'makerFuseA']}
        label="Maker’s fuse"
        quantity="current"
        step={{ metric: 1, us: 1 }}
        picks={{ metric: [3, 5, 7.5, 10, 15], us: [3, 5, 7.5, 10, 15] }}
        guide="Printed on many pumps. No larger fuse may be used."
      />
      <NumberField
        path={[...path, 'openFlowLPerH']}
        label="Open flow"
        quantity="flow"
        step={{ metric: 100, us: 50 }}
        picks={{ metric: [1900, 3000, 5500, 7500], us: [500, 800, 1500, 2000] }}
        guide="The figure on the box, at no height. Check whether it says litres or gallons."
      />
      <More
        title="More of the pump"
        summary={`Label at ${labelV} V, flow at ${circuit.pump.openFlowV ?? defaults.openFlowV} V, curve, winding, leads`}
      >
        <NumberField
          path={[...path, 'labelV']}
          label="At label volts"
          quantity="voltage"
          step={{ metric: 0.1, us: 0.1 }}
          assumed={defaults.labelV}
          picks={{ metric: [12, 13.6], us: [12, 13.6] }}
        />
        <NumberField
          path={[...path, 'openFlowV']}
          label="Flow given at"
          quantity="voltage"
          step={{ metric: 0.1, us: 0.1 }}
          assumed={defaults.openFlowV}
          picks={{ metric: [12, 13.6], us: [12, 13.6] }}
        />
        <NumberField
          path={[...path, 'shutOffHeadM']}
          label="Shut-off head"
          quantity="head"
          step={{ metric: 0.1, us: 0.5 }}
          guide={`The height at which nothing comes out any more. Mostly ${formatQuantity(3, 'head', units, 0)} to ${formatQuantity(6, 'head', units, 0)}.`}
        />
        <NumberField
          path={[...path, 'windingOhm']}
          label="Winding, measured"
          quantity="resistance"
          step={{ metric: 0.1, us: 0.1 }}
          {...(currentA === undefined ? {} : { assumed: defaultWindingOhm(currentA, labelV) })}
          guide="Fuse out, ohmmeter on the pump’s leads. The lowest of several shaft positions, less the meter’s leads; half an ohm or so."
        />
        <TextField path={[...path, 'thermalGuard']} label="Thermal guard, as the maker states it" />
        <Words kind="small" muted>
          Only what is printed on the pump or in its leaflet, in its own words: it then answers for a stalled pump.
        </Words>
        <Leads path={[...path, 'leads']} />
        <CurvePoints path={[...path, 'curve']} />
      </More>
    </Stage>
  );
}, sameCircuitParts('pump'));

/** The pump's own leads: none counted, or their size and length. */
function Leads({ path }: { readonly path: readonly (string | number)[] }) {
  const field = useField(path);
  const leads = field.value as Pump['leads'];
  const units = useUnits();
  const sizes = ['18 AWG', '16 AWG', '14 AWG', '0.75 mm²', '1.5 mm²', '2.5 mm²'] as const;
  return (
    <View style={{ gap: 6 }}>
      <Words kind="strong">Pump’s own leads</Words>
      <ChoiceRow
        label="Pump’s own leads"
        value={leads?.size ?? 'none'}
        choices={[
          { value: 'none', label: 'Not counted' },
          ...sizes.map((size) => ({ value: size as string, label: size })),
        ]}
        onChoose={(size) => field.replace(size === 'none' ? undefined : { lengthM: leads?.lengthM ?? 0.15, size })}
      />
      {leads ? (
        <NumberField
          path={[...path, 'lengthM']}
          label="Length of each lead"
          quantity="shortLength"
          step={{ metric: 50, us: 1 }}
          picks={{ metric: [150, 300, 600, 1000], us: [6, 12, 24, 36] }}
          needed
          guide={`From the pump to the joint. Up to ${formatQuantity(0.178, 'shortLength', units)} they may be thinner than the least size.`}
        />
      ) : null}
    </View>
  );
}
