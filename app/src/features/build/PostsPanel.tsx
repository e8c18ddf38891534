import { batteryOf } from '@harbor-latch/core/assess/batteryOf';
import type { Circuit } from '@harbor-latch/core/job/index';
import { panelPosts, postRoles, type PanelPosts } from '@harbor-latch/core/trace/panelPosts';
import { spotName, spotsOf, withSpot, type Spot } from '@harbor-latch/core/trace/panelOutline';
import { useState } from 'react';
import { View } from 'react-native';
import type { Draft } from '../../data/draft';
import { BoatForm } from '../../fields/BoatForm';
import { FoldedCard } from '../../fields/FoldedCard';
import { PostFields } from '../../fields/PostFields';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { TextDialog } from '../../ui/TextDialog';
import { Words } from '../../ui/Words';
import { PostOutline } from './PostOutline';
import { PostsDialogue } from './PostsDialogue';

/** As many posts as have numbers of one digit. */
const MOST_SPOTS = 9;
const UNKNOWN = '';
const NO_PICTURE = '';

type OnCircuit = (circuit: Circuit, said: string) => void;

/** Where the posts of the real panel sit, what is printed at them, and which is which. */
export function PostsPanel({
  draft,
  index,
  circuit,
  onCircuit,
}: {
  readonly draft: Draft;
  readonly index: number;
  readonly circuit: Circuit;
  readonly onCircuit: OnCircuit;
}) {
  const [chosen, setChosen] = useState<string | null>(null);
  const { job } = draft;
  const battery = batteryOf(job, circuit);
  const outline = circuit.panel?.outline;
  const spots = spotsOf(outline);
  const panel = panelPosts(circuit, battery, spots.length);
  const spot = spots.find(({ id }) => id === chosen) ?? null;
  const pictures = (job.photographs ?? []).filter(({ circuitId }) => circuitId === circuit.id);
  const picture = pictures.find(({ id }) => id === outline?.photographId) ?? null;
  const add = (x: number, y: number) => {
    const free = Array.from({ length: MOST_SPOTS }, (_, at) => `p${at + 1}`).find(
      (id) => !spots.some((one) => one.id === id),
    );
    if (free === undefined) return;
    onCircuit(withSpot(circuit, free, { x, y }), `Post ${free.slice(1)} is on the outline`);
    setChosen(free);
  };
  const move = (id: string, x: number, y: number) => {
    const { id: _id, ...before } = spots.find((one) => one.id === id) ?? { id, x, y };
    onCircuit(withSpot(circuit, id, { ...before, x, y }), `Post ${id.slice(1)} was moved`);
  };
  const choosePicture = (photographId: string) => {
    const { photographId: _before, ...rest } = outline ?? {};
    const next = photographId === NO_PICTURE ? rest : { ...rest, photographId };
    onCircuit({ ...circuit, panel: { ...circuit.panel, outline: next } }, 'The outline lies on another picture');
  };
  return (
    <>
      <Card>
        <View style={{ padding: 14, gap: 10 }}>
          <Words kind="heading" level={2}>
            The panel’s back
          </Words>
          <Words kind="small" muted>
            {spots.length === 0
              ? 'Touch where each post sits, as seen from behind. A photograph of the back may lie under it: add one to this circuit first.'
              : 'Touch a post to name or move it; touch an empty place for one more.'}
          </Words>
          {pictures.length > 0 ? (
            <ChoiceRow
              label="What the outline lies on"
              value={picture?.id ?? NO_PICTURE}
              choices={[
                { value: NO_PICTURE, label: 'Plain' },
                ...pictures.map(({ id, note, addedAt }) => ({
                  value: id,
                  label: note ?? `Photograph of ${addedAt.slice(0, 10)}`,
                })),
              ]}
              onChoose={choosePicture}
            />
          ) : null}
          <PostOutline
            spots={spots}
            panel={panel}
            photo={picture?.photo ?? null}
            chosen={chosen}
            onChoose={setChosen}
            onEmpty={(x, y) => (chosen === null ? add(x, y) : move(chosen, x, y))}
            onMove={move}
          />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {spots.length < MOST_SPOTS ? (
              <BigButton
                mode="outlined"
                icon="plus"
                onPress={() => add(((spots.length % 3) + 1) / 4, (Math.floor(spots.length / 3) + 1) / 4)}
              >
                Add a post
              </BigButton>
            ) : null}
          </View>
        </View>
      </Card>
      {spot ? (
        <SpotCard
          key={spot.id}
          circuit={circuit}
          spot={spot}
          panel={panel}
          onCircuit={onCircuit}
          onDone={() => setChosen(null)}
        />
      ) : null}
      <PostsDialogue circuit={circuit} spots={spots} panel={panel} onCircuit={onCircuit} onChoose={setChosen} />
      <BoatForm draft={draft}>
        <FoldedCard title="Names by hand" summary="Every drawing, list and label uses them">
          <PostFields index={index} circuit={circuit} battery={battery} />
        </FoldedCard>
      </BoatForm>
    </>
  );
}

