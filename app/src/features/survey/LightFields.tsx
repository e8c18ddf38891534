import type { Circuit } from '@harbor-latch/core/job/index';
import type { SchemeOption } from '@harbor-latch/core/schemes/index';
import { ChoiceField } from '../../fields/ChoiceField';
import { NumberField } from '../../fields/NumberField';

const kinds = [
  { value: 'none', label: 'None' },
  { value: 'led', label: 'LED' },
  { value: 'filament', label: 'Filament' },
] as const;

/** The lights of the panel, how they are wired, and the fuse of their taps. */
export function LightFields({
  index,
  circuit,
  options,
}: {
  readonly index: number;
  readonly circuit: Circuit;
  readonly options: readonly SchemeOption[];
}) {
  const path = ['circuits', index, 'panel'] as const;
  const { light = 'none', armedLight = 'none' } = circuit.panel ?? {};
  const tapped = light !== 'none' || armedLight !== 'none' || (options.includes('alarm') && options.includes('pump'));
  // Of a relay's contact there is no auto post to wire to.
  const posts = options.includes('three-way') && !options.includes('relay');
  return (
    <>
      {options.includes('running-light') ? (
        <ChoiceField
          path={[...path, 'light']}
          label="Running light"
          assumed="none"
          choices={kinds}
          guide="From the manual post to negative: lit whenever the pump has voltage, on auto as well."
        />
      ) : null}
      {light !== 'none' && posts ? (
        <ChoiceField
          path={[...path, 'lightWired']}
          label="The running light is wired"
          assumed="to-negative"
          choices={[
            { value: 'to-negative', label: 'Manual post to negative' },
            { value: 'auto-to-manual', label: 'Auto post to manual post' },
          ]}
          guide="Between the two posts it returns through the pump’s winding, and glows with the float down."
        />
      ) : null}
      {options.includes('armed-light') ? (
        <ChoiceField
          path={[...path, 'armedLight']}
          label="Armed light"
          assumed="none"
          choices={kinds}
          guide="From the auto post: says that auto is selected. Its negative is jumpered to the running light’s."
        />
      ) : null}
      {tapped ? (
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
    </>
  );
}
