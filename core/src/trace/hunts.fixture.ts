import type { AssessedAlarm, AssessedPump } from '../assess';
import { assessedIn, jobWith } from '../build/build.fixture';
import { Hunt, type HuntOrder } from './hunt';
import type { HuntReading } from './huntReading';
import { symptomsOf, type PredictedTest } from './huntModel';
import type { Reading } from './huntTest';
import { spreadOf } from './predictions';
import type { SymptomCode } from './symptoms';

export const assessedOf = (scheme: string): AssessedPump | AssessedAlarm =>
  assessedIn(jobWith(scheme, { panel: { light: 'led' } }));

/** Numbers between 0 and 1 that are the same in every run, and normal ones made of them. */
export function chances(seed: number) {
  let state = seed >>> 0;
  const next = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
  return { next, normal: () => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next()) };
}

type Chances = ReturnType<typeof chances>;

/** What a hand reads where the circuit shows `value`: a little off, and two times in a hundred something else. */
function readSoftly({ test, readings }: PredictedTest, value: Reading, { next, normal }: Chances): Reading {
  const read = next() < 0.02 ? (readings[Math.floor(next() * readings.length)] ?? value) : value;
  if (typeof read === 'string') return read;
  const { below, above } = spreadOf(test, read);
  const off = normal();
  return read + off * (off < 0 ? below : above);
}

const MOST_STEPS = 40;

/** A hunt for a fault that is there. @param truth its place among the hypotheses of `knows` */
export function hunted(hunt: Hunt, knows: Hunt, truth: number, by: Chances, order: HuntOrder = 'best') {
  const readings: HuntReading[] = [];
  let state = hunt.after(readings, order, 1);
  let minutes = 0;
  while (!state.settled && readings.length < MOST_STEPS) {
    const [next] = state.next;
    if (!next) break;
    const own = knows.test(next.predicted.test.id);
    // A test that tells nothing to whoever knows of the fault reads as it always does.
    const value = own ? (own.readings[truth] ?? '') : (next.predicted.readings[0] ?? '');
    readings.push({ kind: 'read', test: next.predicted.test.id, value: readSoftly(own ?? next.predicted, value, by) });
    minutes += next.minutes;
    state = hunt.after(readings, order, 1);
  }
  return { state, readings, minutes };
}

/** A hypothesis by its share. */
function drawn(hunt: Hunt, { next }: Chances): number {
  let left = next();
  const { hypotheses } = hunt.model;
  for (let at = 0; at < hypotheses.length; at += 1) {
    left -= hypotheses[at]?.share ?? 0;
    if (left <= 0) return at;
  }
  return hypotheses.length - 1;
}

/** So many hunts of every symptom of a scheme: how many first repairs were right. */
export function huntsOf(scheme: string, each: number, seed: number, access: 'easy' | 'hard' = 'hard') {
  const assessed = assessedOf(scheme);
  const by = chances(seed);
  let [right, all, minutes] = [0, 0, 0];
  for (const { code } of symptomsOf(assessed)) {
    const hunt = new Hunt(assessed, { symptom: code, access });
    for (let one = 0; one < each; one += 1) {
      const truth = drawn(hunt, by);
      const { state, minutes: took } = hunted(hunt, hunt, truth, by);
      all += 1;
      minutes += took;
      if (state.repairs[0]?.repair.code === hunt.model.hypotheses[truth]?.repair.code) right += 1;
    }
  }
  return { right, all, minutes };
}

/** Further off than so many standard deviations a reading is given by no listed hypothesis. */
const UNLIKE = 2;

/** Whether some test reads under one hypothesis what no other gives within two standard deviations. */
function isUnlike(knows: Hunt, truth: number, left: readonly number[]): boolean {
  return knows.model.tests.some(({ test, readings }) => {
    const own = readings[truth];
    return left.every((at) => {
      const other = readings[at];
      if (typeof own === 'string' || typeof other === 'string') return own !== other;
      if (own === undefined || other === undefined) return false;
      const { below, above } = spreadOf(test, other);
      return own < other ? other - own > UNLIKE * below : own - other > UNLIKE * above;
    });
  });
}

/** Hunts for faults that are not in the list, one kind at a time: how many ended without a wrong repair named. */
export function unlistedOf(scheme: string, each: number, seed: number) {
  const assessed = assessedOf(scheme);
  const by = chances(seed);
  let [admitted, all] = [0, 0];
  const alike = new Set<string>();
  for (const { code } of symptomsOf(assessed)) {
    const knows = new Hunt(assessed, { symptom: code, access: 'easy' });
    const { hypotheses } = knows.model;
    const kinds = new Set(hypotheses.map((one) => kindOf(one.id)));
    for (const kind of kinds) {
      if (kind === 'sound' || [...kinds].every((one) => one === kind || one === 'sound')) continue;
      const without = hypotheses.filter((one) => kindOf(one.id) === kind).map(({ id }) => id);
      const left = hypotheses.flatMap((one, at) => (without.includes(one.id) ? [] : [at]));
      const hunt = new Hunt(assessed, { symptom: code, access: 'easy', without });
      for (const [truth, { id }] of hypotheses.entries()) {
        if (!without.includes(id)) continue;
        if (!isUnlike(knows, truth, left)) {
          alike.add(id);
          continue;
        }
        for (let one = 0; one < each; one += 1) {
          const { state } = hunted(hunt, knows, truth, by);
          all += 1;
          if (!state.settled || state.settled.repair.code === hypotheses[truth]?.repair.code) admitted += 1;
        }
      }
    }
  }
  return { admitted, all, alike: [...alike].sort() };
}

const kindOf = (id: string) => id.split('@')[0] ?? id;

/** Every symptom of some schemes. */
export function symptomsIn(schemes: readonly string[]): [string, SymptomCode][] {
  return schemes.flatMap((scheme) =>
    symptomsOf(assessedOf(scheme)).map(({ code }): [string, SymptomCode] => [scheme, code]),
  );
}
