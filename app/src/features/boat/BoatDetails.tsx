import { leftAloneDaysOf } from '@harbor-latch/core/assess/leftAloneDays';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { useDrafts } from '../../data/boats';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { BoatForm } from '../../fields/BoatForm';
import { ChoiceField } from '../../fields/ChoiceField';
import { More } from '../../fields/More';
import { NumberField } from '../../fields/NumberField';
import { BatteryMore } from '../../fields/BatteryMore';
import { TextField } from '../../fields/TextField';
import { Words } from '../../ui/Words';
import { useSayChange } from '../../useSayChange';

/** What kind of craft a boat is, whose, and its batteries: summed up, opened to change. */
export function BoatDetails({ draft }: { readonly draft: Draft }) {
  const units = useUnits();
  const { boat, batteries } = draft.job;
  const summary = [
    boat.craft,
    boat.hullLengthM === undefined ? undefined : formatQuantity(boat.hullLengthM, 'length', units, 1),
    boat.owner,
    boat.berth,
    boat.petrol ? 'petrol or gas on board' : undefined,
  ].filter(Boolean);
  return (
    <BoatForm draft={draft}>
      <Card>
        <View style={{ padding: 14 }}>
          <More title="About the boat" summary={summary.join(' · ') || 'Name, craft, length, owner, berth'} alone>
            <TextField path={['boat', 'name']} label="Name of the boat" needed />
            <TextField path={['boat', 'craft']} label="Craft" />
            <NumberField
              path={['boat', 'hullLengthM']}
              label="Hull length"
              quantity="length"
              step={{ metric: 0.1, us: 0.5 }}
              picks={{ metric: [6, 8, 10, 12], us: [20, 26, 32, 40] }}
            />
            <ChoiceField
              path={['boat', 'petrol']}
              label="Petrol or gas on board"
              assumed={false}
              choices={[
                { value: false, label: 'No' },
                { value: true, label: 'Yes' },
              ]}
            />
            <ChoiceField
              path={['boat', 'kept']}
              label="Kept"
              assumed="afloat"
              choices={[
                { value: 'afloat', label: 'Afloat' },
                { value: 'ashore', label: 'Ashore' },
              ]}
            />
            <NumberField
              path={['boat', 'leftAloneDays']}
              label="Left alone for at most"
              quantity="days"
              step={{ metric: 1, us: 1 }}
              assumed={leftAloneDaysOf(draft.job)}
              picks={{ metric: [3, 7, 14, 30], us: [3, 7, 14, 30] }}
              guide="Her battery should last half as long again, with what is drawn while nobody is aboard."
            />
            <TextField path={['boat', 'owner']} label="Owner" />
            <TextField path={['boat', 'berth']} label="Berth" />
            <TextField path={['boat', 'note']} label="Note" lines={3} />
          </More>
        </View>
      </Card>
      <Words kind="heading" level={2} style={{ paddingHorizontal: 4 }}>
        {batteries.length === 1 ? 'Battery' : 'Batteries'}
      </Words>
      {batteries.map((battery, index) => (
        <Card key={battery.id}>
          <View style={{ padding: 14 }}>
            <BatteryMore battery={battery} index={index} alone>
              <RemoveBattery draft={draft} index={index} />
            </BatteryMore>
          </View>
        </Card>
      ))}
      <AddBattery draft={draft} />
    </BoatForm>
  );
}

function AddBattery({ draft }: { readonly draft: Draft }) {
  const drafts = useDrafts();
  const { batteries } = draft.job;
  if (batteries.length >= 20) return null;
  const add = () =>
    drafts.replace(draft.id, {
      ...draft.job,
      batteries: [...batteries, { id: crypto.randomUUID(), name: `Battery ${batteries.length + 1}` }],
    });
  return (
    <BigButton mode="outlined" icon="plus" onPress={add}>
      Add a battery
    </BigButton>
  );
}

/** A battery that feeds nothing can go. */
function RemoveBattery({ draft, index }: { readonly draft: Draft; readonly index: number }) {
  const drafts = useDrafts();
  const sayChange = useSayChange();
  const { batteries, circuits } = draft.job;
  const battery = batteries[index];
  if (!battery || batteries.length < 2) return null;
  const feeds = circuits.filter((circuit) => circuit.batteryId === battery.id);
  if (feeds.length > 0) {
    return <Words kind="small" muted>{`Feeds ${feeds.map(({ name }) => name).join(', ')}.`}</Words>;
  }
  const remove = () => {
    drafts.replace(draft.id, { ...draft.job, batteries: batteries.filter((other) => other !== battery) });
    sayChange(draft.id, `Removed ${battery.name}`);
  };
  return (
    <View style={{ alignItems: 'flex-start' }}>
      <BigButton mode="text" icon="delete-outline" onPress={remove}>
        Remove this battery
      </BigButton>
    </View>
  );
}
