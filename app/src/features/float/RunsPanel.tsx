import { ingressOf } from '@harbor-latch/core/runs/circuitsOf';
import type { RunReport, Spread } from '@harbor-latch/core/runs/index';
import type { Fix } from '@harbor-latch/core/findings/finding';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Circuit, CircuitWater, Job } from '@harbor-latch/core/job/index';
import { posesOf } from '@harbor-latch/core/water/index';
import { formatQuantity, formatVolume } from '@harbor-latch/core/units/index';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '../../data/settings';
import { useWaterTask } from '../../data/waterWorker';
import type { WellRuns } from '../../workers/waterWork';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Icon } from '../../ui/Icon';
import { Notice } from '../../ui/Notice';
import { PressRow } from '../../ui/PressRow';
import { standingLook } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { FindingCard } from '../../ui/FindingCard';
import { Labelled } from './Labelled';
import { Progress } from './Progress';
import { RunNeeds } from './RunNeeds';
import { daysInWords, runStanding, timeInWords, verdictWords } from './verdictWords';

const THROWS = 60;
const spans = [
  { value: '24', label: '1 day' },
  { value: '168', label: '1 week' },
  { value: '720', label: '30 days' },
] as const;

/** A placement that was kept to be put beside another. */
interface Kept {
  readonly water: readonly (CircuitWater | undefined)[];
  readonly reports: readonly RunReport[];
}

/** Kept placements by well, while the application is open. */
const keptByWell = new Map<string, Kept>();

/** Every pose with every way of taking in water: what the pump does, how long the battery lasts, when the limit is reached. */
export function RunsPanel({
  job,
  all,
  wellId,
  onCircuit,
}: {
  readonly job: Job;
  readonly all: readonly AssessedCircuit[];
  readonly wellId: string;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
}) {
  const [hours, setHours] = useState<string>('24');
  const [open, setOpen] = useState<string | null>(null);
  const [, repaint] = useState(0);
  const units = useUnits();
  const ways = ingressOf(job, wellId);
  const key = ways.length > 0 ? JSON.stringify(['runs', job, wellId, hours, units]) : null;
  const task = useWaterTask<WellRuns>(key, (work, onPart) => work.runs(job, wellId, Number(hours), units, onPart));
  if (ways.length === 0) {
    return (
      <Notice tone="note" icon="weather-pouring">
        No way of taking in water is listed for this well yet. Add one on the Boat page: rain, a drip, a failed fitting.
      </Notice>
    );
  }
  const result = task.state.kind === 'done' ? task.state.result : null;
  const onFix = (fix: Fix) => onCircuit(fix.circuit, `Done: ${fix.label}`);
  const kept = keptByWell.get(wellId);
  const keep = () => {
    if (!result) return;
    keptByWell.set(wellId, { water: job.circuits.map(({ water }) => water), reports: result.reports });
    repaint((before) => before + 1);
  };
  const forget = () => {
    keptByWell.delete(wellId);
    repaint((before) => before + 1);
  };
  return (
    <View style={{ gap: 12 }}>
      <Labelled label="Each run lasts">
        <ChoiceRow label="Each run lasts" value={hours} choices={[...spans]} onChoose={setHours} />
      </Labelled>
      <RunNeeds job={job} all={all} wellId={wellId} onCircuit={onCircuit} />
      <Progress task={task} what="Runs" />
      {result?.findings.map((finding) => (
        <FindingCard
          key={finding.id}
          finding={finding}
          fix={finding.fix}
          onFix={() => (finding.fix ? onFix(finding.fix) : undefined)}
        />
      ))}
      {result
        ? ways.map((way) => (
            <View key={way.id} style={{ gap: 6 }}>
              <Words kind="heading" level={2}>
                {way.name}
              </Words>
              <Card>
                {posesOf(job).map((pose, index) => {
                  const report = result.reports.find((one) => one.ingress === way.id && one.pose === pose.id);
                  if (!report) return null;
                  const id = `${way.id} ${pose.id}`;
                  return (
                    <RunRow
                      key={id}
                      name={pose.name}
                      report={report}
                      before={kept?.reports.find((one) => one.ingress === way.id && one.pose === pose.id) ?? null}
                      first={index === 0}
                      open={open === id}
                      onToggle={() => setOpen(open === id ? null : id)}
                    >
                      <Certainty job={job} wellId={wellId} poseId={pose.id} ingressId={way.id} />
                    </RunRow>
                  );
                })}
              </Card>
            </View>
          ))
        : null}
      {result ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <BigButton mode="outlined" icon="bookmark-outline" onPress={keep}>
            {kept ? 'Keep this one instead' : 'Keep to compare'}
          </BigButton>
          {kept ? (
            <BigButton mode="text" onPress={forget}>
              Forget the kept one
            </BigButton>
          ) : null}
        </View>
      ) : null}
      {kept ? (
        <Words kind="small" muted>
          Figures before the arrow are those of the placement that was kept.
        </Words>
      ) : result ? (
        <Words kind="small" muted>
          Keep these figures, change float, hose or pump, and see both side by side.
        </Words>
      ) : null}
    </View>
  );
}

