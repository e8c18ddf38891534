import type { Circuit, Job } from '@harbor-latch/core/job/index';
import { defaults } from '@harbor-latch/core/reference/index';
import { schemeOf } from '@harbor-latch/core/schemes/index';
import { ChoiceField } from '../../fields/ChoiceField';
import { NumberField } from '../../fields/NumberField';

const NONE = '';

/** The alarm: what else sounds it, and what keeps one circuit from feeding the other. */
export function AlarmFields({
  job,
  index,
  circuit,
}: {
  readonly job: Job;
  readonly index: number;
  readonly circuit: Circuit;
}) {
  const path = ['circuits', index, 'alarm'] as const;
  if (!schemeOf(circuit).options.includes('pump')) {
    return (
      <NumberField
        path={[...path, 'ownV']}
        label="Its own battery"
        quantity="voltage"
        step={{ metric: 0.5, us: 0.5 }}
        assumed={defaults.alarmOwnBatteryV}
        picks={{ metric: [3, 6, 9, 12], us: [3, 6, 9, 12] }}
        guide="Printed in the alarm’s battery case."
      />
    );
  }
  const others = job.circuits.filter((other) => other.id !== circuit.id && schemeOf(other).options.includes('pump'));
  return (
    <>
      {others.length > 0 ? (
        <ChoiceField
          path={[...path, 'alsoFrom']}
          label="The alarm sounds for"
          assumed={NONE}
          nothing={NONE}
          choices={[
            { value: NONE, label: 'This pump alone' },
            ...others.map(({ id, name }) => ({ value: id, label: `${name} as well` })),
          ]}
        />
      ) : null}
      <ChoiceField
        path={[...path, 'diodes']}
        label="In each feed of the alarm"
        assumed={true}
        choices={[
          { value: true, label: 'A diode' },
          { value: false, label: 'Nothing' },
        ]}
        guide="Without diodes an alarm on two circuits lets one feed the other’s pump."
      />
    </>
  );
}
