import type { Battery } from '@harbor-latch/core/job/index';
import { batteryChemistry, defaults, internalResistanceOhm, restingEmfV } from '@harbor-latch/core/reference/index';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { ChoiceRow } from '../ui/ChoiceRow';
import { Words } from '../ui/Words';
import { ChoiceField } from './ChoiceField';
import { useField } from './FieldContext';
import { More } from './More';
import { NumberField } from './NumberField';
import { TextField } from './TextField';

/** What is known of a battery, by its label or as measured. */
export function BatteryMore({
  battery,
  index,
  alone = false,
  children,
}: {
  readonly battery: Battery | undefined;
  readonly index: number;
  readonly alone?: boolean;
  /** What more can be done with it. */
  readonly children?: ReactNode;
}) {
  const path = ['batteries', index] as const;
  const chemistry = battery?.chemistry ?? 'lead-acid';
  const capacityAh = battery?.capacityAh ?? defaults.capacityAh;
  return (
    <More title={battery?.name ?? 'Battery'} summary={batteryWords(battery)} alone={alone}>
      {alone ? <TextField path={[...path, 'name']} label={`Name of battery ${index + 1}`} needed /> : null}
      <ChoiceField
        path={[...path, 'chemistry']}
        label="Battery"
        assumed="lead-acid"
        choices={Object.entries(batteryChemistry).map(([value, { name }]) => ({ value, label: name }))}
      />
      <NumberField
        path={[...path, 'capacityAh']}
        label="Capacity"
        quantity="charge"
        step={{ metric: 10, us: 10 }}
        assumed={defaults.capacityAh}
        picks={{ metric: [45, 90, 110, 220], us: [45, 90, 110, 220] }}
        guide="Printed on the battery. Batteries in parallel add up."
      />
      <NumberField
        path={[...path, 'restV']}
        label="Volts at rest, measured"
        quantity="voltage"
        step={{ metric: 0.1, us: 0.1 }}
        assumed={restingEmfV(chemistry, battery?.stateOfCharge ?? defaults.stateOfCharge)}
        guide="Meter at the posts, charger and loads off for an hour. A full lead-acid battery reads about 12.7 V."
      />
      <NumberField
        path={[...path, 'chargeA']}
        label="Trickle charge, on average"
        quantity="current"
        step={{ metric: 0.1, us: 0.1 }}
        assumed={0}
        signed
        guide="A small solar panel gives about a tenth of its rated amperes over day and night. For how long she can be left."
      />
      <NumberField
        path={[...path, 'internalOhm']}
        label="Internal resistance"
        quantity="resistance"
        step={{ metric: 0.001, us: 0.001 }}
        assumed={internalResistanceOhm(chemistry, capacityAh)}
        guide="Only where a battery tester gave it: a few thousandths of an ohm. Type milliohms as “6 mΩ”."
      />
      <NumberField
        path={[...path, 'managementLimitA']}
        label="Its own limit, where it has one"
        quantity="current"
        step={{ metric: 5, us: 5 }}
        picks={{ metric: [20, 30, 50, 100], us: [20, 30, 50, 100] }}
        guide="The most that a LiFePO4 battery’s management lets out, from its label. A small one cuts off on a stalled pump."
      />
      <SeriesBank path={[...path, 'seriesBank']} />
      {children}
    </More>
  );
}

/** Whether the battery is one of a series bank for a drive, and whose poles its circuits are taken from. */
function SeriesBank({ path }: { readonly path: readonly (string | number)[] }) {
  const field = useField(path);
  const bank = field.value as Battery['seriesBank'];
  return (
    <View style={{ gap: 6 }}>
      <Words kind="strong">One of a series bank</Words>
      <ChoiceRow
        label="One of a series bank"
        value={String(bank?.bankV ?? 'no')}
        choices={[
          { value: 'no', label: 'No' },
          ...[24, 36, 48].map((volts) => ({ value: String(volts), label: `${volts}\u00a0V` })),
        ]}
        onChoose={(volts) => field.take(volts === 'no' ? undefined : { ...bank, bankV: Number(volts) })}
      />
      {bank ? (
        <>
          <Words kind="small">Positive and negative of its 12 V circuits</Words>
          <ChoiceRow
            label="Poles of its circuits"
            value={bank.ownPoles === undefined ? 'unknown' : String(bank.ownPoles)}
            choices={[
              { value: 'unknown', label: 'Not looked at' },
              { value: 'true', label: 'Both its own' },
              { value: 'false', label: 'From a jumper' },
            ]}
            onChoose={(own) =>
              field.take(own === 'unknown' ? { bankV: bank.bankV } : { bankV: bank.bankV, ownPoles: own === 'true' })
            }
          />
        </>
      ) : null}
    </View>
  );
}

/** "lead-acid, 100 Ah by default" */
function batteryWords(battery: Battery | undefined): string {
  const { name } = batteryChemistry[battery?.chemistry ?? 'lead-acid'];
  return battery?.capacityAh === undefined
    ? `${name}, ${defaults.capacityAh} Ah by default`
    : `${name}, ${battery.capacityAh} Ah`;
}
