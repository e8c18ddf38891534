import { cautions } from '@harbor-latch/core/reference/index';
import type { DrillLevel } from '@harbor-latch/core/trace/drill';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Notice } from '../../ui/Notice';
import { Words } from '../../ui/Words';
import type { PracticeEnd } from '../../workers/traceWork';
import type { Unsafe } from './unsafe';

const hurts: Readonly<Record<Unsafe, string>> = {
  ohms: cautions.proveDead,
  fuse: 'A larger fuse lets the cable burn in its place. The same rating, once, and only when what blew it is found.',
  hand: cautions.autoStart,
};

const namedWords = {
  right: 'The right repair',
  'right group': 'The right part of the circuit',
  wrong: 'Another repair',
} as const;

/** What it was, what it is worth, and how the best hunt goes. */
export function Ended({
  end: { result, replay, review },
  unsafe,
  minutes,
  seed,
  level,
}: {
  readonly end: PracticeEnd;
  readonly unsafe: Unsafe | null;
  readonly minutes: number;
  readonly seed: number;
  readonly level: DrillLevel;
}) {
  const router = useRouter();
  return (
    <>
      {unsafe ? (
        <Notice tone="stop" icon="alert-octagon">
          {`That hurts, and ends the drill. ${hurts[unsafe]}`}
        </Notice>
      ) : null}
      <Card>
        <View style={{ padding: 14, gap: 6 }}>
          <Words kind="figure">{`${result.score.toFixed(0)} of 100 points`}</Words>
          <Words kind="heading" level={2}>
            {result.words}
          </Words>
          <Words>{result.repair}</Words>
          <Words kind="small" muted>
            {`${unsafe ? '' : `${namedWords[result.named]}. `}${minutes.toFixed(1)} min; ${result.optimum.toFixed(1)} are to be expected of the best hunt.`}
          </Words>
        </View>
      </Card>
      {review.length > 0 ? (
        <>
          <Words kind="heading" level={2}>
            Step by step
          </Words>
          <Card>
            <View style={{ padding: 14, gap: 12 }}>
              {review.map((step, index) => (
                <View key={`${index} ${step.text}`}>
                  <Words kind="small">{`${index + 1}. ${step.text}`}</Words>
                  <Words kind="small" muted>
                    {stepWords(step)}
                  </Words>
                </View>
              ))}
            </View>
          </Card>
        </>
      ) : null}
      <Words kind="heading" level={2}>
        How the best hunt goes
      </Words>
      <Card>
        <View style={{ padding: 14, gap: 10 }}>
          {replay.length === 0 ? <Words>Nothing needs testing: the symptom says it.</Words> : null}
          {replay.map(({ text, read }, index) => (
            <View key={`${index} ${text}`}>
              <Words kind="small">{`${index + 1}. ${text}`}</Words>
              <Words kind="strong">{read}</Words>
            </View>
          ))}
        </View>
      </Card>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <BigButton icon="play" onPress={() => router.navigate(`/practice?seed=${seed + 1}&level=${level}`)}>
          The next boat
        </BigButton>
        <BigButton mode="outlined" onPress={() => router.navigate('/practice')}>
          To the levels
        </BigButton>
      </View>
    </>
  );
}

/** How good a step was where it was made. */
function stepWords({ text, expected, best, bestExpected }: PracticeEnd['review'][number]): string {
  if (best === null) return 'Nothing was left to test: it could be named.';
  if (expected === null) return `It could tell nothing more. Best here: ${best}`;
  if (best === text || expected <= bestExpected + AS_GOOD_MIN) return 'No test was better here.';
  return `${(expected - bestExpected).toFixed(1)} min dearer than the best here: ${best}`;
}

/** Less is no difference, min. */
const AS_GOOD_MIN = 0.2;
