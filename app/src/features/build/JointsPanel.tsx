import type { BuildList } from '@harbor-latch/core/build/buildList';
import type { JointWork } from '@harbor-latch/core/build/joints';
import { serviceBySchool } from '@harbor-latch/core/build/service';
import type { Circuit } from '@harbor-latch/core/job/index';
import { jointSchools, type JointSchool } from '@harbor-latch/core/reference/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { FoldedCard } from '../../fields/FoldedCard';
import { withDisconnect, withSchool } from './changes';

const schools = (Object.keys(jointSchools) as JointSchool[]).map((value) => ({
  value,
  label: jointSchools[value].name,
}));

interface JointsProps {
  readonly circuit: Circuit;
  readonly list: BuildList;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  readonly onSelect: (id: string | null) => void;
}

/** Every joint with what meets in it and what it takes; how they are made, and what that costs later. */
export function JointsPanel({ circuit, list, onCircuit, onSelect }: JointsProps) {
  const school = circuit.build?.school ?? 'crimp';
  const minutes = list.joints.filter(({ band }) => band === 'bilge').reduce((sum, joint) => sum + joint.minutes, 0);
  const wet = list.joints.filter(({ band }) => band === 'bilge');
  const dry = list.joints.filter(({ band }) => band !== 'bilge');
  const withFloat = wet.some(({ conductors }) => conductors.some(({ id }) => /^(float|sensor)-lead/.test(id)));
  const withPump = wet.some(({ conductors }) => conductors.some(({ id }) => id.startsWith('pump-lead')));
  return (
    <>
      <Card>
        <View style={{ padding: 14, gap: 10 }}>
          <Words kind="heading" level={2}>
            How they are made
          </Words>
          <ChoiceRow
            label="Way of joining"
            value={school}
            choices={schools}
            onChoose={(value) =>
              onCircuit(withSchool(circuit, null, value === 'crimp' ? null : value), jointSchools[value].name)
            }
          />
          <Words kind="small" muted>
            {`${jointSchools[school].reason} ${jointSchools[school].ohm * 1000} mΩ a joint; ${minutes} minutes for all of them, and again at each repair.`}
          </Words>
          {([withPump ? 'pump' : null, withFloat ? 'float' : null] as const).map((at) =>
            at === null ? null : (
              <Disconnect
                key={at}
                name={`Disconnect at the ${at}`}
                fitted={circuit.build?.disconnects?.[at] ?? false}
                onFit={(fitted) =>
                  onCircuit(
                    withDisconnect(circuit, at, fitted),
                    `${fitted ? 'Disconnect' : 'No disconnect'} at the ${at}`,
                  )
                }
              />
            ),
          )}
        </View>
      </Card>
      <FoldedCard title="What each way costs later" summary="Minutes at its joints when pump or float comes out">
        {serviceBySchool(list.joints, circuit).map(({ school: one, ohm, pumpMinutes, floatMinutes }) => (
          <View key={one} style={{ gap: 2 }}>
            <Words kind={one === school ? 'strong' : 'body'}>{jointSchools[one].name}</Words>
            <Words kind="small" muted>
              {[
                pumpMinutes === null ? null : `pump ${pumpMinutes} min`,
                floatMinutes === null ? null : `float ${floatMinutes} min`,
                `${ohm * 1000} mΩ a joint`,
              ]
                .filter(Boolean)
                .join(' · ')}
            </Words>
          </View>
        ))}
      </FoldedCard>
      {wet.map((joint) => (
        <JointCard key={joint.id} joint={joint} circuit={circuit} onCircuit={onCircuit} onSelect={onSelect} />
      ))}
      {dry.length > 0 ? (
        <FoldedCard
          title="In the panel"
          summary={`${dry.length === 1 ? '1 place' : `${dry.length} places`} on blocks or studs`}
        >
          {dry.map(({ id, name, conductors }) => (
            <Words key={id}>{`${name}: ${conductors.map((one) => one.name.toLowerCase()).join(', ')}`}</Words>
          ))}
        </FoldedCard>
      ) : null}
      {hasAssumed(list) ? (
        <Words kind="small" muted>
          Leads that nobody measured are taken as 16 AWG. Read the size off the lead and enter it in the survey.
        </Words>
      ) : null}
    </>
  );
}

