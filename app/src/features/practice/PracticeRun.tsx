import type { DrillLevel } from '@harbor-latch/core/trace/drill';
import { START, type HuntPlace } from '@harbor-latch/core/trace/huntTest';
import type { PracticeBoat, PracticeTest } from '@harbor-latch/core/trace/practice';
import { useEffect, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useAssessments } from '../../data/assessment';
import { useUnits } from '../../data/settings';
import { SuspectDrawing } from '../../drawing/SuspectDrawing';
import type { PracticeEnd } from '../../workers/traceWork';
import { ActionBar } from '../../ui/ActionBar';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import { Ended } from './Ended';
import { NameRepair } from './NameRepair';
import { useKeepPractised } from './practised';
import { TestPicker } from './TestPicker';
import type { Unsafe } from './unsafe';

/** A test that was done, and what it read. */
export interface DoneTest {
  readonly test: PracticeTest;
  readonly words: string;
  readonly minutes: number;
}

/** A drill that is played: tests at a price, a repair that is named, and a proof of it. */
export function PracticeRun({ seed, level }: { readonly seed: number; readonly level: DrillLevel }) {
  const assessments = useAssessments();
  const keepPractised = useKeepPractised();
  const units = useUnits();
  const { width } = useWindowDimensions();
  const [boat, setBoat] = useState<PracticeBoat | null>(null);
  const [done, setDone] = useState<readonly DoneTest[]>([]);
  const [place, setPlace] = useState<HuntPlace>(START);
  const [naming, setNaming] = useState(false);
  const [bought, setBought] = useState(0);
  const [unsafe, setUnsafe] = useState<Unsafe | null>(null);
  const [end, setEnd] = useState<PracticeEnd | null>(null);
  useEffect(() => {
    let wanted = true;
    void assessments.traced('', 'practiceBoat', { seed, level }).then(
      (found) => (wanted ? setBoat(found) : undefined),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [assessments, seed, level]);
  const minutes = done.reduce((sum, one) => sum + one.minutes, 0);
  const read = async (test: PracticeTest) => {
    const found = await assessments
      .traced('', 'practiceRead', { seed, level }, test.id, done.length, place)
      .catch(() => null);
    if (!found) return;
    setDone((before) => [...before, { test, ...found }]);
    setPlace(test.place);
  };
  const finish = async (
    repair: string,
    proved: { again: boolean; water: boolean; recorded: boolean },
    hurt: Unsafe | null,
  ) => {
    setNaming(false);
    const played = { minutes, boughtInVain: bought, proved, unsafe: hurt !== null };
    const found = await assessments
      .traced(
        '',
        'practiceResult',
        { seed, level },
        repair,
        played,
        done.map(({ test }) => test.id),
      )
      .catch(() => null);
    if (!found) return;
    const { score, words, named, kind } = found.result;
    // Said once it is kept: whoever reads the points may close the page.
    await keepPractised({ seed, level, score, minutes, fault: words, group: kind, named });
    setUnsafe(hurt);
    setEnd(found);
  };
  const last = done[done.length - 1];
  return (
    <Screen
      title="Practice"
      back="/practice"
      under={
        <Words kind="small" muted>
          {`Boat ${seed}, level ${level} · ${minutes.toFixed(minutes < 10 ? 1 : 0)} min`}
        </Words>
      }
      footer={
        boat && !end ? (
          <ActionBar>
            <BigButton icon="wrench" onPress={() => setNaming(true)}>
              Name the repair
            </BigButton>
          </ActionBar>
        ) : undefined
      }
    >
      {!boat ? (
        <Words role="status" muted>
          A boat is being brought in …
        </Words>
      ) : end ? (
        <Ended end={end} unsafe={unsafe} minutes={minutes} seed={seed} level={level} />
      ) : (
        <>
          <Card>
            <View style={{ padding: 14, gap: 6 }}>
              <Words kind="heading" level={2}>
                {boat.symptom}
              </Words>
              <Words>{boat.story}</Words>
              <Words kind="small" muted>
                {`${boat.job.boat.craft ?? boat.job.boat.name}. The bilge is reached ${boat.access === 'hard' ? 'with effort: 25 minutes in, 10 out' : 'easily: 4 minutes'}.`}
              </Words>
            </View>
          </Card>
          <View style={{ height: 260 }}>
            <SuspectDrawing
              job={boat.job}
              assessed={boat.assessed}
              test={last?.test ?? null}
              where={[]}
              width={Math.min(560, width - 32)}
              units={units}
            />
          </View>
          {last ? (
            <Card>
              <View role="status" style={{ padding: 14, gap: 4 }}>
                <Words kind="small">{last.test.text}</Words>
                <Words kind="figure">{last.words}</Words>
                <Words kind="small" muted>{`${last.minutes.toFixed(1)} min`}</Words>
              </View>
            </Card>
          ) : null}
          <TestPicker
            tests={boat.tests}
            place={place}
            onTest={(test) => void read(test)}
            onUnsafe={(what) => void finish('', nothing, what)}
          />
          {done.length > 1 ? (
            <Card>
              <View style={{ padding: 14, gap: 8 }}>
                <Words kind="strong" level={2}>
                  Read so far
                </Words>
                {done.slice(0, -1).map(({ test, words }, index) => (
                  <View key={`${index} ${test.id}`}>
                    <Words kind="small">{test.text}</Words>
                    <Words kind="strong">{words}</Words>
                  </View>
                ))}
              </View>
            </Card>
          ) : null}
        </>
      )}
      {boat && naming ? (
        <NameRepair
          repairs={boat.repairs}
          onBuy={() => setBought(bought + 1)}
          onName={(repair, proved) => void finish(repair, proved, null)}
          onClose={() => setNaming(false)}
        />
      ) : null}
    </Screen>
  );
}

const nothing = { again: false, water: false, recorded: false };
