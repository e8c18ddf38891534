import { defaultWindingOhm } from '@harbor-latch/core/circuit/index';
import type { Circuit, Pump } from '@harbor-latch/core/job/index';
import { defaults, pumpCatalogue, type PumpClass, type PumpClassKey } from '@harbor-latch/core/reference/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Notice } from '../../ui/Notice';
import { Words } from '../../ui/Words';
import { CurvePoints } from './CurvePoints';
import { useField } from '../../fields/FieldContext';
import { legColours } from './legColours';
import { More } from '../../fields/More';
import { NumberField } from '../../fields/NumberField';
import { Stage } from './Stage';
import { TextField } from '../../fields/TextField';
import { sameCircuitParts } from './sameCircuitParts';

/** The pump: what its label says, or a class of the catalogue until the label is read. */
export const PumpStage = memo(function PumpStage({
  index,
  circuit,
}: {
  readonly index: number;
  readonly circuit: Circuit;
}) {
  const path = ['circuits', index, 'pump'] as const;
  const { currentA } = circuit.pump;
  const labelV = circuit.pump.labelV ?? defaults.labelV;
  return (
    <Stage title="Bilge" under="Pump and float. Wet, a crawl." conductors={legColours.manual}>
      <Catalogue path={path} pump={circuit.pump} />
      <NumberField
        path={[...path, 'currentA']}
        label="Pump amperes"
        quantity="current"
        step={{ metric: 0.1, us: 0.1 }}
        picks={{ metric: [2.8, 4.6, 6.5, 8.4, 15], us: [2.8, 4.6, 6.5, 8.4, 15] }}
        needed
        guide="From the label, or a clamp meter round one lead with the pump under water. Most draw 2 to 16 A."
      />
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
          guide="The height at which nothing comes out any more. Mostly 3 to 6 m."
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

/** Classes of pumps to begin with; their figures are typical and say so. */
function Catalogue({ path, pump }: { readonly path: readonly (string | number)[]; readonly pump: Pump }) {
  const field = useField(path);
  const choose = (key: PumpClassKey) => {
    const { name: _name, ...figures }: PumpClass = pumpCatalogue[key];
    field.replace({ ...pump, ...figures, catalogue: key });
  };
  const { catalogue: _class, ...own } = pump;
  if (pump.catalogue !== undefined) {
    return (
      <Notice
        tone="note"
        icon="book-open-variant"
        actions={
          <BigButton mode="outlined" onPress={() => field.replace(own)}>
            These are the label’s figures now
          </BigButton>
        }
      >
        {`Figures typical of the class “${pumpCatalogue[pump.catalogue].name}”. Replace them by the label’s.`}
      </Notice>
    );
  }
  if (pump.currentA !== undefined) return null;
  return (
    <View style={{ gap: 6 }}>
      <Words kind="strong">No label at hand? Begin with a class</Words>
      <ChoiceRow
        label="Class of pump"
        value=""
        choices={Object.entries(pumpCatalogue).map(([value, { name }]) => ({ value, label: name }))}
        onChoose={(key) => choose(key as PumpClassKey)}
      />
    </View>
  );
}

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
