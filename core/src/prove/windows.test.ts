import { assess } from '../assess';
import { assessedIn, jobWith } from '../build/build.fixture';
import { readJobText } from '../file';
import type { KnownEntry } from '../records';
import { readFileSync } from 'node:fs';
import { proofStands } from './proofStands';
import { proveTests, groundOf } from './proveTests';
import { fillingOf } from './waterTests';
import { rulesWith, windowAbout, windowKeys, windowRules, windowSettings } from './windows';
import { windowsIn } from './windowsIn';

const entryOf = (kind: string, body: object, circuit: string | null = 'main', id = 'e') =>
  ({ id, kind, body, circuit, madeAt: '2026-05-01T10:00:00.000Z' }) as unknown as KnownEntry;

describe('the windows of a boat', () => {
  it('are the usual ones until one is set, and then differ in that one alone', () => {
    expect(rulesWith({})).toEqual(windowRules);
    const wider = rulesWith({ amps: 0.25 });
    expect(windowAbout(4, 'amps', wider)).toMatchObject({ low: 3, high: 5 });
    expect(windowAbout(4, 'amps')).toMatchObject({ low: 3.4, high: 4.6 });
    expect(windowAbout(12, 'unloaded', wider)).toEqual(windowAbout(12, 'unloaded'));
  });

  it.each(windowKeys)('%s reads back what was set, and leaves every other as it was', (key) => {
    const set = rulesWith({ [key]: 0.4 });
    expect(windowSettings[key].of(set)).toBe(0.4);
    for (const other of windowKeys)
      if (other !== key) expect(windowSettings[other].of(set)).toBe(windowSettings[other].of(windowRules));
  });

  it('come from the log: of each the last; emptied it is the usual, beyond its most it does not count', () => {
    const set = (window: string, to: number | null) => entryOf('window', { window, to }, null);
    expect(windowsIn([set('amps', 0.2), set('amps', 0.3), set('ohms', 0.4), set('ohms', null)])).toEqual({ amps: 0.3 });
    const { most } = windowSettings['loaded-below'];
    expect(windowsIn([set('loaded-below', most)])).toEqual({ 'loaded-below': most });
    expect(windowsIn([set('loaded-below', most + 0.001)])).toEqual({});
    expect(windowsIn([set('unheard-of', 1)])).toEqual({});
  });

  it('move what a reading may be in every test of their kind, and no other', () => {
    const assessed = assessedIn(jobWith('three-way-float'));
    const usual = proveTests(assessed);
    const wide = proveTests(assessed, { windows: { amps: 0.45 } });
    const moved = usual.filter((test, at) => JSON.stringify(test.expect) !== JSON.stringify(wide[at]?.expect));
    expect(moved.length).toBeGreaterThan(1);
    expect(new Set(moved.map(({ instrument }) => instrument))).toEqual(new Set(['clamp']));
  });
});

describe('water poured into a well', () => {
  const job = (() => {
    const read = readJobText(readFileSync(new URL('../../../examples/alder-wren.json', import.meta.url), 'utf8'));
    if (!read.ok) throw new Error('not read');
    return read.job;
  })();
  const [assessed] = assess(job);
  if (!assessed || assessed.status === 'incomplete') throw new Error('not sized');
  const ground = groundOf(assessed, {});

  it('rises with every litre, and lifts the float when it has come to its level', () => {
    const filling = fillingOf(ground);
    if (!filling) throw new Error('no filling');
    const { startsL, levelsM } = filling;
    for (let at = 1; at < levelsM.length; at += 1) expect(levelsM[at]).toBeGreaterThan(levelsM[at - 1] ?? 0);
    const { water } = assessed.facts;
    const float = water?.float;
    if (!float) throw new Error('no float');
    // By hand: the level of the litre below and of the one above lie about where the float starts.
    const trim = Math.tan(((water.poses[0]?.pose.trimDeg ?? 0) * Math.PI) / 180);
    const heel = Math.tan(((water.poses[0]?.pose.heelDeg ?? 0) * Math.PI) / 180);
    const onM = float.zM + float.onM - float.xM * trim - float.yM * heel;
    expect(levelsM[Math.floor(startsL)]).toBeLessThanOrEqual(onM);
    expect(levelsM[Math.ceil(startsL)]).toBeGreaterThanOrEqual(onM);
  });

  it('is not told where no well is surveyed, or more than a hand pours is wanted', () => {
    expect(fillingOf(groundOf(assessedIn(jobWith('three-way-float')), {}))).toBeNull();
    const { water } = assessed.facts;
    if (!water) throw new Error('no water');
    const pool = { ...water.pool, foreM: water.pool.foreM + 400 };
    const large = { ...assessed, facts: { ...assessed.facts, water: { ...water, pool } } } as typeof assessed;
    expect(fillingOf(groundOf(large, {}))).toBeNull();
  });
});

describe('how a proof stands', () => {
  const begun = entryOf('proofBegun', { phase: 'commission' }, 'main', 'b');
  const reading = (test: string) => entryOf('reading', { proof: 'b', test }, 'main', test);
  const signed = entryOf('proof', { phase: 'commission', proofs: ['b'], result: 'proved' }, 'main', 's');

  it('is nothing, begun with so many tests read, and signed', () => {
    expect(proofStands([], 'main')).toBeNull();
    expect(proofStands([begun, reading('x'), reading('x'), reading('y')], 'main')).toEqual({
      kind: 'begun',
      readings: 2,
    });
    expect(proofStands([begun, signed], 'main')).toMatchObject({ kind: 'signed', proved: true });
    expect(proofStands([begun, signed, { ...begun, id: 'c' }], 'main')).toEqual({ kind: 'begun', readings: 0 });
  });

  it('says of another circuit, or of the bench, nothing', () => {
    expect(proofStands([begun, signed], 'other')).toBeNull();
    expect(proofStands([entryOf('proofBegun', { phase: 'bench' })], 'main')).toBeNull();
  });
});
