import { BatteryMore } from '../../fields/BatteryMore';
import type { Circuit } from '@harbor-latch/core/job/index';
import { defaults, protectionPlace } from '@harbor-latch/core/reference/index';
import { formatQuantity } from '@harbor-latch/core/units/index';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { Words } from '../../ui/Words';
import { ChoiceField } from '../../fields/ChoiceField';
import { FuseField } from '../../fields/FuseField';
import { legColours } from './legColours';
import { More } from '../../fields/More';
import { NumberField } from '../../fields/NumberField';
import { Stage } from './Stage';

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
    <Stage
      of={path}
      title="Source"
      summary={
        host
          ? `Feed and fuse of ${host.name}`
          : `${formatQuantity(circuit.source?.stubLengthM ?? defaults.stubLengthM, 'shortLength', units)} to the fuse, ${circuit.source?.feed === 'isolator' ? 'through the isolator' : 'always live'}`
      }
      conductors={legColours.supply}
    >
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
