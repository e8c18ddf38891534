import type { Circuit, Continuity } from '@harbor-latch/core/job/index';
import { cautions } from '@harbor-latch/core/reference/index';
import { MOST_POSTS, postRoles, switchFaults, type PanelPosts } from '@harbor-latch/core/trace/panelPosts';
import { CLIPS_FROM, type Assignment, type PostQuestion } from '@harbor-latch/core/trace/posts';
import {
  jumpersOf,
  readingKey,
  readingsOf,
  spotName,
  withAssignment,
  withReading,
  type Spot,
} from '@harbor-latch/core/trace/panelOutline';
import { useState } from 'react';
import { View } from 'react-native';
import { usePosts } from '../../data/tracing';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Notice } from '../../ui/Notice';
import { Words } from '../../ui/Words';

const answers: readonly { readonly reads: Continuity; readonly label: string }[] = [
  { reads: 'beeps', label: 'Near nothing, it beeps' },
  { reads: 'some', label: 'Some ohms, as of a lamp' },
  { reads: 'none', label: 'Nothing, open' },
];

/** Finds out which post is which: one test of continuity after the other, the fewest that tell. */
export function PostsDialogue({
  circuit,
  spots,
  panel,
  onCircuit,
  onChoose,
}: {
  readonly circuit: Circuit;
  readonly spots: readonly Spot[];
  readonly panel: PanelPosts | null;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  readonly onChoose: (id: string | null) => void;
}) {
  const [clips, setClips] = useState(true);
  const outline = circuit.panel?.outline;
  const readings = readingsOf(outline);
  const offersClips = spots.length >= CLIPS_FROM;
  const found = usePosts(panel, offersClips && clips, readings);
  if (spots.length < 3) return null;
  if (!panel) {
    return (
      <Card>
        <View style={{ padding: 14, gap: 6 }}>
          <Words kind="heading" level={2}>
            Which is which
          </Words>
          <Words muted>
            {spots.length > MOST_POSTS
              ? `More than ${MOST_POSTS} posts are not told apart by questions: take those off that are surely spare, or name them by hand.`
              : 'This circuit’s switch has no manual and auto: its two posts may change places. Name them by hand.'}
          </Words>
        </View>
      </Card>
    );
  }
  const read = (question: PostQuestion, reads: Continuity) => {
    onCircuit(
      withReading(circuit, {
        key: readingKey(question, spots),
        reads,
        at: new Date().toISOString(),
      }),
      'Read',
    );
    onChoose(null);
  };
  return (
    <Card>
      <View style={{ padding: 14, gap: 10 }}>
        <Words kind="heading" level={2}>
          Which is which
        </Words>
        {readings.length === 0 ? (
          <Words kind="small" muted>
            {`${cautions.proveDead} Pull the panel’s fuse out of the feed, take cables and jumpers off the posts, leave the panel’s own fuse in. An ohmmeter’s beeper is enough.`}
          </Words>
        ) : null}
        {offersClips ? (
          <ChoiceRow
            label="Clip leads"
            value={clips ? 'clips' : 'two'}
            choices={[
              { value: 'clips' as const, label: 'With clip leads' },
              { value: 'two' as const, label: 'Two probes only' },
            ]}
            onChoose={(value) => setClips(value === 'clips')}
          />
        ) : null}
        {found === null ? (
          <Words role="status" muted>
            Looking for the best question …
          </Words>
        ) : null}
        {found?.kind === 'asking' ? (
          <Question question={found.question} left={found.left} most={found.most} spots={spots} onRead={read} />
        ) : null}
        {found?.kind === 'found' ? (
          <Found
            panel={panel}
            spots={spots}
            assignment={found.assignment}
            alike={found.alike}
            onTake={() => onCircuit(withAssignment(circuit, panel, found.assignment), 'The posts have their names')}
          />
        ) : null}
        {found?.kind === 'faulty' ? (
          <Notice tone="stop" icon="alert-octagon">
            {`No sound switch reads so. ${
              found.faults.length === 0
                ? 'Nor does one with a single fault: take the last readings back, and look whether the meter beeps with its probes together.'
                : `It would if ${found.faults.map(({ fault }) => switchFaults[fault]).join(', or if ')}. Take the last reading back and read it again; then try another switch.`
            }`}
          </Notice>
        ) : null}
        {readings.length > 0 ? (
          <View style={{ flexDirection: 'row' }}>
            <BigButton
              mode="text"
              icon="undo"
              onPress={() => onCircuit(withReading(circuit, null), 'The last reading was taken back')}
            >
              {`Take the last of ${readings.length} back`}
            </BigButton>
          </View>
        ) : null}
      </View>
    </Card>
  );
}

