import { wiredSo, type BuildDrill, type JudgedWiring, type Placed } from '@harbor-latch/core/trace/buildDrill';
import { cautions } from '@harbor-latch/core/reference/index';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useAssessment, useAssessments } from '../../data/assessment';
import { useUnits } from '../../data/settings';
import { SuspectDrawing } from '../../drawing/SuspectDrawing';
import { ActionBar } from '../../ui/ActionBar';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Icon } from '../../ui/Icon';
import { Notice } from '../../ui/Notice';
import { Screen } from '../../ui/Screen';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { useKeepPractised } from './practised';

const LOOSE = 'loose';
/** Under this level what was wired is kept, beside the levels of hunts. */
const WIRING_LEVEL = 5;

/** A bare panel that is wired end by end, and judged by its truth table. */
export function BuildRun({ seed }: { readonly seed: number }) {
  const assessments = useAssessments();
  const router = useRouter();
  const keep = useKeepPractised();
  const [drill, setDrill] = useState<BuildDrill | null>(null);
  const [placed, setPlaced] = useState<Placed>({});
  const [judged, setJudged] = useState<{ readonly of: Placed; readonly told: JudgedWiring } | null>(null);
  const [first, setFirst] = useState<number | null>(null);
  useEffect(() => {
    let wanted = true;
    void assessments.traced('', 'barePanel', seed).then(
      (found) => (wanted ? setDrill(found) : undefined),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [assessments, seed]);
  const put = (end: string, post: string) =>
    setPlaced((before) => {
      const { [end]: _was, ...rest } = before;
      return post === LOOSE ? rest : { ...rest, [end]: post };
    });
  const judge = async () => {
    const told = await assessments.traced('', 'judged', seed, placed).catch(() => null);
    if (!told) return;
    setJudged({ of: placed, told });
    if (first !== null) return;
    // What counts is the first time that the fuse goes in.
    setFirst(told.score);
    await keep({
      seed,
      level: WIRING_LEVEL,
      score: told.score,
      minutes: 0,
      fault: 'A bare panel',
      group: 'Wiring a bare panel',
      named: told.score === 100 ? 'right' : 'wrong',
    });
  };
  const loose = drill ? drill.ends.filter(({ key }) => placed[key] === undefined).length : 0;
  const told = judged?.of === placed ? judged.told : null;
  return (
    <Screen
      title="A bare panel"
      back="/practice"
      under={
        <Words kind="small" muted>
          {`Panel ${seed} · ${loose === 0 ? 'every end on a post' : loose === 1 ? '1 end is loose' : `${loose} ends are loose`}`}
        </Words>
      }
      footer={
        drill ? (
          <ActionBar>
            <BigButton icon="fuse" onPress={() => void judge()}>
              Put the fuse in
            </BigButton>
          </ActionBar>
        ) : undefined
      }
    >
      {!drill ? (
        <Words role="status" muted>
          A panel is being brought in …
        </Words>
      ) : (
        <>
          {told ? <Judged told={told} first={first} /> : null}
          <AsWired drill={drill} placed={placed} />
          <Words kind="small" muted>
            {cautions.proveDead}
          </Words>
          <Card>
            <View style={{ padding: 14, gap: 16 }}>
              {drill.ends.map(({ key, words, colour }) => (
                <View key={key} style={{ gap: 6 }}>
                  <Words kind="strong">{words}</Words>
                  <ChoiceRow
                    label={`${words}, ${colour}`}
                    value={placed[key] ?? LOOSE}
                    choices={[
                      { value: LOOSE, label: 'Loose' },
                      ...drill.posts.map((post) => ({ value: post.id, label: post.words })),
                    ]}
                    onChoose={(post) => put(key, post)}
                  />
                </View>
              ))}
            </View>
          </Card>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <BigButton mode="text" icon="play" onPress={() => router.navigate(`/practice?bare=${seed + 1}`)}>
              Another panel
            </BigButton>
          </View>
        </>
      )}
    </Screen>
  );
}

/** The circuit as it is wired by now. */
function AsWired({ drill, placed }: { readonly drill: BuildDrill; readonly placed: Placed }) {
  const units = useUnits();
  const { width } = useWindowDimensions();
  const job = useMemo(() => wiredSo(drill, placed), [drill, placed]);
  const { known } = useAssessment(job);
  const assessed = known?.circuits.find(({ circuit }) => circuit.id === drill.circuit);
  return (
    <View style={{ height: 300 }}>
      {assessed ? (
        <SuspectDrawing
          job={job}
          assessed={assessed}
          test={null}
          where={[]}
          width={Math.min(560, width - 32)}
          units={units}
        />
      ) : null}
    </View>
  );
}

function Judged({ told, first }: { readonly told: JudgedWiring; readonly first: number | null }) {
  const palette = usePalette();
  const top = useRef<View>(null);
  const { rows, score, burns } = told;
  useEffect(() => {
    // The fuse goes in from the foot of a long page.
    const shown: unknown = top.current;
    if (shown instanceof Element) shown.scrollIntoView({ block: 'start' });
  }, [told]);
  return (
    <Card>
      <View ref={top} role="status" style={{ padding: 14, gap: 10 }}>
        <Words kind="figure">{`${score.toFixed(0)} of 100 points`}</Words>
        {first !== null && first !== score ? (
          <Words
            kind="small"
            muted
          >{`The first time the fuse went in: ${first.toFixed(0)}. That is what counts.`}</Words>
        ) : null}
        {burns ? (
          <Notice tone="stop" icon="alert-octagon">
            The fuse blows: a positive sits on a negative. Without the fuse the cable would burn.
          </Notice>
        ) : null}
        {rows.map(({ setting, wanted, does, right }) => (
          <View key={setting} style={{ flexDirection: 'row', gap: 10 }}>
            <Icon name={right ? 'check' : 'close'} color={right ? palette.good : palette.stop} />
            <View style={{ flex: 1, minWidth: 0 }}>
              <Words kind="small" muted>
                {setting}
              </Words>
              <Words>{does}</Words>
              {right ? null : <Words kind="small">{`It should be: ${wanted}`}</Words>}
            </View>
          </View>
        ))}
      </View>
    </Card>
  );
}
