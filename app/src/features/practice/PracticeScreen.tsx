import { drillLevels, type DrillLevel } from '@harbor-latch/core/trace/drill';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useSettings } from '../../data/settings';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { FigureDialog } from '../../ui/FigureDialog';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import { BuildRun } from './BuildRun';
import { PracticeRun } from './PracticeRun';
import { Played } from './Played';
import { seedOfDay, usePractised } from './practised';

const levels = [
  { value: '1', label: '1 · a day boat, sharp readings' },
  { value: '2', label: '2 · soft readings, hard bilges' },
  { value: '3', label: '3 · every craft, two faults at once, wires of one colour' },
  { value: '4', label: '4 · sound parts, a layout that is not' },
] as const;

const MOST_SEED = 1_000_000;

/** A place to learn it: a hidden fault on a made-up boat. */
export function PracticeScreen() {
  const { seed, level, bare } = useLocalSearchParams<{ seed?: string; level?: string; bare?: string }>();
  const panel = numberIn(bare);
  const number = numberIn(seed);
  const known = drillLevels.find((one) => String(one) === level) ?? 1;
  if (panel !== null) return <BuildRun key={panel} seed={panel} />;
  return number === null ? (
    <Begin level={known} />
  ) : (
    <PracticeRun key={`${number} ${known}`} seed={number} level={known} />
  );
}

const numberIn = (text: string | undefined): number | null =>
  text !== undefined && /^\d+$/.test(text) ? Math.min(MOST_SEED, Number(text)) : null;

function Begin({ level: first }: { readonly level: DrillLevel }) {
  const router = useRouter();
  const { settings } = useSettings();
  const [level, setLevel] = useState<DrillLevel>(first);
  const [asking, setAsking] = useState(false);
  const done = usePractised();
  const [today] = useState(() => seedOfDay(Date.now()));
  const [chance] = useState(() => Math.floor(Math.random() * MOST_SEED));
  const go = (seed: number) => router.navigate(`/practice?seed=${seed}&level=${level}`);
  return (
    <Screen title="Practice" back="/">
      <Card>
        <View style={{ padding: 14, gap: 12 }}>
          <Words>
            A made-up boat comes in with a fault that nobody tells. Test what you like, as you would aboard: every test
            has its minutes, and so has the way into the bilge. Name the repair, and prove it.
          </Words>
          <ChoiceRow
            label="Level"
            choices={levels}
            value={String(level) as '1' | '2' | '3' | '4'}
            onChoose={(value) => setLevel(drillLevels.find((one) => String(one) === value) ?? 1)}
          />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <BigButton icon="play" onPress={() => go(today)}>
              Fault of the day
            </BigButton>
            <BigButton mode="outlined" onPress={() => go(chance)}>
              Another boat
            </BigButton>
            <BigButton mode="text" onPress={() => setAsking(true)}>
              By its number
            </BigButton>
          </View>
        </View>
      </Card>
      <Card>
        <View style={{ padding: 14, gap: 12 }}>
          <Words kind="heading" level={2}>
            A bare panel
          </Words>
          <Words>
            The ends of its conductors hang loose, with their labels on. Put each on a post, then put the fuse in: it is
            judged by what runs and lights in every position.
          </Words>
          <View style={{ alignItems: 'flex-start' }}>
            <BigButton icon="wrench" mode="outlined" onPress={() => router.navigate(`/practice?bare=${chance}`)}>
              Wire a panel
            </BigButton>
          </View>
        </View>
      </Card>
      <Played done={done} person={settings.person} />
      {asking ? (
        <FigureDialog
          title="A boat by its number"
          label="Number, as it was given to you"
          hint="The same boat for everybody who has it"
          first={null}
          most={MOST_SEED}
          onFigure={(figure) => {
            setAsking(false);
            if (figure !== null) go(Math.floor(figure));
          }}
          onClose={() => setAsking(false)}
        />
      ) : null}
    </Screen>
  );
}
