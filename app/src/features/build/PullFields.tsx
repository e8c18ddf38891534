import { legKinds, type Circuit, type LegKey } from '@harbor-latch/core/job/index';
import { buildRules } from '@harbor-latch/core/reference/index';
import type { BuildList } from '@harbor-latch/core/build/buildList';
import { ChoiceField } from '../../fields/ChoiceField';
import { FoldedCard } from '../../fields/FoldedCard';
import { NumberField } from '../../fields/NumberField';
import { TextField } from '../../fields/TextField';
import { Words } from '../../ui/Words';

const step = { metric: 0.05, us: 0.25 };
const one = { metric: 1, us: 1 };

const slackFields = [
  { key: 'panelEndM', label: 'Slack at the panel', rule: buildRules.panelEndM },
  { key: 'benchM', label: 'Up to bench or deck', rule: buildRules.benchM },
  { key: 'dripLoopM', label: 'Drip loop', rule: buildRules.dripLoopM },
  { key: 'jointM', label: 'For each joint', rule: buildRules.jointM },
  { key: 'remakeM', label: 'For one remake of each joint', rule: buildRules.remakeM },
] as const;

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** How each leg is pulled, what slack is left, and what the labels begin with. */
export function PullFields({
  index,
  circuit,
  list,
}: {
  readonly index: number;
  readonly circuit: Circuit;
  readonly list: BuildList;
}) {
  const legs = (Object.keys(legKinds) as LegKey[]).filter((leg) => list.conductors.some((each) => each.leg === leg));
  const build = ['circuits', index, 'build'] as const;
  return (
    <>
      <FoldedCard title="How it is pulled" summary="Bends, bulkheads, closed spaces, spare cores">
        {legs.map((leg) => {
          const path = [...build, 'pulls', leg] as const;
          const name = legKinds[leg].name;
          return (
            <FoldedCard key={leg} title={capital(name)} summary={pullWords(circuit, leg)}>
              <NumberField path={[...path, 'bends']} label={`Bends, ${name}`} quantity="count" step={one} signed />
              <NumberField
                path={[...path, 'bulkheads']}
                label={`Bulkheads, ${name}`}
                quantity="count"
                step={one}
                assumed={0}
                signed
              />
              <ChoiceField
                path={[...path, 'sealedSpace']}
                label={`Through a space closed for good, ${name}`}
                assumed={false}
                nothing={false}
                choices={[
                  { value: false, label: 'No' },
                  { value: true, label: 'Yes' },
                ]}
              />
              <ChoiceField<boolean | 'proposed'>
                path={[...path, 'spareCore']}
                label={`Spare core, ${name}`}
                assumed="proposed"
                nothing="proposed"
                choices={[
                  { value: 'proposed', label: 'As proposed' },
                  { value: true, label: 'Pull one' },
                  { value: false, label: 'None' },
                ]}
              />
            </FoldedCard>
          );
        })}
      </FoldedCard>
      <FoldedCard title="Slack and labels" summary="What is added to the route, what labels begin with">
        {slackFields.map(({ key, label, rule }) => (
          <NumberField
            key={key}
            path={[...build, 'slack', key]}
            label={label}
            quantity="shortLength"
            step={step}
            assumed={rule.value}
            guide={rule.reason}
            signed
          />
        ))}
        <TextField path={[...build, 'labelCode']} label="Labels begin with" />
        <Words kind="small" muted>{`Now: ${list.labels.find(({ conductor }) => conductor)?.text ?? ''}`}</Words>
      </FoldedCard>
    </>
  );
}

function pullWords({ build }: Circuit, leg: LegKey): string {
  const { bends, bulkheads, sealedSpace, spareCore } = build?.pulls?.[leg] ?? {};
  const words = [
    bends === undefined ? null : `${bends} ${bends === 1 ? 'bend' : 'bends'}`,
    bulkheads === undefined ? null : `${bulkheads} ${bulkheads === 1 ? 'bulkhead' : 'bulkheads'}`,
    sealedSpace ? 'through a closed space' : null,
    spareCore === undefined ? null : spareCore ? 'a spare core' : 'no spare core',
  ].filter((each) => each !== null);
  return words.length === 0 ? 'Nothing entered yet' : words.join(', ');
}
