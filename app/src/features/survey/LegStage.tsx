import { legOf, type Circuit, type Leg, type LegKey } from '@harbor-latch/core/job/index';
import { defaults } from '@harbor-latch/core/reference/index';
import { schemeOf, type Role } from '@harbor-latch/core/schemes/index';
import { formatQuantity, type UnitSystem } from '@harbor-latch/core/units/index';
import { memo } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Words } from '../../ui/Words';
import { ChoiceField } from '../../fields/ChoiceField';
import { useField } from '../../fields/FieldContext';
import { legColours } from './legColours';
import { NumberField } from '../../fields/NumberField';
import { Stage } from './Stage';
import { sameCircuitParts } from './sameCircuitParts';

const length = { metric: 0.1, us: 0.5 };
const picks = { metric: [1, 2, 3, 5, 8], us: [3, 6, 10, 15, 25] };

/** A cable to pull: how long, through what, and further pieces in other surroundings. */
export const LegStage = memo(
  function LegStage({
    index,
    leg,
    circuit,
  }: {
    readonly index: number;
    readonly circuit: Circuit;
    readonly leg: { readonly key: LegKey; readonly name: string; readonly role: Role; readonly cores: number };
  }) {
    const path = ['circuits', index, 'legs', leg.key] as const;
    const surveyed = legOf(circuit, leg.key);
    const units = useUnits();
    return (
      <Stage
        of={path}
        title={leg.name}
        summary={`${leg.cores === 1 ? 'One conductor' : `${leg.cores} conductors`}, ${surveyed.engineSpace ? 'in engine space' : 'clear of engine'}, ${summaryOf(surveyed, units)}`}
        conductors={schemeOf(circuit).automatic || leg.role !== 'manual' ? legColours[leg.role] : [{ base: 'brown' }]}
      >
        {leg.key === 'panelToBilge' && leg.cores > 1 ? (
          <NumberField
            path={[...path, 'autoLengthM']}
            label="Auto conductor, one way, where it differs"
            quantity="length"
            step={length}
            {...(surveyed.lengthM === undefined ? {} : { assumed: surveyed.lengthM })}
            guide="Only where auto goes to the pump by another way than manual."
          />
        ) : null}
        <Route path={path} />
        <NumberField
          path={[...path, 'slackM']}
          label={`${leg.name}, slack`}
          quantity="length"
          step={length}
          assumed={0}
          guide="Drip loop, and enough to lift pump and float out. It is added to the length."
        />
        <ChoiceField
          path={[...path, 'multicore']}
          label={`${leg.name}, conductors`}
          assumed={false}
          choices={[
            { value: false, label: 'Single' },
            { value: true, label: 'In one sheath' },
          ]}
          guide="In a sheathed multicore 18 AWG is allowed."
        />
        {surveyed.multicore ? (
          <NumberField
            path={[...path, 'unsheathedM']}
            label={`${leg.name}, outside the sheath`}
            quantity="shortLength"
            step={{ metric: 10, us: 0.5 }}
            assumed={0}
            guide="The longest piece that is stripped of its sheath, at either end."
          />
        ) : null}
        <Surroundings path={path} name={leg.name} />
        <Pieces path={[...path, 'further']} name={leg.name} />
      </Stage>
    );
  },
  sameCircuitParts('legs', 'scheme'),
);

function Route({ path }: { readonly path: readonly (string | number)[] }) {
  return (
    <ChoiceField
      path={[...path, 'engineSpace']}
      label="Route"
      assumed={false}
      choices={[
        { value: false, label: 'Clear of engine' },
        { value: true, label: 'In engine space' },
      ]}
    />
  );
}

function Surroundings({ path, name }: { readonly path: readonly (string | number)[]; readonly name: string }) {
  const units = useUnits();
  return (
    <>
      <ChoiceField
        path={[...path, 'insulationC']}
        label="Insulation rated"
        assumed={defaults.insulationC}
        choices={[60, 75, 90, 105].map((value) => ({ value, label: formatQuantity(value, 'temperature', units) }))}
        guide="Printed along the cable."
      />
      <ChoiceField
        path={[...path, 'bundled']}
        label={`${name}, tight bundle`}
        assumed={0}
        nothing={0}
        choices={[
          { value: 0, label: 'None' },
          { value: 3, label: '3' },
          { value: 6, label: '4 to 6' },
          { value: 24, label: '7 to 24' },
        ]}
        guide="Current-carrying conductors tied tightly together. The rule behind it speaks of 50 V and more; many apply it as good practice."
      />
    </>
  );
}

/** Further pieces of a leg that run in other surroundings. */
function Pieces({ path, name }: { readonly path: readonly (string | number)[]; readonly name: string }) {
  const field = useField(path);
  const pieces = (field.value as Leg['further']) ?? [];
  const replace = (next: typeof pieces) => field.replace(next.length === 0 ? undefined : next);
  return (
    <View style={{ gap: 14 }}>
      {pieces.map((_piece, piece) => (
        <View key={piece} style={{ gap: 14 }}>
          <Words kind="strong">{`Piece ${piece + 2}`}</Words>
          <NumberField
            path={[...path, piece, 'lengthM']}
            label={`${name}, piece ${piece + 2}`}
            quantity="length"
            step={length}
            picks={picks}
            needed
          />
          <Route path={[...path, piece]} />
          <Surroundings path={[...path, piece]} name={`${name}, piece ${piece + 2}`} />
          <BigButton
            mode="text"
            icon="delete-outline"
            onPress={() => replace(pieces.filter((_other, index) => index !== piece))}
          >
            {`Remove piece ${piece + 2}`}
          </BigButton>
        </View>
      ))}
      {pieces.length < 8 ? (
        <BigButton mode="outlined" icon="plus" onPress={() => replace([...pieces, { lengthM: 1, engineSpace: true }])}>
          Add a piece in other surroundings
        </BigButton>
      ) : null}
    </View>
  );
}

function summaryOf({ insulationC, slackM, bundled, further }: Leg, units: UnitSystem): string {
  const inUnits = (celsius: number) => formatQuantity(celsius, 'temperature', units);
  return [
    insulationC === undefined ? `${inUnits(defaults.insulationC)} by default` : inUnits(insulationC),
    slackM === undefined ? 'no slack' : `${formatQuantity(slackM, 'length', units)} slack`,
    ...(bundled === undefined ? [] : [`bundle of ${bundled}`]),
    ...(further === undefined ? [] : [`${further.length + 1} pieces`]),
  ].join(', ');
}
