import { assessedIn, jobWith } from '../build/build.fixture';
import type { Circuit } from '../job';
import { hose, wetJob } from '../runs/wet.fixture';
import { proveTests } from './proveTests';
import type { ProvePhase, ProveTest } from './proveTest';

const tests = (scheme: string, more: Partial<Circuit> = {}, phase: ProvePhase = 'commission', others: string[] = []) =>
  proveTests(assessedIn(jobWith(scheme, { panel: { light: 'led' }, ...more })), { phase, others });
const needed = (list: readonly ProveTest[]) => list.filter((test) => test.needed).map(({ id }) => id);
const byId = (list: readonly ProveTest[], id: string): ProveTest => {
  const one = list.find((each) => each.id === id);
  if (!one) throw new Error(`No test ${id}.`);
  return one;
};
const stateOf = (test: ProveTest) => ('state' in test.expect ? test.expect.state : null);
const window = (test: ProveTest) =>
  'state' in test.expect ? [] : [test.expect.low, test.expect.nominal, test.expect.high];

describe('the tests of a scheme say what it is made of', () => {
  it('one without a float has no step of one, and no water that starts it', () => {
    const ids = needed(tests('plain-switch'));
    expect(ids.some((id) => /float|water-|sense|auto/.test(id))).toBe(false);
    expect(ids).toContain('outlet-after');
  });

  it('a float in the pump has ohms of the winding alone', () => {
    expect(needed(tests('three-way-integral')).filter((id) => id.startsWith('ohms'))).toEqual(['ohms-manual-negative']);
  });

  it('one that is always live draws one pump’s amperes by hand and float together', () => {
    const list = tests('hot-auto');
    const [alone, both] = ['amps-manual-down', 'amps-manual-up'].map((id) => window(byId(list, id))[1]);
    expect(both).toBeCloseTo(alone ?? 0, 1);
    expect(byId(list, 'amps-manual-up').needed).toBe(true);
  });

  it('legs with a fuse each: either alone keeps it running, which only pulling both ends', () => {
    const legFuses = { kind: 'blade', manualA: 7.5, autoA: 7.5 } as const;
    const list = tests('hot-auto', { panel: { light: 'led', legFuses } });
    const alone = list.filter(({ id }) => /^fuse-out-(manual|auto)/.test(id));
    const running = alone.map(({ expect: wanted }) => 'state' in wanted && wanted.state.includes('Pump running'));
    expect(running).toEqual([true, true]);
    expect(byId(list, 'dead-out').set.fusesOut).toEqual(expect.arrayContaining(['manual-fuse', 'auto-fuse']));
  });

  it('a pump that feels is waited for, a period and a tenth', () => {
    const list = tests('sensing-pump');
    expect(window(byId(list, 'timer-period'))).toEqual([162, 180, 198]);
    expect(byId(list, 'timer-dry').waitS).toBe(180);
    expect(list.some(({ id }) => id.startsWith('ohms-manual-auto'))).toBe(false);
  });

  it('a float with five leads is closed through its negative pair, down and up', () => {
    const list = tests('through-float');
    expect(stateOf(byId(list, 'ohms-float-negative'))).toBe('closed');
    expect(byId(list, 'ohms-float-negative').place).toBe('bilge');
  });

  it('a sensor hangs the right way round, waits two seconds, runs on four, and draws its five milliamperes', () => {
    const list = tests('probe-sensor');
    expect(window(byId(list, 'sensor-on-delay'))).toEqual([1, 2, 3]);
    expect(window(byId(list, 'sensor-run-on'))).toEqual([3, 4, 5]);
    expect(window(byId(list, 'standing-draw'))[1]).toBeCloseTo(0.005, 3);
    expect(byId(list, 'sensor-polarity').power).toBe('dead');
  });

  it('a relay has its coil’s ohms, volts with a fifth in hand, and a fuse whose pulling leaves nothing running', () => {
    const list = tests('relay');
    const [low, nominal] = window(byId(list, 'coil-volts'));
    expect(nominal).toBeGreaterThan(12);
    expect(low).toBeGreaterThanOrEqual(1.2 * 7.2);
    expect(window(byId(list, 'coil-ohms'))[1]).toBeCloseTo(90, -1);
    expect(stateOf(byId(list, 'fuse-out-coil-fuse'))).toContain('standing');
  });

  it('a backup sounds, then runs, with the first pump’s fuse out; and nothing of a neighbour reaches it', () => {
    const list = tests('backup-alarm', {}, 'commission', ['Main']);
    expect(stateOf(byId(list, 'primary-fuse-out'))).toBe('alarm, then this pump');
    expect(byId(list, 'neighbour-leaves-nothing').text).toContain('Main running');
    expect(tests('backup-alarm').some(({ id }) => id === 'neighbour-leaves-nothing')).toBe(false);
  });

  it('an alarm by itself sounds within three seconds, keeps its light when it is muted, and has its battery read', () => {
    const list = tests('standalone-alarm');
    expect(window(byId(list, 'alarm-sounds'))[2]).toBe(3);
    expect(stateOf(byId(list, 'alarm-mute'))).toBe('silent, light on');
    expect(window(byId(list, 'alarm-battery'))).toEqual([8.1, 9, 9.9]);
  });

  it('manual holds or springs back, the isolator leaves it running or not, whichever was wanted', () => {
    expect(stateOf(byId(tests('three-way-float'), 'manual-released'))).toBe('holds');
    expect(stateOf(byId(tests('three-way-float', { manual: 'momentary' }), 'manual-released'))).toContain(
      'springs back',
    );
    expect(stateOf(byId(tests('three-way-float'), 'isolator-off'))).toBe('still runs');
    expect(stateOf(byId(tests('three-way-float', { source: { feed: 'isolator' } }), 'isolator-off'))).toBe('dead');
  });

  it('water is timed against what this pump moves at this lift, and wider where that was guessed', () => {
    const litres = (guessed: boolean) => {
      const assessed = assessedIn(wetJob({ water: { hose: { ...hose, ...(guessed ? { guessed } : {}) } } }));
      const [flow] = assessed.facts.water?.poses[0]?.operating.filter(({ supplyV }) => supplyV === 12.8) ?? [];
      const [low = 0, nominal = 0, high = 0] = window(byId(proveTests(assessed), 'measured-litres'));
      // At the battery as surveyed, a little under 12.8 V.
      expect(nominal).toBeGreaterThan(0.85 * (flow?.flowLPerH ?? 0));
      expect(nominal).toBeLessThan(1.02 * (flow?.flowLPerH ?? 0));
      return [low / nominal, high / nominal].map((share) => Number(share.toFixed(6)));
    };
    expect(litres(false)).toEqual([0.85, 1.15]);
    expect(litres(true)).toEqual([0.75, 1.25]);
    expect(needed(tests('three-way-float'))).toContain('measured-litres-seen');
  });
});

describe('the bench', () => {
  it('looks, reads the winding and the float, and pumps real water, before anything is in the bilge', () => {
    expect(tests('three-way-float', {}, 'bench').map(({ id }) => id)).toEqual([
      'look-pump',
      'label',
      'look-float',
      'float-ohms-down',
      'float-ohms-up',
      'float-ohms-down-again',
      'winding',
      'bench-litres-seen',
      'bench-auto',
      'scrap-joint',
    ]);
    expect(tests('plain-switch', {}, 'bench').some(({ id }) => id === 'bench-auto')).toBe(false);
    expect(tests('sensing-pump', {}, 'bench').some(({ id }) => id === 'winding')).toBe(false);
  });

  it('times the water where the label’s flow is known', () => {
    const pump = { currentA: 4.5, labelV: 13.6, openFlowLPerH: 4000, shutOffHeadM: 4 };
    const litres = byId(tests('three-way-float', { pump }, 'bench'), 'bench-litres');
    expect(litres.litres).toBe(10);
    const [low, nominal, high] = window(litres);
    expect((low ?? 0) / (nominal ?? 1)).toBeCloseTo(0.75, 9);
    expect((high ?? 0) / (nominal ?? 1)).toBeCloseTo(1.25, 9);
  });
});
