import type { Battery, Circuit } from '@harbor-latch/core/job/index';
import {
  batteryChemistry,
  defaults,
  internalResistanceOhm,
  protectionPlace,
  restingEmfV,
} from '@harbor-latch/core/reference/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Words } from '../../ui/Words';
import { ChoiceField } from './ChoiceField';
import { useField } from './FieldContext';
import { FuseField } from './FuseField';
import { legColours } from './legColours';
import { More } from './More';
import { NumberField } from './NumberField';
import { Stage } from './Stage';
import { TextField } from './TextField';

const OWN = '';

/** Battery, where the feed is taken, the stub and the fuse before everything else. */
export function SourceStage({
  draft,
  index,
  circuit,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly circuit: Circuit;
}) {
  const units = useUnits();
  const { circuits, batteries } = draft.job;
  const path = ['circuits', index, 'source'] as const;
  const leads = circuits.some(({ sharesFeedWith }) => sharesFeedWith === circuit.id);
  const hosts = leads ? [] : circuits.filter((other) => other.id !== circuit.id && other.sharesFeedWith === undefined);
  const host = circuits.find(({ id }) => id === circuit.sharesFeedWith);
  const batteryIndex = Math.max(
    0,
    batteries.findIndex((battery) => battery.id === circuit.batteryId),
  );
  return (
    <Stage title="Source" under="Battery and fuse. Dry, at hand." conductors={legColours.supply}>
      {hosts.length > 0 ? (
        <ChoiceField
          path={['circuits', index, 'sharesFeedWith']}
          label="Feed and fuse"
          assumed={OWN}
          nothing={OWN}
          choices={[
            { value: OWN, label: 'Its own' },
            ...hosts.map(({ id, name }) => ({ value: id, label: `With ${name}` })),
          ]}
          guide="On a shared feed the currents add up, and one fuse stands before all."
        />
      ) : null}
      {leads ? <Words muted>Other circuits hang on this feed: their currents are counted.</Words> : null}
      {host ? (
        <Words muted>{`Battery, fuse and feed are those of ${host.name}.`}</Words>
      ) : (
        <>
          {batteries.length > 1 ? (
            <ChoiceField
              path={['circuits', index, 'batteryId']}
              label="Fed from"
              assumed={circuit.batteryId}
              choices={batteries.map(({ id, name }) => ({ value: id, label: name }))}
            />
          ) : null}
          <NumberField
            path={[...path, 'stubLengthM']}
            label="Battery to fuse"
            quantity="shortLength"
            step={{ metric: 10, us: 0.5 }}
            assumed={defaults.stubLengthM}
            picks={{ metric: [100, 150, 300, 600], us: [4, 6, 12, 24] }}
            guide={`Tape along the conductor, from the post to the fuse. This piece is protected by nothing: ${formatQuantity(protectionPlace.maxLengthM, 'shortLength', units)} at most, from the battery’s own post more in a sheath.`}
          />
          <ChoiceField
            path={[...path, 'stubSheathed']}
            label="That piece is"
            assumed={false}
            choices={[
              { value: false, label: 'Open' },
              { value: true, label: 'Sheathed' },
            ]}
          />
          <ChoiceField
            path={[...path, 'feed']}
            label="Feed"
            assumed="unswitched"
            choices={[
              { value: 'unswitched', label: 'Always live' },
              { value: 'isolator', label: 'Through the isolator' },
            ]}
            guide="Always live pumps a closed-up boat. Through the isolator suits a small open boat kept ashore."
          />
          <More
            title="More of the source"
            summary={`Taken from the ${circuit.source?.takenFrom ?? 'battery'}, ${circuit.source?.mainFuse ? `${circuit.source.mainFuse.ratingA} A on the post` : 'no fuse on the post'}`}
          >
            <ChoiceField
              path={[...path, 'takenFrom']}
              label="Taken from"
              assumed="battery"
              choices={[
                { value: 'battery', label: 'Battery post' },
                { value: 'bus', label: 'Positive bus' },
              ]}
            />
            <FuseField
              path={[...path, 'mainFuse']}
              label="Fuse on the battery post"
              kinds={['cubeAtBattery', 'classT']}
              guide="A high-interrupt fuse ahead of the circuit’s own, where the bank can deliver more than a blade fuse can break."
            />
          </More>
          <BatteryMore battery={batteries[batteryIndex]} index={batteryIndex} />
        </>
      )}
    </Stage>
  );
}

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
