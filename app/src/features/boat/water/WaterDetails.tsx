import type { Job } from '@harbor-latch/core/job/index';
import { posesOf, typicalIngress, typicalPoses, typicalWell } from '@harbor-latch/core/water/index';
import { View } from 'react-native';
import { useDrafts } from '../../../data/boats';
import type { Draft } from '../../../data/draft';
import { useUnits } from '../../../data/settings';
import { BigButton } from '../../../ui/BigButton';
import { Card } from '../../../ui/Card';
import { Empty } from '../../../ui/Empty';
import { Words } from '../../../ui/Words';
import { BoatForm } from '../../../fields/BoatForm';
import { ChoiceField } from '../../../fields/ChoiceField';
import { FoldedCard } from '../../../fields/FoldedCard';
import { IngressFields, ingressInWords } from './IngressFields';
import { PoseFields, poseInWords } from './PoseFields';
import { WellFields, wellInWords } from './WellFields';
import { useSayChange } from '../../../useSayChange';

/** Where a boat’s water gathers, how she lies, and how it comes in. */
export function WaterDetails({ draft }: { readonly draft: Draft }) {
  const drafts = useDrafts();
  const sayChange = useSayChange();
  const units = useUnits();
  const { job } = draft;
  const { wells = [], ingress = [] } = job;
  const put = (next: Job, said?: string) => {
    drafts.replace(draft.id, next);
    if (said !== undefined) sayChange(draft.id, said);
  };
  const { hullLengthM } = job.boat;
  const addWell = () =>
    put({
      ...job,
      wells: [...wells, { ...typicalWell(crypto.randomUUID(), hullLengthM), name: `Well ${wells.length + 1}` }],
      poses: job.poses ?? typicalPoses(hullLengthM),
      ingress: job.ingress ?? typicalIngress(hullLengthM),
    });
  const removeWell = (id: string, name: string) =>
    put(
      {
        ...job,
        wells: wells.filter((well) => well.id !== id),
        ingress: ingress.filter(({ wellId }) => wellId !== id),
      },
      `Removed ${name}`,
    );
  const addPose = () =>
    put({
      ...job,
      poses: [
        ...(job.poses ?? posesOf(job)),
        { id: crypto.randomUUID(), name: 'Another pose', trimDeg: 0, heelDeg: 0 },
      ],
    });
  const addIngress = () =>
    put({
      ...job,
      ingress: [
        ...ingress,
        { id: crypto.randomUUID(), name: 'Rain', sources: [{ kind: 'rain', areaM2: 6, rateMmPerH: 4 }] },
      ],
    });
  if (wells.length === 0) {
    return (
      <View style={{ gap: 8 }}>
        <Head>Water</Head>
        <Card>
          <Empty icon="waves" title="No well surveyed yet" action={<BigButton onPress={addWell}>Add a well</BigButton>}>
            A well is where water gathers. With it come the float’s height, what the pump really moves, and how long the
            battery lasts.
          </Empty>
        </Card>
      </View>
    );
  }
  return (
    <BoatForm draft={draft}>
      <Head>{wells.length === 1 ? 'The well' : 'Wells'}</Head>
      {wells.map((well, index) => {
        const users = job.circuits.filter(({ water }) => water?.wellId === well.id);
        return (
          <FoldedCard key={well.id} title={well.name} summary={wellInWords(well, units)}>
            <WellFields well={well} index={index} />
            {users.length > 0 ? (
              <Words kind="small" muted>{`In it: ${users.map(({ name }) => name).join(', ')}.`}</Words>
            ) : (
              <Remove what="well" onPress={() => removeWell(well.id, well.name)} />
            )}
          </FoldedCard>
        );
      })}
      <Add onPress={addWell}>Add a well</Add>
      <Head>Poses</Head>
      {(job.poses ?? []).map((pose, index) => (
        <FoldedCard key={pose.id} title={pose.name} summary={poseInWords(pose)}>
          <PoseFields pose={pose} index={index} />
          <Remove
            what="pose"
            onPress={() =>
              put({ ...job, poses: (job.poses ?? []).filter((other) => other.id !== pose.id) }, `Removed ${pose.name}`)
            }
          />
        </FoldedCard>
      ))}
      <Add onPress={addPose}>Add a pose</Add>
      <Head>How water comes in</Head>
      {ingress.map((one, index) => (
        <FoldedCard key={one.id} title={one.name} summary={ingressInWords(one)}>
          <IngressFields ingress={one} index={index} wells={wells} />
          <Remove
            what="way"
            onPress={() => put({ ...job, ingress: ingress.filter(({ id }) => id !== one.id) }, `Removed ${one.name}`)}
          />
        </FoldedCard>
      ))}
      <Add onPress={addIngress}>Add a way in</Add>
      <Card>
        <View style={{ padding: 14 }}>
          <ChoiceField
            path={['boat', 'afloatIn']}
            label="Afloat in"
            assumed="sea"
            choices={[
              { value: 'sea', label: 'The sea' },
              { value: 'fresh', label: 'Fresh water' },
            ]}
          />
        </View>
      </Card>
    </BoatForm>
  );
}

function Head({ children }: { readonly children: string }) {
  return (
    <Words kind="heading" level={2} style={{ paddingHorizontal: 4 }}>
      {children}
    </Words>
  );
}

function Add({ onPress, children }: { readonly onPress: () => void; readonly children: string }) {
  return (
    <BigButton mode="outlined" icon="plus" onPress={onPress}>
      {children}
    </BigButton>
  );
}

function Remove({ what, onPress }: { readonly what: string; readonly onPress: () => void }) {
  return (
    <View style={{ alignItems: 'flex-start' }}>
      <BigButton mode="text" icon="delete-outline" onPress={onPress}>
        {`Remove this ${what}`}
      </BigButton>
    </View>
  );
}
