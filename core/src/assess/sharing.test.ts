import { assessedOf, changed, findingOf, jobOf, legs } from './assess.fixture';
import { newCircuit, type Circuit, type Job } from '../job';

describe('a shared feed', () => {
  const job = jobOf({ choices: { protection: { ratingA: 15 } } });
  const second = (more: Partial<Circuit>): Job => ({
    ...job,
    circuits: [
      ...job.circuits,
      {
        ...newCircuit('second', 'Second', 'plain-switch', 'house'),
        sharesFeedWith: 'main',
        legs: { ...legs, sourceToPanel: {} },
        pump: { currentA: 3 },
        ...more,
      },
    ],
  });

  it('is a fact of its own: nobody chose its fuse in the circuit that takes it over', () => {
    const { protection, sharedFeed } = assessedOf(second({}), 'second').facts;
    expect(protection).toMatchObject({ ratingA: 15, overridden: false });
    expect(sharedFeed).toMatchObject({ leaderId: 'main', leaderName: 'Main', rating: { ratingA: 15 } });
    expect(assessedOf(second({}), 'main').facts.protection.overridden).toBe(true);
  });

  it('makes a backup none, and is parted by its fix', () => {
    const shared = second({ scheme: 'backup-alarm' });
    const finding = findingOf(shared, 'backup-on-primary-feed', 'second');
    expect(finding?.severity).toBe('stop');
    const own = finding?.fix?.circuit;
    expect(own?.sharesFeedWith).toBeUndefined();
    const mended = { ...shared, circuits: shared.circuits.map((one) => (one.id === 'second' && own ? own : one)) };
    expect(findingOf(mended, 'backup-on-primary-feed', 'second')).toBeUndefined();
    expect(assessedOf(mended, 'second').facts.sharedFeed).toBeNull();
  });

  it('blames no pump for another’s maker', () => {
    const both = second({ pump: { currentA: 3, makerFuseA: 5 } });
    expect(findingOf(both, 'rating-over-maker', 'main')).toBeUndefined();
    const told = findingOf(both, 'rating-over-maker', 'second');
    expect(told?.message).toContain('taken over from Main');
    expect(told?.fix?.circuit.panel?.fuse?.ratingA).toBe(4);
  });
});

describe('a backup’s alarm', () => {
  const dead = (removed: string[]) => changed({ scheme: 'backup-alarm', rewired: { removed } });

  it('that is dead is a stop, whichever conductor is off, and its fix is the way back', () => {
    expect(findingOf(changed({ scheme: 'backup-alarm' }), 'alarm-wrong')).toBeUndefined();
    for (const removed of ['alarm-tap', 'alarm-negative']) {
      const finding = findingOf(dead([removed]), 'alarm-wrong');
      expect(finding?.severity).toBe('stop');
      expect(finding?.fix?.circuit.rewired).toBeUndefined();
    }
  });
});

describe('manual and auto', () => {
  it('of different length are each judged by its own, the worse of them deciding', () => {
    const apart = (autoLengthM: number) =>
      assessedOf(changed({ legs: { ...legs, panelToBilge: { lengthM: 5, autoLengthM } } }));
    const lengthOf = (one: ReturnType<typeof apart>, id: string) =>
      one.facts.conductors.find(({ planned }) => planned.id === id)?.planned.lengthM;
    expect([lengthOf(apart(9), 'auto'), lengthOf(apart(9), 'manual')]).toEqual([9, 5]);
    expect(apart(9).facts.dropSetting.switches['switch']).toBe('auto');
    expect(apart(1).facts.dropSetting.switches['switch']).toBe('manual');
    const choices = { conductors: { feed: '12 AWG', manual: '12 AWG', auto: '12 AWG', negative: '12 AWG' } } as const;
    const drop = (autoLengthM: number) =>
      assessedOf(changed({ choices, legs: { ...legs, panelToBilge: { lengthM: 5, autoLengthM } } })).facts.dropV;
    // Four metres more of 12 AWG at 30 °C, 5 A.
    expect(drop(9) - drop(5)).toBeCloseTo(5 * 4 * (17.241 / 3.309 / 1000) * 1.0393, 6);
    expect(drop(1)).toBeCloseTo(drop(5), 9);
  });

  it('never feed the motor together where the manual switch breaks the auto leg', () => {
    const apart = { legFuses: { kind: 'blade' as const, manualA: 7.5, autoA: 7.5 } };
    const fused = (manualBreaksAuto: boolean) =>
      changed({ scheme: 'hot-auto', panel: { ...apart, manualBreaksAuto }, choices: { protection: { ratingA: 30 } } });
    expect(findingOf(fused(false), 'legs-fused-apart')?.severity).toBe('stop');
    expect(findingOf(fused(true), 'legs-fused-apart')).toBeUndefined();
    // Now each leg’s own 7.5 A fuse opens on a stalled pump.
    expect(assessedOf(fused(true)).facts.protection.legs).toBeNull();
    expect(findingOf(fused(true), 'locked-rotor-slow')).toBeUndefined();
    expect(assessedOf(fused(true)).findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });
});
