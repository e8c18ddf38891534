import type { WellSurvey } from '@harbor-latch/core/job/index';
import { View } from 'react-native';
import type { JobPath } from '../../../data/jobPath';
import { Words } from '../../../ui/Words';
import { ChoiceField } from '../../../fields/ChoiceField';
import { useField } from '../../../fields/FieldContext';
import { NumberField } from '../../../fields/NumberField';
import { TextField } from '../../../fields/TextField';
import { SmallButton } from './SmallButton';

/** What must stay dry, and how high it stands. */
export function WellLimits({ well, path }: { readonly well: WellSurvey; readonly path: JobPath }) {
  const field = useField([...path, 'limits']);
  const limits = well.limits ?? [];
  return (
    <View style={{ gap: 12 }}>
      <Words kind="strong">What must stay dry</Words>
      {limits.map(({ id, name }, at) => (
        <View key={id} style={{ gap: 8 }}>
          <TextField path={[...path, 'limits', at, 'name']} label={`Thing ${at + 1}`} needed />
          <NumberField
            path={[...path, 'limits', at, 'zM']}
            label={`${name} over the pump’s base`}
            quantity="shortLength"
            step={{ metric: 10, us: 0.5 }}
            needed
            signed
          />
          <NumberField
            path={[...path, 'limits', at, 'xM']}
            label={`${name} forward of the pump`}
            quantity="shortLength"
            step={{ metric: 50, us: 2 }}
            assumed={0}
            signed
          />
          <NumberField
            path={[...path, 'limits', at, 'yM']}
            label={`${name} to starboard of the pump`}
            quantity="shortLength"
            step={{ metric: 50, us: 2 }}
            assumed={0}
            signed
          />
          <SmallButton
            onPress={() => field.replace(limits.filter((_limit, place) => place !== at))}
          >{`Remove ${name}`}</SmallButton>
        </View>
      ))}
      <SmallButton
        onPress={() => field.replace([...limits, { id: crypto.randomUUID(), name: 'Joints', kind: 'joint', zM: 0.2 }])}
      >
        Add a thing
      </SmallButton>
    </View>
  );
}

/** Members across the well, with or without limber holes. */
export function WellMembers({ well, path }: { readonly well: WellSurvey; readonly path: JobPath }) {
  const field = useField([...path, 'members']);
  const members = well.members ?? [];
  return (
    <View style={{ gap: 12 }}>
      <Words kind="strong">Members across it</Words>
      {members.map(({ id }, at) => (
        <View key={id} style={{ gap: 8 }}>
          <NumberField
            path={[...path, 'members', at, 'xM']}
            label={`Member ${at + 1}, forward of the pump`}
            quantity="shortLength"
            step={{ metric: 50, us: 2 }}
            needed
            signed
          />
          <ChoiceField
            path={[...path, 'members', at, 'limberHoles']}
            label={`Limber holes in member ${at + 1}`}
            assumed={true}
            choices={[
              { value: true, label: 'Open' },
              { value: false, label: 'None' },
            ]}
            guide="Without them the water behind it never reaches the pump."
          />
          <SmallButton
            onPress={() => field.replace(members.filter((_member, place) => place !== at))}
          >{`Remove member ${at + 1}`}</SmallButton>
        </View>
      ))}
      <SmallButton onPress={() => field.replace([...members, { id: crypto.randomUUID(), xM: 0.3, limberHoles: true }])}>
        Add a member
      </SmallButton>
    </View>
  );
}
