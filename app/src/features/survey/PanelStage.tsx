import { batteryOf } from '@harbor-latch/core/assess/batteryOf';
import type { Circuit } from '@harbor-latch/core/job/index';
import { schemeOf } from '@harbor-latch/core/schemes/index';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Words } from '../../ui/Words';
import { AlarmFields } from './AlarmFields';
import { ChoiceField } from '../../fields/ChoiceField';
import { useField } from '../../fields/FieldContext';
import { FuseField } from '../../fields/FuseField';
import { legColours } from './legColours';
import { LegFuseField } from './LegFuseField';
import { LightFields } from './LightFields';
import { More } from '../../fields/More';
import { NumberField } from '../../fields/NumberField';
import { PostFields } from '../../fields/PostFields';
import { RelayFields } from './RelayFields';
import { Stage } from './Stage';

const ratings = { metric: [5, 10, 15, 20], us: [5, 10, 15, 20] };

/** How the circuit is wired: the switch, its lights, the relay or alarm there is, and the fuse the panel may have. */
export function PanelStage({
  draft,
  index,
  circuit,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly circuit: Circuit;
}) {
  const path = ['circuits', index, 'panel'] as const;
  const { options } = schemeOf(circuit);
  const pump = options.includes('pump');
  const printed = Object.keys(circuit.panel?.posts ?? {}).length;
  return (
    <Stage of={path} title="Panel" summary={inWords(circuit)} conductors={legColours.supply}>
      {pump ? (
        <ChoiceField
          path={['circuits', index, 'manual']}
          label="Manual"
          assumed="latching"
          choices={[
            { value: 'latching', label: 'Stays on' },
            { value: 'momentary', label: 'Springs back' },
          ]}
          guide="Springing back cannot be forgotten on; staying on frees the hands."
        />
      ) : null}
      {options.includes('leg-fuses') ? (
        <>
          <ChoiceField
            path={[...path, 'manualBreaksAuto']}
            label="The manual switch"
            assumed={false}
            choices={[
              { value: false, label: 'Leaves auto live' },
              { value: true, label: 'Breaks auto while on' },
            ]}
            guide="A second pole that opens the auto leg keeps two legs from feeding the motor together."
          />
          <LegFuseField path={[...path, 'legFuses']} />
        </>
      ) : null}
      {options.includes('relay') ? <RelayFields index={index} /> : null}
      {options.includes('alarm') ? <AlarmFields job={draft.job} index={index} circuit={circuit} /> : null}
      <LightFields index={index} circuit={circuit} options={options} />
      {pump ? (
        <More title="More of the panel" summary={summaryOf(circuit)}>
          <FuseField
            path={[...path, 'fuse']}
            label="Fuse in the panel"
            kinds={['blade', 'thermalBreaker']}
            guide="Built into the panel, with a jumper to the switch. The fuse at the source stays."
          />
          <NumberField
            path={[...path, 'switchA']}
            label="Switch contact, on DC"
            quantity="current"
            step={{ metric: 1, us: 1 }}
            picks={ratings}
            guide="Printed on the switch, for DC. The AC figure does not count: DC burns contacts."
          />
          {options.includes('float') ? (
            <NumberField
              path={['circuits', index, 'floatA']}
              label="Float contact, on DC"
              quantity="current"
              step={{ metric: 1, us: 1 }}
              picks={ratings}
              guide="Printed on the float or its leaflet, often 10 to 20 A at 12 V."
            />
          ) : null}
          {options.includes('float') ? <FloatLead path={['circuits', index, 'floatLead']} /> : null}
        </More>
      ) : null}
      <More
        title="Posts as printed"
        summary={printed === 0 ? 'Named by what they do' : `${printed} named as on the panel`}
      >
        <PostFields index={index} circuit={circuit} battery={batteryOf(draft.job, circuit)} />
      </More>
    </Stage>
  );
}

/** Size of the float's own leads: what the cable is joined to. */
function FloatLead({ path }: { readonly path: readonly (string | number)[] }) {
  const field = useField(path);
  return (
    <View style={{ gap: 4 }}>
      <Words kind="strong">Float’s own leads</Words>
      <ChoiceRow
        label="Float’s own leads"
        value={typeof field.value === 'string' ? field.value : 'unknown'}
        choices={[
          { value: 'unknown', label: 'Not known' },
          ...['18 AWG', '16 AWG', '14 AWG', '0.75 mm²', '1.5 mm²'].map((size) => ({ value: size, label: size })),
        ]}
        onChoose={(size) => field.take(size === 'unknown' ? undefined : size)}
      />
    </View>
  );
}

/** The switch and its lights in a line. */
function inWords(circuit: Circuit): string {
  const { light = 'none', armedLight = 'none' } = circuit.panel ?? {};
  const lights = [...(light === 'none' ? [] : ['running light']), ...(armedLight === 'none' ? [] : ['armed light'])];
  const pump = schemeOf(circuit).options.includes('pump');
  return [
    ...(pump ? [circuit.manual === 'momentary' ? 'Manual springs back' : 'Manual stays on'] : ['The alarm']),
    lights.length === 0 ? 'no lights' : lights.join(' and '),
  ].join(', ');
}

function summaryOf({ panel, floatA }: Circuit): string {
  const known = [
    ...(panel?.fuse ? [`fuse ${panel.fuse.ratingA} A`] : []),
    ...(panel?.switchA === undefined ? [] : [`switch ${panel.switchA} A`]),
    ...(floatA === undefined ? [] : [`float ${floatA} A`]),
  ];
  return known.length === 0 ? 'No fuse of its own, contacts not entered' : known.join(', ');
}
