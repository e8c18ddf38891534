import type { Circuit } from '@harbor-latch/core/job/index';
import { schemes, type Scheme } from '@harbor-latch/core/schemes/index';
import { ChoiceField } from './ChoiceField';
import { FuseField } from './FuseField';
import { legColours } from './legColours';
import { More } from './More';
import { NumberField } from './NumberField';
import { Stage } from './Stage';

const ratings = { metric: [5, 10, 15, 20], us: [5, 10, 15, 20] };

/** The switch, its light, and the fuse the panel may have. */
export function PanelStage({ index, circuit }: { readonly index: number; readonly circuit: Circuit }) {
  const path = ['circuits', index, 'panel'] as const;
  const { panel } = circuit;
  const lit = panel?.light !== undefined && panel.light !== 'none';
  const scheme: Scheme = schemes[circuit.scheme];
  return (
    <Stage title="Panel" under="The switch. Dry, at hand." conductors={legColours.supply}>
      <ChoiceField
        path={['circuits', index, 'scheme']}
        label="Wired as"
        assumed="three-way-float"
        choices={Object.entries(schemes).map(([value, { name }]: [string, Scheme]) => ({ value, label: name }))}
        guide={scheme.summary}
      />
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
      <ChoiceField
        path={[...path, 'light']}
        label="Running light"
        assumed="none"
        choices={[
          { value: 'none', label: 'None' },
          { value: 'led', label: 'LED' },
          { value: 'filament', label: 'Filament' },
        ]}
        guide="From the manual post to negative: lit whenever the pump has voltage, on auto as well."
      />
      {lit ? (
        <>
          <NumberField
            path={[...path, 'tapFuseA']}
            label="Light tap’s fuse"
            quantity="current"
            step={{ metric: 1, us: 1 }}
            picks={{ metric: [1, 2, 3], us: [1, 2, 3] }}
            guide="The tap is thinner than what the pump’s fuse protects."
          />
          <ChoiceField
            path={[...path, 'tapAccepted']}
            label="Tap without a fuse"
            assumed={false}
            choices={[
              { value: false, label: 'Not decided' },
              { value: true, label: 'Decided: short, well placed' },
            ]}
          />
        </>
      ) : null}
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
        {scheme.automatic ? (
          <NumberField
            path={['circuits', index, 'floatA']}
            label="Float contact, on DC"
            quantity="current"
            step={{ metric: 1, us: 1 }}
            picks={ratings}
            guide="Printed on the float or its leaflet, often 10 to 20 A at 12 V."
          />
        ) : null}
      </More>
    </Stage>
  );
}

function summaryOf({ panel, floatA }: Circuit): string {
  const known = [
    ...(panel?.fuse ? [`fuse ${panel.fuse.ratingA} A`] : []),
    ...(panel?.switchA === undefined ? [] : [`switch ${panel.switchA} A`]),
    ...(floatA === undefined ? [] : [`float ${floatA} A`]),
  ];
  return known.length === 0 ? 'No fuse of its own, contacts not entered' : known.join(', ');
}
