import { runs } from '../../testing/runs.fixture';
import { assess, anySurvey, assessedOf, changed, findingOf, jobOf, legs, sized, sizeOf } from './assess.fixture';
import { assessReport } from './report';
import { newCircuit, type Circuit } from '../job';
import { conductorSizes } from '../reference';
import { schemeKeys } from '../schemes';
import fc from 'fast-check';

describe('a sneak path', () => {
  it('through a light between the posts sizes no cable and stalls no pump', () => {
    const plain = assessedOf(changed({}));
    for (const light of ['led', 'filament'] as const) {
      const sneaky = assessedOf(changed({ panel: { light, lightWired: 'auto-to-manual' } }));
      expect(sizeOf(sneaky, 'manual')).toBe(sizeOf(plain, 'manual'));
      expect(sneaky.facts.dropPercent).toBeCloseTo(plain.facts.dropPercent, 6);
      expect(sneaky.facts.protection.lockedRotorA).toBeGreaterThan(10);
      expect(sneaky.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    }
  });

  it('through an alarm without diodes on two circuits is judged as what it is, and sizes nothing', () => {
    const job = jobOf({});
    const backup: Circuit = {
      ...newCircuit('backup', 'Backup', 'backup-alarm', 'house'),
      legs,
      pump: { currentA: 5 },
      alarm: { alsoFrom: 'main', diodes: false },
    };
    const both = { ...job, circuits: [...job.circuits, backup] };
    const isolated = { ...job, circuits: [...job.circuits, { ...backup, alarm: { alsoFrom: 'main', diodes: true } }] };
    const [bare, guarded] = [assessedOf(both, 'backup'), assessedOf(isolated, 'backup')];
    expect(sizeOf(bare, 'feed')).toBe(sizeOf(guarded, 'feed'));
    expect(bare.facts.dropPercent).toBeCloseTo(guarded.facts.dropPercent, 2);
    expect(bare.facts.protection.lockedRotorA).toBeCloseTo(guarded.facts.protection.lockedRotorA, 1);
    expect(findingOf(both, 'back-feed-between-circuits', 'backup')?.severity).toBe('stop');
    expect(findingOf(isolated, 'back-feed-between-circuits', 'backup')).toBeUndefined();
  });

  it('never makes a setting: however thin or long the cable, the same settings count', () => {
    const settings = (lengthM: number, currentA: number) => {
      const { facts } = assessedOf(
        changed({
          legs: { ...legs, panelToBilge: { lengthM }, bilgeToNegative: { lengthM } },
          pump: { currentA },
          choices: { conductors: { manual: '18 AWG', auto: '18 AWG', negative: '18 AWG' } },
        }),
      );
      return facts.conductors.filter(({ designA }) => designA > 0.5).map(({ planned }) => planned.id);
    };
    expect(settings(100, 60)).toEqual(settings(1, 1));
  });
});

describe('a short at the battery', () => {
  it('on the post finds no stub before the fuse, also once the app has put one there', () => {
    // 10.5 kA at the post, 1.9 kA behind 150 mm of 12 AWG.
    const bank = { chemistry: 'lifepo4' as const, capacityAh: 236 };
    const before = changed({}, bank);
    const { protection } = assessedOf(before).facts;
    expect(protection.postFaultA).toBeCloseTo(13.4 / (0.3 / 236), 3);
    expect(protection.sourceFaultA).toBeLessThan(protection.postFaultA);
    const { fix } = findingOf(before, 'interrupt-rating-exceeded') ?? {};
    // A cube breaks 10 kA: at the post that is not enough, whatever the stub of the next fuse.
    expect(fix?.circuit.source?.mainFuse?.kind).toBe('classT');
    const cube = changed({ source: { mainFuse: { kind: 'cubeAtBattery', ratingA: 30 } } }, bank);
    expect(assessedOf(cube).facts.protection.sourceFaultA).toBeCloseTo(protection.postFaultA, 6);
    expect(findingOf(cube, 'interrupt-rating-exceeded')).toBeDefined();
    const own = changed({ choices: { protection: { kind: 'cubeAtBattery', ratingA: 30 } } }, bank);
    expect(assessedOf(own).facts.protection.sourceFaultA).toBeCloseTo(protection.postFaultA, 6);
  });

  it('is told once a battery, however many circuits hang on it', () => {
    const job = jobOf({});
    const more = ['b', 'c'].map((id): Circuit => ({
      ...(job.circuits[0] ?? newCircuit(id, id, 'plain-switch', 'house')),
      id,
      name: id,
    }));
    const many = {
      ...job,
      batteries: [{ id: 'house', name: 'House', capacityAh: 400 }],
      circuits: [...job.circuits, ...more],
    };
    const told = assess(many).flatMap((one) =>
      one.status === 'incomplete' ? [] : one.findings.filter(({ code }) => code === 'interrupt-rating-exceeded'),
    );
    expect(told).toHaveLength(1);
    const { fix } = told[0] ?? {};
    expect(fix?.also).toHaveLength(2);
    const mended = {
      ...many,
      circuits: many.circuits.map(
        (one) => [fix?.circuit, ...(fix?.also ?? [])].find((other) => other?.id === one.id) ?? one,
      ),
    };
    expect(
      assess(mended).flatMap((one) => (one.status === 'incomplete' ? [] : one.findings.map(({ code }) => code))),
    ).not.toContain('interrupt-rating-exceeded');
  });
});

describe('a starting pump', () => {
  it('is held against every device in its path', () => {
    // About 27 A at 14.4 V: a 5 A blade fuse may open in 0.03 s, a 7.5 A one not.
    const panel = changed({ panel: { fuse: { kind: 'blade', ratingA: 5 } }, choices: { protection: { ratingA: 10 } } });
    expect(findingOf(panel, 'inrush-reaches-fuse')?.at).toEqual(['panel-fuse']);
    const wide = changed({
      panel: { fuse: { kind: 'blade', ratingA: 7.5 } },
      choices: { protection: { ratingA: 10 } },
    });
    expect(findingOf(wide, 'inrush-reaches-fuse')).toBeUndefined();
    const main = changed({
      source: { mainFuse: { kind: 'blade', ratingA: 5 } },
      choices: { protection: { ratingA: 10 } },
    });
    expect(findingOf(main, 'inrush-reaches-fuse')?.at).toEqual(['main-fuse']);
    const apart = changed({
      scheme: 'hot-auto',
      panel: { legFuses: { kind: 'blade', manualA: 5, autoA: 10 } },
      choices: { protection: { ratingA: 30 } },
    });
    expect(findingOf(apart, 'inrush-reaches-fuse')?.at).toContain('manual-fuse');
    expect(assessedOf(apart).facts.protection.devices.map(({ id }) => id)).toEqual([
      'fuse',
      'manual-fuse',
      'auto-fuse',
    ]);
  });

  it('does not go through the fuse of a light’s tap or of a coil', () => {
    const lit = assessedOf(changed({ scheme: 'relay', panel: { light: 'filament', tapFuseA: 1 } }));
    expect(lit.facts.protection.devices.map(({ id }) => id)).toEqual(['fuse']);
  });
});

describe('a winding', () => {
  it('measured a little higher turns the verdict: said from which ohms, and never a stop for that alone', () => {
    const guessed = (windingOhm: number, ratingA = 10) =>
      changed({ pump: { currentA: 5, windingOhm }, choices: { protection: { ratingA } } });
    const finding = findingOf(guessed(0.48), 'locked-rotor-winding');
    expect(['note', 'caution']).toContain(finding?.severity);
    const turn = assessedOf(guessed(0.48)).facts.protection.windingTurn;
    expect(turn?.fromOhm).toBeGreaterThan(0.48);
    expect(turn?.fromOhm).toBeLessThan(0.78);
    // On each side of that resistance the verdict is as it says.
    const seconds = (windingOhm: number) => {
      const opening = assessedOf(guessed(windingOhm)).facts.protection.lockedRotorOpening;
      return opening.kind === 'opens' ? opening.seconds : Infinity;
    };
    expect(seconds((turn?.fromOhm ?? 0) - 0.002)).toBeLessThanOrEqual(10);
    expect(seconds((turn?.fromOhm ?? 0) + 0.002)).toBeGreaterThan(10);
    // A 5 A fuse opens in time all the way: 12 V over 0.78 Ω are three times its rating.
    expect(assessedOf(guessed(0.48, 5)).facts.protection.windingTurn).toBeNull();
  });

  it('is looked at no higher than what is a bilge pump at all: 0.6·V0/I0', () => {
    const { windingTurn } = assessedOf(changed({ pump: { currentA: 12 }, choices: { protection: { ratingA: 30 } } }))
      .facts.protection;
    expect(windingTurn?.highestOhm ?? 0).toBeLessThanOrEqual(0.2 + 0.3 + 1e-9);
    const high = assessedOf(
      changed({ pump: { currentA: 12, windingOhm: 0.59 }, choices: { protection: { ratingA: 15 } } }),
    ).facts.protection;
    expect(high.windingTurn?.highestOhm ?? 0.6).toBeLessThanOrEqual(0.6);
  });
});

describe('figures of contacts, joints and lamps', () => {
  it('measured replace the defaults in the solved circuit', () => {
    const drop = (figures: NonNullable<Circuit['figures']>) => {
      const { supplies } = assessedOf(changed({ figures })).facts;
      return 12 - (supplies[0]?.pumpV ?? NaN);
    };
    const { pumpA = NaN } = assessedOf(changed({})).facts.supplies[0] ?? {};
    expect(drop({ switchOhm: 0.055 }) - drop({})).toBeCloseTo(0.05 * pumpA, 1);
    expect(drop({ floatOhm: 0.06 }) - drop({})).toBeCloseTo(0.05 * pumpA, 1);
    // Three joints.
    expect(drop({ jointOhm: 0.021 }) - drop({})).toBeCloseTo(0.06 * pumpA, 1);
    expect(drop({ fuseDropV: 0 })).toBeLessThan(drop({}));
    const warm = assessedOf(
      changed({ figures: { conductorC: 50 }, choices: { conductors: { feed: '10 AWG' } } }),
    ).facts.conductors.find(({ planned }) => planned.id === 'feed');
    const usual = assessedOf(changed({ choices: { conductors: { feed: '10 AWG' } } })).facts.conductors.find(
      ({ planned }) => planned.id === 'feed',
    );
    expect((warm?.resistanceOhm ?? 0) / (usual?.resistanceOhm ?? 1)).toBeCloseTo(1.1179 / 1.0393, 6);
    const lamp = (figures: NonNullable<Circuit['figures']>) =>
      assessedOf(changed({ panel: { light: 'filament' }, figures })).facts.conductors.find(
        ({ planned }) => planned.id === 'light-tap',
      )?.runningA ?? 0;
    expect(lamp({ lampOhm: 75 }) / lamp({})).toBeCloseTo(2, 1);
  });
});

describe('insulation that is forbidden where it runs', () => {
  it('is no size: never a percentage of nothing', () => {
    const job = changed({
      legs: {
        sourceToPanel: { lengthM: 3, insulationC: 60, engineSpace: true },
        panelToBilge: { lengthM: 5, insulationC: 60, engineSpace: true },
        bilgeToNegative: { lengthM: 5, insulationC: 60, engineSpace: true },
      },
      choices: { family: 'metric' },
    });
    const { findings } = assessedOf(job);
    expect(findings.map(({ code }) => code)).toContain('insulation-forbidden-in-engine-space');
    expect(findings.map(({ code }) => code)).not.toContain('rating-over-conductor');
    for (const { message } of findings) expect(message).not.toMatch(/Infinity|NaN/);
    expect(findings.find(({ code }) => code === 'insulation-forbidden-in-engine-space')?.fix?.label).toMatch(/105 °C/);
  });
});

describe('findings', () => {
  it('have an id of their own in every circuit', () => {
    fc.assert(
      fc.property(
        anySurvey,
        fc.dictionary(
          fc.constantFrom('feed', 'manual', 'auto', 'negative'),
          fc.constantFrom(...conductorSizes.awg.map(({ size }) => size)),
        ),
        ({ family: _family, ...given }, conductors) => {
          const ids = sized({ ...given, choices: { conductors } }).findings.map(({ id }) => id);
          expect(new Set(ids).size).toBe(ids.length);
        },
      ),
      runs(60),
    );
  });

  it('of one cause are one finding with its places', () => {
    const thin = changed({ choices: { conductors: { feed: '18 AWG', auto: '18 AWG', negative: '18 AWG' } } });
    const found = assessedOf(thin).findings.filter(({ code }) => code === 'below-minimum-size');
    expect(found.map(({ at }) => at)).toEqual([['stub', 'feed', 'auto', 'negative']]);
    expect(found[0]?.id).toBe('below-minimum-size@stub');
    expect(found[0]?.fix?.circuit.choices?.conductors).toEqual({});
  });

  it('of every scheme speak one unit system', () => {
    for (const scheme of schemeKeys) {
      const job = changed({ scheme, source: { stubLengthM: 0.5 } });
      const said = (units: 'metric' | 'us') =>
        assess(job, { units }).flatMap((one) =>
          one.status === 'incomplete' ? [] : one.findings.flatMap(({ message, fix }) => [message, fix?.label ?? '']),
        );
      expect(said('us').join(' ')).not.toMatch(/\d\u00a0(mm|m|L|L\/h)(?![\wΩ])/);
      expect(said('metric').join(' ')).not.toMatch(/\d\u00a0(in|ft|gal)\b/);
    }
  });
});

test('the report tells never from not shown', () => {
  const word = (protection: NonNullable<Circuit['choices']>['protection']) => {
    const [one] = assessReport(changed({ choices: { protection } })).circuits;
    return one && 'protection' in one ? [one.protection?.opensWithinS, one.protection?.opensWithin] : [];
  };
  expect(word({ kind: 'cubeAtBattery', ratingA: 30 })).toEqual([null, 'not shown']);
  expect(word({ kind: 'blade', ratingA: 30 })).toEqual([null, 'never']);
  expect(word({ kind: 'blade', ratingA: 7.5 })[1]).toBe('opens');
});
