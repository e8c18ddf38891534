import type { IngressSource, IngressSurvey, WellSurvey } from '@harbor-latch/core/job/index';
import { View } from 'react-native';
import type { JobPath } from '../../../data/jobPath';
import { BigButton } from '../../../ui/BigButton';
import { ChoiceRow } from '../../../ui/ChoiceRow';
import { ToolButton } from '../../../ui/ToolButton';
import { Words } from '../../../ui/Words';
import { ChoiceField } from '../../../fields/ChoiceField';
import { useField } from '../../../fields/FieldContext';
import { NumberField } from '../../../fields/NumberField';
import { TextField } from '../../../fields/TextField';
import { Measured } from './Measured';

const kinds: Readonly<Record<IngressSource['kind'], { readonly name: string; readonly first: IngressSource }>> = {
  steady: { name: 'Steady', first: { kind: 'steady', flowLPerH: 10 } },
  rain: { name: 'Rain', first: { kind: 'rain', areaM2: 6, rateMmPerH: 4 } },
  drip: { name: 'Drip', first: { kind: 'drip', perMinute: 40 } },
  opening: { name: 'Hole', first: { kind: 'opening', diameterM: 0.02, heightM: 0.1, outsideM: 0.4 } },
  script: {
    name: 'By the clock',
    first: {
      kind: 'script',
      steps: [
        { fromS: 0, flowLPerH: 100 },
        { fromS: 3600, flowLPerH: 0 },
      ],
    },
  },
};

/** What brings water, in words. */
export function ingressInWords({ sources, guessed }: IngressSurvey): string {
  return `${sources.map(({ kind }) => kinds[kind].name.toLowerCase()).join(' and ')}${guessed ? ', estimate' : ''}`;
}

/** One way in which the boat takes in water, of one source or several at once. */
export function IngressFields({
  ingress,
  index,
  wells,
}: {
  readonly ingress: IngressSurvey;
  readonly index: number;
  readonly wells: readonly WellSurvey[];
}) {
  const path = ['ingress', index] as const;
  const list = useField([...path, 'sources']);
  return (
    <>
      <Measured path={path} />
      <TextField path={[...path, 'name']} label="Name of the way in" needed />
      {wells.length > 1 ? (
        <ChoiceField
          path={[...path, 'wellId']}
          label="Into"
          assumed=""
          nothing=""
          choices={[{ value: '', label: 'Every well' }, ...wells.map(({ id, name }) => ({ value: id, label: name }))]}
        />
      ) : null}
      {ingress.sources.map((source, at) => (
        <View key={`${at} ${source.kind}`} style={{ gap: 12 }}>
          <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' }}>
            <ChoiceRow
              label={`Kind of source ${at + 1}`}
              value={source.kind}
              choices={Object.entries(kinds).map(([value, { name }]) => ({ value, label: name }))}
              onChoose={(kind) =>
                list.replace(
                  ingress.sources.map((other, place) =>
                    place === at ? kinds[kind as IngressSource['kind']].first : other,
                  ),
                )
              }
            />
            {ingress.sources.length > 1 ? (
              <ToolButton
                icon="close"
                label={`Remove source ${at + 1}`}
                onPress={() => list.replace(ingress.sources.filter((_, place) => place !== at))}
              />
            ) : null}
          </View>
          <SourceFields source={source} path={[...path, 'sources', at]} />
        </View>
      ))}
      {ingress.sources.length < 10 ? (
        <View style={{ alignItems: 'flex-start' }}>
          <BigButton mode="outlined" icon="plus" onPress={() => list.replace([...ingress.sources, kinds.steady.first])}>
            And another source
          </BigButton>
        </View>
      ) : null}
    </>
  );
}

