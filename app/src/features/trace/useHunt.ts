import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { proofNow } from '@harbor-latch/core/prove/proofNow';
import { isOf, type KnownEntry } from '@harbor-latch/core/records/known';
import type { SharesKnown, Story } from '@harbor-latch/core/reference/faultShares';
import { adviceOf } from '@harbor-latch/core/trace/advice';
import type { ProofReading } from '@harbor-latch/core/trace/fromProof';
import { dayCounts } from '@harbor-latch/core/log/dayCounts';
import { motorHours } from '@harbor-latch/core/log/loadTrend';
import { setPercents, storyKeys, storyOf } from '@harbor-latch/core/log/storyOf';
import { huntNow, type HuntNow } from '@harbor-latch/core/trace/huntNow';
import type { HuntOrder } from '@harbor-latch/core/trace/hunt';
import type { HuntAsked } from '@harbor-latch/core/trace/huntModel';
import { huntInstruments, type Access, type Carried } from '@harbor-latch/core/trace/huntTest';
import { symptomCodes, type Symptom } from '@harbor-latch/core/trace/symptoms';
import type { AskedTest, Tracing } from '@harbor-latch/core/trace/tracing';
import { useMemo, useState } from 'react';
import { useAssessments } from '../../data/assessment';
import type { Draft } from '../../data/draft';
import { useUnits } from '../../data/settings';
import { useTracing } from '../../data/tracing';
import { useClosedRepairs } from '../../records/useClosedRepairs';
import { useRecorder, useRecords } from '../../records/useRecords';
import { useSay } from '../../ui/Said';

/** What a hunt is begun with. */
export interface Beginning {
  readonly symptom: Symptom;
  readonly access: Access;
  readonly instruments: readonly Carried[];
  /** What is known of the boat. */
  readonly story: readonly (keyof Story)[];
  /** The battery as it was read at rest, V; null: it was not. */
  readonly restingV: number | null;
}

/** What a test answered: a figure, or words. */
export type Answer = { readonly value: number; readonly unit: 'V' | 'A' | 'Ω' } | { readonly said: string };

type Repaired = Tracing['repairs'][number];

/** The hunt of a circuit as this device has it, and what is done in it: each of it a record. */
export function useHunt(draft: Draft, assessed: AssessedCircuit, order: HuntOrder) {
  const { job } = draft;
  const circuit = assessed.circuit.id;
  const records = useRecords(job.boat.id);
  const record = useRecorder(job.boat);
  const assessments = useAssessments();
  const units = useUnits();
  const say = useSay();
  const now = useMemo(() => huntNow(records.entries, circuit), [records.entries, circuit]);
  const closed = useClosedRepairs();
  const [openedMs] = useState(() => Date.now());
  // What the log tells of her, until a hunt has it from whoever began it.
  const story = useMemo(() => storyOf(records.entries, openedMs), [records.entries, openedMs]);
  const known = useMemo(
    (): SharesKnown => ({
      story: now ? storyIn(now) : story,
      closed: closed ?? {},
      percents: setPercents(records.entries),
    }),
    [now, story, closed, records.entries],
  );
  const asked = useMemo(
    () =>
      now &&
      closed && {
        job,
        circuitId: circuit,
        asked: askedOf(now, known),
        readings: now.readings.map(({ reading }) => reading),
        proof: proofReadings(records.entries, circuit),
        order,
      },
    [now, closed, job, circuit, order, records.entries, known],
  );
  const told = useTracing(asked);
  const takeBack = (entry: string) => void record('withdrawn', circuit, { entry });
  const hunt = now?.begun.id ?? '';
  const noted = async (
    test: Pick<AskedTest, 'id' | 'text'> & { readonly again?: boolean },
    read: Answer | { cannot: true } | { fixed: boolean },
  ) => {
    const row = await record('traceReading', circuit, {
      hunt,
      test: test.id,
      words: test.text,
      read,
      ...(test.again ? { again: true as const } : {}),
    });
    return row.id;
  };
  return {
    ready: records.ready && closed !== null,
    now,
    ...told,
    story,
    known,
    record,
    advice: ({ repair, group }: Repaired): string[] =>
      adviceOf({
        group,
        buys: repair.buys,
        access: now?.begun.body.access ?? 'easy',
        ...agesOf(records.entries, circuit, openedMs),
        oldFloat: known.story?.oldFloat === true,
      }),
    begin: ({ symptom, access, instruments, story: told, restingV }: Beginning) =>
      void record('traceBegun', circuit, {
        symptom: symptom.code,
        words: symptom.text,
        access,
        instruments: [...instruments],
        story: [...told],
        ...(restingV === null ? {} : { restingV }),
      }),
    read: async (test: AskedTest, answer: Answer) => {
      const id = await noted(test, answer);
      say('said' in answer ? answer.said : `${answer.value} ${answer.unit}`, () => takeBack(id));
    },
    cannot: async (test: AskedTest) => {
      const id = await noted(test, { cannot: true });
      say('Left out', () => takeBack(id));
    },
    repaired: async ({ repair, at, group }: Repaired, fixed: boolean) => {
      await noted({ id: repair.code, text: repair.words }, { fixed });
      if (!fixed) return say('Noted: no better');
      const testsDue = await assessments.touched({ job, circuitId: circuit, units, at }).catch((): string[] => []);
      await record('repair', circuit, {
        what: repair.words,
        at: [...at].slice(0, 50),
        testsDue: [...testsDue],
        fault: now?.begun.body.words ?? '',
      });
      await record('traceEnded', circuit, { hunt, repair: repair.words, group });
      return say(testsDue.length === 0 ? 'Mended' : `Mended: ${testsDue.length} tests are due again in Prove`);
    },
    end: () => void record('traceEnded', circuit, { hunt }),
    takeBack,
  };
}

export type HuntInHand = ReturnType<typeof useHunt>;

/** What the open proof of the circuit in the boat has read. */
function proofReadings(entries: readonly KnownEntry[], circuit: string): ProofReading[] {
  const { readings } = proofNow(entries, circuit, 'commission', () => '');
  return [...readings.values()].flatMap(({ body: { test, read } }) =>
    'value' in read ? [{ test, value: read.value }] : [],
  );
}

const YEAR_MS = 365.25 * 86_400_000;

/** Hours on the motor and years since the first proof, as far as the log has them. */
function agesOf(entries: readonly KnownEntry[], circuit: string, nowMs: number) {
  const hours = motorHours(dayCounts(entries, circuit));
  const proved = entries.filter(isOf('proof')).find((entry) => entry.circuit === circuit);
  return {
    motorHours: hours > 0 ? hours : null,
    provedYears: proved ? (nowMs - Date.parse(proved.madeAt)) / YEAR_MS : null,
  };
}

/** What was known of the boat when a hunt began. */
function storyIn({ begun: { body } }: HuntNow): Story {
  const told = storyKeys.filter((key) => body.story?.includes(key) === true);
  return Object.fromEntries(told.map((key) => [key, true] as const));
}

function askedOf({ begun: { body } }: HuntNow, known: SharesKnown): HuntAsked {
  const { symptom, access, instruments, restingV } = body;
  return {
    ...known,
    symptom: symptomCodes.find((code) => code === symptom) ?? 'both-dead',
    access,
    carried: huntInstruments.filter((one) => instruments.includes(one)),
    ...(restingV === undefined ? {} : { restingV }),
  };
}
