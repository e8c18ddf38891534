import type { HoseSurvey } from '@harbor-latch/core/job/index';
import { typicalHose } from '@harbor-latch/core/water/index';
import { View } from 'react-native';
import type { Draft } from '../data/draft';
import { BigButton } from '../ui/BigButton';
import { ToolButton } from '../ui/ToolButton';
import { Words } from '../ui/Words';
import { ChoiceField } from './ChoiceField';
import { useField } from './FieldContext';
import { NumberField } from './NumberField';
import { MeasureHose } from './MeasureHose';

/** The hose: bore, wall, bends, and the points of its route. */
export function HoseFields({
  draft,
  index,
  bores,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly bores: readonly number[];
}) {
  const path = ['circuits', index, 'water', 'hose'] as const;
  const field = useField(path);
  const hose = field.value as HoseSurvey | undefined;
  const circuit = draft.job.circuits[index];
  if (!hose) {
    return (
      <View style={{ alignItems: 'flex-start' }}>
        <BigButton onPress={() => field.replace(typicalHose(circuit?.pump ?? {}, draft.job.boat.hullLengthM))}>
          Begin with a typical hose
        </BigButton>
      </View>
    );
  }
  const last = hose.route[hose.route.length - 1];
  const add = () => {
    if (!last) return;
    field.replace({
      ...hose,
      route: [...hose.route, { ...last, alongM: Math.round((last.alongM + 0.5) * 100) / 100 }],
    });
  };
  const drop = (at: number) => field.replace({ ...hose, route: hose.route.filter((_, other) => other !== at) });
  return (
    <View style={{ gap: 16 }}>
      <Words kind="heading" level={2}>
        The hose
      </Words>
      {hose.guessed ? (
        <View style={{ gap: 6, alignItems: 'flex-start' }}>
          <Words muted>These figures are typical ones, not measured.</Words>
          <BigButton mode="outlined" onPress={() => field.replace({ ...hose, guessed: false })}>
            They are measured now
          </BigButton>
        </View>
      ) : null}
      <NumberField
        path={[...path, 'boreM']}
        label="Bore"
        quantity="shortLength"
        step={{ metric: 1, us: 0.1 }}
        picks={{ metric: bores.slice(2, 7).map((bore) => Math.round(bore * 1000)), us: [0.75, 1, 1.1, 1.25, 1.5] }}
        needed
        guide="Inside, not outside. Read it off the hose."
      />
      <NumberField
        path={['circuits', index, 'water', 'portM']}
        label="The pump’s own outlet"
        quantity="shortLength"
        step={{ metric: 1, us: 0.1 }}
        guide="Bore of its spigot; a hose smaller than that takes flow away."
      />
      <ChoiceField
        path={[...path, 'wall']}
        label="Wall"
        assumed="smooth"
        choices={[
          { value: 'smooth', label: 'Smooth' },
          { value: 'corrugated', label: 'Corrugated' },
        ]}
        guide="Feel inside: a corrugated wall costs about half of the flow on a long run."
      />
      <NumberField
        path={[...path, 'bends90']}
        label="Bends of 90°"
        quantity="count"
        step={{ metric: 1, us: 1 }}
        assumed={0}
        signed
      />
      <NumberField
        path={[...path, 'bends45']}
        label="Bends of 45°"
        quantity="count"
        step={{ metric: 1, us: 1 }}
        assumed={0}
        signed
      />
      <ChoiceField
        path={[...path, 'checkValve']}
        label="Check valve"
        assumed={false}
        choices={[
          { value: false, label: 'None' },
          { value: true, label: 'Fitted' },
        ]}
      />
      <ChoiceField
        path={[...path, 'ventedLoop']}
        label="Vented loop"
        assumed={false}
        choices={[
          { value: false, label: 'None' },
          { value: true, label: 'Fitted' },
        ]}
      />
      {hose.ventedLoop ? (
        <NumberField
          path={[...path, 'ventedLoopM']}
          label="Vented loop’s top over the pump’s base"
          quantity="shortLength"
          step={{ metric: 10, us: 0.5 }}
          signed
          guide="It answers for an outlet that goes under only while its top stands above the water outside."
        />
      ) : null}
      <MeasureHose hose={hose} />
      {hose.route.map((_, at) => (
        <View key={at} style={{ gap: 10 }}>
          <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' }}>
            <Words kind="strong">
              {at === 0 ? 'At the pump' : at === hose.route.length - 1 ? 'The outlet' : `Point ${at}`}
            </Words>
            {at > 0 && hose.route.length > 2 ? (
              <ToolButton icon="close" label={`Remove point ${at}`} onPress={() => drop(at)} />
            ) : null}
          </View>
          {at === 0 ? null : (
            <NumberField
              path={[...path, 'route', at, 'alongM']}
              label={`Along the hose to point ${at}`}
              quantity="length"
              step={{ metric: 0.1, us: 0.5 }}
              needed
            />
          )}
          <NumberField
            path={[...path, 'route', at, 'heightM']}
            label={`Height of point ${at} over the pump’s base`}
            quantity="shortLength"
            step={{ metric: 10, us: 0.5 }}
            needed
            signed
          />
          {at === 0 ? null : (
            <NumberField
              path={[...path, 'route', at, 'yM']}
              label={`Point ${at} to starboard of the pump`}
              quantity="shortLength"
              step={{ metric: 50, us: 2 }}
              assumed={0}
              signed
              guide="Heel lifts what lies on the high side."
            />
          )}
        </View>
      ))}
      <BigButton mode="outlined" icon="plus" onPress={add}>
        Add a point
      </BigButton>
    </View>
  );
}
