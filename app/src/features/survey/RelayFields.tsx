import { coilSuppressorKeys, coilSuppressors, defaults } from '@harbor-latch/core/reference/index';
import { ChoiceField } from '../../fields/ChoiceField';
import { NumberField } from '../../fields/NumberField';

const amps = { metric: 1, us: 1 };
const volts = { metric: 0.1, us: 0.1 };

/** The relay: its coil, its contact, and what keeps the coil's spark from the float. */
export function RelayFields({ index }: { readonly index: number }) {
  const path = ['circuits', index, 'relay'] as const;
  return (
    <>
      <ChoiceField
        path={[...path, 'suppression']}
        label="Across the coil"
        assumed="diode"
        choices={coilSuppressorKeys.map((value) => ({ value, label: coilSuppressors[value].name }))}
        guide="Without one, the coil throws a spark across the float’s contact each time it opens. A diode makes 86 the positive."
      />
      <NumberField
        path={[...path, 'contactA']}
        label="Relay contact, on DC"
        quantity="current"
        step={amps}
        picks={{ metric: [20, 30, 40, 70], us: [20, 30, 40, 70] }}
        guide="Printed on the relay, for the contact 30 to 87."
      />
      <NumberField
        path={[...path, 'coilFuseA']}
        label="Coil’s fuse"
        quantity="current"
        step={amps}
        assumed={defaults.coilFuseA}
        picks={{ metric: [1, 2, 3], us: [1, 2, 3] }}
        guide="It protects the thin wires to switch and float."
      />
      <NumberField
        path={[...path, 'coilOhm']}
        label="Coil, measured"
        quantity="resistance"
        step={{ metric: 1, us: 1 }}
        assumed={defaults.relayCoilOhm}
      />
      <NumberField
        path={[...path, 'pullInV']}
        label="Pulls in at"
        quantity="voltage"
        step={volts}
        assumed={defaults.relayPullInV}
      />
      <NumberField
        path={[...path, 'dropOutV']}
        label="Lets go at"
        quantity="voltage"
        step={volts}
        assumed={defaults.relayDropOutV}
      />
    </>
  );
}