const hasAssumed = ({ joints }: BuildList) =>
  joints.some(({ band, conductors }) => band === 'bilge' && conductors.some(({ assumed }) => assumed));

function Disconnect({
  name,
  fitted,
  onFit,
}: {
  readonly name: string;
  readonly fitted: boolean;
  readonly onFit: (fitted: boolean) => void;
}) {
  return (
    <View style={{ gap: 4 }}>
      <Words kind="strong">{name}</Words>
      <ChoiceRow
        label={name}
        value={fitted ? 'fitted' : 'none'}
        choices={[
          { value: 'none' as const, label: 'None' },
          { value: 'fitted' as const, label: 'Waterproof disconnect' },
        ]}
        onChoose={(value) => onFit(value === 'fitted')}
      />
    </View>
  );
}

function JointCard({
  joint,
  circuit,
  onCircuit,
  onSelect,
}: {
  readonly joint: JointWork;
  readonly circuit: Circuit;
  readonly onCircuit: JointsProps['onCircuit'];
  readonly onSelect: JointsProps['onSelect'];
}) {
  const palette = usePalette();
  const units = useUnits();
  const { id, name, conductors, barrel, how, because, sides, stripM, sleeve, sealant, pullN, tugN, overWaterM } = joint;
  const own = circuit.build?.joints?.[id]?.school;
  const sideWords = sides.map((side) => {
    const who = side.ids
      .map((one) => conductors.find((each) => each.id === one)?.name.toLowerCase() ?? one)
      .join(' and ');
    return `${who}, ${side.areaMm2.toFixed(2)} mm²${side.fold > 1 ? ', folded back once' : ''}`;
  });
  const facts: readonly (readonly [string, string | null])[] = [
    ['Barrel', barrel ? `${barrel.colour} (${barrel.sizes})${how === 'step-down' ? ', as a step-down' : ''}` : null],
    ['One side', sideWords[0] ?? null],
    ['Other side', sideWords[1] ?? null],
    ['On a block', how === 'block' ? conductors.map((one) => one.name.toLowerCase()).join(', ') : null],
    ['Strip', stripM === null ? null : formatQuantity(stripM, 'shortLength', units)],
    [
      'Sleeve',
      sleeve
        ? `${formatQuantity(sleeve.lengthM, 'shortLength', units)} long, at least ${formatQuantity(sleeve.diameterM, 'shortLength', units)} across`
        : null,
    ],
    ['Sealant', sealant ? 'in the crotch where two go in together' : null],
    [
      'Pull',
      pullN === null || tugN === null
        ? null
        : `${pullN} N on a scrap sample for a minute, ${tugN.toFixed(0)} N as a tug`,
    ],
    [
      'Place',
      overWaterM === null
        ? 'above the highest water: measure where the joints lie, in the well’s survey'
        : `${formatQuantity(overWaterM, 'shortLength', units)} over the water at which the highest float switches`,
    ],
  ];
  return (
    <Card>
      <View style={{ padding: 14, gap: 8 }}>
        <Words kind="heading" level={2}>
          {`${name}: ${conductors.map((one) => one.name.toLowerCase()).join(' + ')}`}
        </Words>
        {because ? <Words color={palette.caution}>{because}</Words> : null}
        {facts.map(([what, words]) =>
          words === null ? null : (
            <View key={what} style={{ flexDirection: 'row', gap: 10 }}>
              <Words kind="small" muted style={{ width: 84 }}>
                {what}
              </Words>
              <Words style={{ flex: 1, minWidth: 0 }}>{words}</Words>
            </View>
          ),
        )}
        <ChoiceRow
          label={`Way of joining ${name}`}
          value={own ?? 'rest'}
          choices={[{ value: 'rest' as const, label: 'As the rest' }, ...schools]}
          onChoose={(value) => {
            onSelect(id);
            onCircuit(
              withSchool(circuit, id, value === 'rest' ? null : value),
              value === 'rest' ? `${name}: as the rest` : `${name}: ${jointSchools[value].name.toLowerCase()}`,
            );
          }}
        />
      </View>
    </Card>
  );
}