function SourceFields({ source, path }: { readonly source: IngressSource; readonly path: JobPath }) {
  switch (source.kind) {
    case 'steady':
      return (
        <NumberField
          path={[...path, 'flowLPerH']}
          label="Comes in"
          quantity="flow"
          step={{ metric: 5, us: 1 }}
          needed
          guide="Count a bucket by the clock."
        />
      );
    case 'rain':
      return (
        <>
          <NumberField
            path={[...path, 'areaM2']}
            label="Open area that drains here"
            quantity="area"
            step={{ metric: 0.5, us: 5 }}
            needed
            guide="Cockpit and deck whose water ends in this well, seen from above."
          />
          <NumberField
            path={[...path, 'rateMmPerH']}
            label="Rain"
            quantity="rain"
            step={{ metric: 1, us: 0.05 }}
            picks={{ metric: [2, 5, 10, 30], us: [0.1, 0.2, 0.4, 1.2] }}
            needed
            guide="A steady rain is 2 to 5 mm/h, a downpour 30 and more."
          />
        </>
      );
    case 'drip':
      return (
        <NumberField
          path={[...path, 'perMinute']}
          label="Drops a minute"
          quantity="drops"
          step={{ metric: 5, us: 5 }}
          needed
          guide="Count them for a minute; twenty make about a millilitre."
        />
      );
    case 'opening':
      return (
        <>
          <NumberField
            path={[...path, 'diameterM']}
            label="Hole across"
            quantity="shortLength"
            step={{ metric: 2, us: 0.1 }}
            needed
          />
          <NumberField
            path={[...path, 'heightM']}
            label="Hole over the pump’s base"
            quantity="shortLength"
            step={{ metric: 10, us: 0.5 }}
            needed
            signed
          />
          <NumberField
            path={[...path, 'xM']}
            label="Hole forward of the pump"
            quantity="shortLength"
            step={{ metric: 50, us: 2 }}
            assumed={0}
            signed
          />
          <NumberField
            path={[...path, 'yM']}
            label="Hole to starboard of the pump"
            quantity="shortLength"
            step={{ metric: 50, us: 2 }}
            assumed={0}
            signed
            guide="Trim and heel lift or drown a hole that lies away from the pump."
          />
          <NumberField
            path={[...path, 'outsideM']}
            label="Water outside over the pump’s base"
            quantity="shortLength"
            step={{ metric: 10, us: 0.5 }}
            signed
            guide="Where a pose does not say. Nothing comes in while this is not known."
          />
        </>
      );
    case 'script':
      return <ScriptSteps source={source} path={path} />;
    default:
      return source satisfies never;
  }
}

function ScriptSteps({
  source,
  path,
}: {
  readonly source: Extract<IngressSource, { kind: 'script' }>;
  readonly path: JobPath;
}) {
  const field = useField([...path, 'steps']);
  const { steps } = source;
  const last = steps[steps.length - 1];
  return (
    <>
      {steps.map((_, at) => (
        <View key={at} style={{ gap: 10 }}>
          <NumberField
            path={[...path, 'steps', at, 'fromS']}
            label={`Step ${at + 1} begins after`}
            quantity="time"
            step={{ metric: 600, us: 600 }}
            needed
            signed
          />
          <NumberField
            path={[...path, 'steps', at, 'flowLPerH']}
            label={`Step ${at + 1} brings`}
            quantity="flow"
            step={{ metric: 10, us: 5 }}
            needed
            signed
          />
          {steps.length > 1 ? (
            <View style={{ alignItems: 'flex-start' }}>
              <BigButton
                mode="text"
                icon="close"
                onPress={() => field.replace(steps.filter((_step, place) => place !== at))}
              >
                {`Remove step ${at + 1}`}
              </BigButton>
            </View>
          ) : null}
        </View>
      ))}
      <View style={{ alignItems: 'flex-start' }}>
        <BigButton
          mode="outlined"
          icon="plus"
          onPress={() => field.replace([...steps, { fromS: (last?.fromS ?? 0) + 3600, flowLPerH: 0 }])}
        >
          Add a step
        </BigButton>
      </View>
      <Words kind="small" muted>
        Times may be typed in minutes or hours: “90 min”, “2 h”.
      </Words>
    </>
  );
}