const lever = { manual: 'at manual', off: 'at off', auto: 'at auto' } as const;

function Question({
  question,
  left,
  most,
  spots,
  onRead,
}: {
  readonly question: PostQuestion;
  readonly left: number;
  readonly most: number | null;
  readonly spots: readonly Spot[];
  readonly onRead: (question: PostQuestion, reads: Continuity) => void;
}) {
  const side = (places: readonly number[]) => {
    const names = places.map((at) => {
      const spot = spots[at];
      if (!spot) return '';
      return spot.printed === undefined ? spotName(spot) : `post ${spot.id.slice(1)} (${spot.printed})`;
    });
    return names.length === 1 ? (names[0] ?? '') : `${names.join(' and ')} clipped together`;
  };
  return (
    <>
      <Words kind="strong">{`Lever ${lever[question.lever]}. One probe on ${side(question.a)}, the other on ${side(question.b)}.`}</Words>
      <Words kind="small" muted>
        {`Without print on its face: lever up is manual. ${left} ways are left${most === null ? '' : `, at most ${most === 1 ? '1 question' : `${most} questions`}`}.`}
      </Words>
      <View style={{ gap: 8, alignItems: 'stretch' }}>
        {answers.map(({ reads, label }) => (
          <BigButton key={reads} mode="outlined" onPress={() => onRead(question, reads)}>
            {label}
          </BigButton>
        ))}
      </View>
    </>
  );
}

function Found({
  panel,
  spots,
  assignment,
  alike,
  onTake,
}: {
  readonly panel: PanelPosts;
  readonly spots: readonly Spot[];
  readonly assignment: Assignment;
  readonly alike: readonly (readonly number[])[];
  readonly onTake: () => void;
}) {
  const terminalOf = (at: number) => panel.roles.find(({ role }) => role === assignment[at])?.terminal ?? undefined;
  const taken = spots.every(({ post }, at) => post === terminalOf(at));
  const nameAt = (at: number) => (spots[at] ? spotName(spots[at]) : '');
  return (
    <>
      {spots.map((spot, at) => (
        <View key={spot.id} style={{ flexDirection: 'row', gap: 10 }}>
          <Words style={{ flex: 1, minWidth: 0 }}>
            {spot.printed === undefined ? spotName(spot) : `Post ${spot.id.slice(1)}, ${spot.printed}`}
          </Words>
          <Words kind="strong">{postRoles[assignment[at] ?? 'spare']}</Words>
        </View>
      ))}
      {alike.map((places) => (
        <Words key={places.join()} kind="small">
          {`No ohmmeter tells ${places.map(nameAt).join(' and ')} apart: ${
            places.some((at) => assignment[at]?.startsWith('fuse'))
              ? 'they are the two ends of the fuse. Take for “in” the one that the feed comes to most easily.'
              : 'they may change places. Follow their wires on the back, or try the light once the fuse is in.'
          }`}
        </Words>
      ))}
      {jumpersOf(panel).map(([one, other]) => (
        <Words key={one} kind="small">
          {`A jumper goes from ${postRoles[one]} to ${postRoles[other]}.`}
        </Words>
      ))}
      {taken ? (
        <Words kind="small" muted role="status">
          Every drawing, list and label calls them so.
        </Words>
      ) : (
        <View style={{ alignItems: 'flex-start' }}>
          <BigButton icon="check" onPress={onTake}>
            Call them so everywhere
          </BigButton>
        </View>
      )}
    </>
  );
}