function RunRow({
  name,
  report,
  before,
  first,
  open,
  onToggle,
  children,
}: {
  readonly name: string;
  readonly report: RunReport;
  readonly before: RunReport | null;
  readonly first: boolean;
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly children: React.ReactNode;
}) {
  const palette = usePalette();
  const units = useUnits();
  const standing = runStanding(report);
  const look = standingLook[standing];
  const ink = palette[look.ink];
  const words = report.verdicts.map((verdict) => verdictWords[verdict].short).join(', ');
  const both = (figure: (one: RunReport) => string) =>
    before && figure(before) !== figure(report) ? `${figure(before)} → ${figure(report)}` : figure(report);
  const millimetres = (metres: number) => formatQuantity(metres, 'shortLength', units);
  const figures: readonly (readonly [string, string])[] = [
    ['Starts an hour', both(({ startsPerHour }) => startsPerHour.toFixed(1))],
    ['Battery lasts', both(({ batteryDays }) => daysInWords(batteryDays))],
    ['Highest', both(({ maxLevelM }) => millimetres(maxLevelM))],
  ];
  const more: readonly (readonly [string, string])[] = [
    ['A run lasts', both(({ runS }) => (runS === null ? 'none ended' : timeInWords(runS)))],
    ['Longest run', both(({ longestRunS }) => (longestRunS === null ? 'none ended' : timeInWords(longestRunS)))],
    ['Share of the time', both(({ dutyShare }) => `${(100 * dutyShare).toFixed(1)}\u00a0%`)],
    ['Pumped', both(({ pumpedL }) => formatVolume(pumpedL, units))],
    ['Used a day', both(({ ampHoursPerDay }) => `${ampHoursPerDay.toFixed(1)}\u00a0Ah`)],
    ['To the limit, no pump', both(({ timeToLimitS }) => timeInWords(timeToLimitS.none))],
    ['With the first pump', both(({ timeToLimitS }) => timeInWords(timeToLimitS.primary))],
    ['With all', both(({ timeToLimitS }) => timeInWords(timeToLimitS.all))],
    ['Alarm heard after', both(({ alarmAtS }) => timeInWords(alarmAtS))],
  ];
  return (
    <View style={{ borderTopWidth: first ? 0 : 1, borderColor: palette.line }}>
      <PressRow
        onPress={onToggle}
        expanded={open}
        label={`${name}: ${words === '' ? look.word : words}`}
        style={{ padding: 12, gap: 6 }}
      >
        <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
          <Icon name={look.icon} color={ink} />
          <Words kind="strong" style={{ flexShrink: 1 }}>
            {name}
          </Words>
        </View>
        {words === '' ? null : <Words color={ink}>{words}</Words>}
        <Figures rows={figures} />
      </PressRow>
      {open ? (
        <View style={{ padding: 12, paddingTop: 0, gap: 12 }}>
          <Figures rows={more} />
          {report.circuits.length > 1 ? (
            <Words kind="small" muted>
              {report.circuits
                .map(
                  ({ starts, dutyShare }, index) =>
                    `${index === 0 ? 'First pump' : 'Backup'}: ${starts} starts, ${(100 * dutyShare).toFixed(1)} % of the time.`,
                )
                .join(' ')}
            </Words>
          ) : null}
          {children}
        </View>
      ) : null}
    </View>
  );
}

function Figures({ rows }: { readonly rows: readonly (readonly [string, string])[] }) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 18, rowGap: 6 }}>
      {rows.map(([what, figure]) => (
        <View key={what} style={{ minWidth: 92 }}>
          <Words kind="small" muted>
            {what}
          </Words>
          <Words style={{ fontVariant: ['tabular-nums'] }}>{figure}</Words>
        </View>
      ))}
    </View>
  );
}

/** How sure the days are, when ingress, trim and label are a little off: thrown when asked for. */
function Certainty(question: {
  readonly job: Job;
  readonly wellId: string;
  readonly poseId: string;
  readonly ingressId: string;
}) {
  const [asked, setAsked] = useState(false);
  const task = useWaterTask<Spread>(asked ? JSON.stringify(['spread', question]) : null, (work, onPart) =>
    work.spread({ ...question, hours: 24 }, THROWS, onPart),
  );
  const spread = task.state.kind === 'done' ? task.state.result : null;
  return (
    <View style={{ gap: 6, alignItems: 'flex-start' }}>
      {asked ? null : (
        <BigButton mode="outlined" icon="dice-multiple-outline" onPress={() => setAsked(true)}>
          How sure are the days?
        </BigButton>
      )}
      <View style={{ alignSelf: 'stretch' }}>
        <Progress task={task} what="Throws" />
      </View>
      {spread ? (
        <Words role="status">
          {`Battery days: ${daysInWords(spread.low)} to ${daysInWords(spread.high)}, nine times in ten, with water coming in ± 25 %, trim ± 0.7° and label figures ± 7 %.`}
        </Words>
      ) : null}
    </View>
  );
}