/** One post: what is printed at it, and what it is where that is known. */
function SpotCard({
  circuit,
  spot,
  panel,
  onCircuit,
  onDone,
}: {
  readonly circuit: Circuit;
  readonly spot: Spot;
  readonly panel: PanelPosts | null;
  readonly onCircuit: OnCircuit;
  readonly onDone: () => void;
}) {
  const [naming, setNaming] = useState(false);
  const { id, ...of } = spot;
  const name = `Post ${id.slice(1)}`;
  const choices = (panel?.roles ?? []).flatMap(({ role, terminal }) =>
    terminal === null ? [] : [{ value: terminal, label: postRoles[role] }],
  );
  const setPost = (post: string) => {
    const { post: _before, ...rest } = of;
    // A terminal has one post: where another had it, that one is not known any more.
    const freed = spotsOf(circuit.panel?.outline)
      .filter((other) => other.id !== id && other.post === post)
      .reduce((done, { id: otherId, post: _post, ...other }) => withSpot(done, otherId, other), circuit);
    onCircuit(
      withSpot(freed, id, post === UNKNOWN ? rest : { ...rest, post }),
      post === UNKNOWN ? `${name}: not known` : `${name}: ${choices.find(({ value }) => value === post)?.label ?? ''}`,
    );
  };
  return (
    <Card>
      <View style={{ padding: 14, gap: 10 }}>
        <Words kind="heading" level={2}>
          {name}
        </Words>
        <Words>{of.printed === undefined ? 'Nothing is printed at it.' : `Printed: ${of.printed}`}</Words>
        {choices.length > 0 ? (
          <ChoiceRow
            label={`${name} is`}
            value={of.post ?? UNKNOWN}
            choices={[{ value: UNKNOWN, label: 'not known yet' }, ...choices]}
            onChoose={setPost}
          />
        ) : null}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <BigButton mode="outlined" onPress={() => setNaming(true)}>
            What is printed
          </BigButton>
          <BigButton
            mode="text"
            onPress={() => {
              onCircuit(withSpot(circuit, id, null), `${name} was taken off`);
              onDone();
            }}
          >
            Take it off
          </BigButton>
          <BigButton mode="text" onPress={onDone}>
            Done with it
          </BigButton>
        </View>
      </View>
      {naming ? (
        <TextDialog
          title={name}
          label="What is printed at it"
          first={of.printed ?? ''}
          most={20}
          onClose={() => setNaming(false)}
          onText={(text) => {
            setNaming(false);
            const { printed: _before, ...rest } = of;
            onCircuit(
              withSpot(circuit, id, text === '' ? rest : { ...rest, printed: text }),
              text === '' ? `${name}: nothing printed` : `${name}: ${spotName({ id, printed: text })}`,
            );
          }}
        />
      ) : null}
    </Card>
  );
}
