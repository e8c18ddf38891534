import type { Building } from '@harbor-latch/core/build/building';
import { stepsNow, tickedAhead } from '@harbor-latch/core/build/progress';
import type { BuildStep } from '@harbor-latch/core/build/steps';
import { stepEvents } from '@harbor-latch/core/documents/stepEvents';
import type { Circuit } from '@harbor-latch/core/job/index';
import { format, formatDistanceStrict } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { exportCalendar } from '../../data/exportCalendar';
import type { Draft } from '../../data/draft';
import { useSettings } from '../../data/settings';
import { FoldedCard } from '../../fields/FoldedCard';
import { BigButton } from '../../ui/BigButton';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Icon } from '../../ui/Icon';
import { Notice } from '../../ui/Notice';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { withBuild, withMark } from './changes';
import { LeaveOutDialog } from './LeaveOutDialog';
import { NextStep, NothingNow } from './NextStep';
import { ScheduleBars } from './ScheduleBars';
import { StepRow } from './StepRow';
import { shortText } from './stepWords';
import { useNow } from './useNow';

const temperatures = [
  { value: '20', label: '20 °C and over' },
  { value: '15', label: '15 °C' },
  { value: '10', label: '10 °C' },
  { value: '5', label: '5 °C' },
] as const;

const duration = (minutes: number) => {
  const hours = Math.floor(minutes / 60);
  if (hours >= 48) return `${Math.floor(hours / 24)} d ${hours % 24} h`;
  return hours === 0 ? `${minutes} min` : `${hours} h ${minutes % 60} min`;
};

interface StepsProps {
  readonly draft: Draft;
  readonly circuit: Circuit;
  readonly building: Building;
  readonly temperatureC: number;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  readonly onSelect: (id: string | null) => void;
  /** Shows a part or conductor in the drawing. */
  readonly onShow: (id: string) => void;
}

/** The steps, one at a time: what can be done now, what cures, and all of them in an order that works. */
export function StepsPanel({ draft, circuit, building, temperatureC, onCircuit, onSelect, onShow }: StepsProps) {
  const palette = usePalette();
  const nowMs = useNow();
  const { settings } = useSettings();
  const [leaving, setLeaving] = useState<BuildStep | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const { list, schedules, fromMs } = building;
  const marked = circuit.steps ?? {};
  // What is done in the order in which it was; then what is left in the order in which it is best done.
  const order = new Map(schedules[1].steps.map(({ id, fromMin }, at) => [id, fromMs + fromMin * 60_000 + at]));
  const whenOf = ({ id }: BuildStep) => Date.parse(marked[id]?.at ?? '') || (order.get(id) ?? 0);
  const steps = [
    ...list.steps.filter(({ id }) => marked[id]).sort((a, b) => whenOf(a) - whenOf(b)),
    ...list.steps.filter(({ id }) => !marked[id]).sort((a, b) => whenOf(a) - whenOf(b)),
  ];
  const now = stepsNow(steps, marked, nowMs, temperatureC);
  const next = now.find(({ standing }) => standing.kind === 'open') ?? null;
  const left = now.filter(({ standing }) => !['done', 'skipped'].includes(standing.kind));
  const running = now.filter(({ cureEndMs }) => cureEndMs !== null && cureEndMs > nowMs);
  const work = left.reduce((sum, { step }) => sum + step.minutes, 0);
  const doneBy = (people: 1 | 2) => format(fromMs + schedules[people].minutes * 60_000, 'EEE d MMM, HH:mm');
  const tick = (step: BuildStep, skipped?: string) => {
    const by = settings.person === '' ? {} : { by: settings.person };
    const mark = { at: new Date().toISOString(), ...by, ...(skipped === undefined ? {} : { skipped }) };
    onCircuit(withMark(circuit, step.id, mark), skipped === undefined ? 'Done' : 'Left out');
    setLeaving(null);
  };
  const ahead = tickedAhead(steps, marked, nowMs);
  return (
    <>
      {ahead && 'atMs' in ahead.standing ? (
        <Notice tone="caution" icon="timer">
          {`“${shortText(ahead.step)}” was ticked at ${format(ahead.standing.atMs, 'HH:mm, EEE d MMM')}, and this device says it is ${format(nowMs, 'HH:mm, EEE d MMM')}. One of the clocks is wrong: what cures runs from the tick, so set this one right before you trust a time here.`}
        </Notice>
      ) : null}
      {next ? (
        <NextStep
          draft={draft}
          circuitId={circuit.id}
          one={next}
          of={now.length}
          left={left.length}
          onDone={tick}
          onLeave={setLeaving}
          onShow={onShow}
        />
      ) : (
        <NothingNow left={left} />
      )}
      {running.map(({ step, cureEndMs }) => (
        <Card key={step.id}>
          <View style={{ padding: 14, flexDirection: 'row', gap: 10, alignItems: 'center' }}>
            <Icon name="timer" color={palette.accent} />
            <View style={{ flex: 1, minWidth: 0 }}>
              <Words kind="strong">{step.waitFor ?? 'A clock runs'}</Words>
              <Words kind="small" muted>
                {`until ${format(cureEndMs ?? 0, 'EEE d MMM, HH:mm')} · ${formatDistanceStrict(cureEndMs ?? 0, nowMs)} to go`}
              </Words>
            </View>
          </View>
        </Card>
      ))}
      <Card>
        <View style={{ padding: 14, gap: 8 }}>
          <Words kind="heading" level={2}>
            How long it takes
          </Words>
          <Words>
            {left.length === 0
              ? 'All of it is done.'
              : `${duration(work)} of work left. Begun now and gone on with without a break, one person is done ${doneBy(1)}, two ${doneBy(2)}, the last clock and all.`}
          </Words>
          {left.length === 0 ? null : (
            <View style={{ alignItems: 'flex-start' }}>
              <BigButton
                mode="outlined"
                icon="calendar-export"
                onPress={() =>
                  void exportCalendar(`${draft.job.boat.name} ${circuit.name}`, stepEvents(building, nowMs, now))
                }
              >
                Steps as a calendar
              </BigButton>
            </View>
          )}
          <ChoiceRow
            label="How warm it is where it cures"
            value={String(temperatureC)}
            choices={temperatures.map(({ value, label }) => ({ value: String(value), label }))}
            onChoose={(value) =>
              onCircuit(
                withBuild(circuit, ({ temperatureC: _before, ...build }) =>
                  value === '20' ? build : { ...build, temperatureC: Number(value) },
                ),
                `It cures at ${value} °C`,
              )
            }
          />
          <Words kind="small" muted>
            Clocks are what most tubes say; read yours.
          </Words>
        </View>
      </Card>
      {left.length > 1 ? (
        <FoldedCard title="As bars over the days" summary="Who does what when, and what cures meanwhile">
          <ScheduleBars building={building} />
        </FoldedCard>
      ) : null}
      <Card>
        {now.map((one, index) => (
          <StepRow
            key={one.step.id}
            draft={draft}
            circuitId={circuit.id}
            one={one}
            number={index + 1}
            all={list.steps}
            open={open === one.step.id}
            onToggle={() => {
              onSelect(one.step.at[0] ?? null);
              setOpen(open === one.step.id ? null : one.step.id);
            }}
            onTick={tick}
            onLeave={setLeaving}
            onOpenAgain={(step) => onCircuit(withMark(circuit, step.id, null), 'Open again')}
          />
        ))}
      </Card>
      {leaving ? (
        <LeaveOutDialog step={leaving.text} onReason={(why) => tick(leaving, why)} onClose={() => setLeaving(null)} />
      ) : null}
    </>
  );
}
