import fc from 'fast-check';
import { assess } from '../assess';
import { conductorSizes, disconnect, jointSchools, supportEveryM } from '../reference';
import { schemeKeys } from '../schemes';
import { buildList, pieces } from './buildList';
import { assessedIn, built, byId, jobWith } from './build.fixture';
import { cureFactor } from './steps';
import { labelCode } from './labels';

const ALL = [...schemeKeys];

describe('what building takes, whatever the scheme', () => {
  it.each(ALL)('%s: each conductor once, in the list, with two labels, and in the joints it ends at', (scheme) => {
    for (const family of ['awg', 'metric'] as const) {
      const job = jobWith(scheme, { choices: { family }, panel: { light: 'led', armedLight: 'led', tapFuseA: 1 } });
      const assessed = assessedIn(job);
      const list = buildList(job, assessed);
      const ids = assessed.plan.conductors.map(({ id }) => id);
      expect(list.conductors.map(({ id }) => id)).toEqual(ids);
      expect(new Set(ids).size).toBe(ids.length);
      for (const { id, from, to, size } of list.conductors) {
        expect(list.labels.filter(({ conductor }) => conductor === id)).toHaveLength(2);
        expect(conductorSizes[family].map((row) => row.size)).toContain(size);
        for (const end of [from, to]) {
          const joint = list.joints.find((one) => one.id === end.part);
          if (joint) expect(joint.conductors.filter((one) => one.id === id)).toHaveLength(1);
        }
      }
      const joints = assessed.plan.parts.filter(({ part }) => part.kind === 'joint');
      expect(list.joints.map(({ id }) => id)).toEqual(joints.map(({ part }) => part.id));
      // What is cut is every conductor that is no lead, alone or as a core.
      const cut = pieces(list.conductors, list.spares).map(({ id }) => id);
      expect(cut).toEqual(list.conductors.filter(({ cutM }) => cutM !== null).map(({ id }) => id));
      expect(list.problems).toEqual([]);
    }
  });

  it.each(ALL)(
    '%s: its steps need only what is there, join every joint of the bilge from the wet end, and prove before the fuse',
    (scheme) => {
      const { steps, joints } = built(scheme);
      const ids = steps.map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
      for (const { id, needs } of steps)
        for (const need of needs) expect(ids.indexOf(need)).toBeLessThan(ids.indexOf(id));
      const joined = ids.filter((id) => id.startsWith('join-')).map((id) => id.slice('join-'.length));
      expect(joined).toEqual(
        joints
          .filter(({ band }) => band === 'bilge')
          .map(({ id }) => id)
          .reverse(),
      );
      expect(ids.indexOf('dead-tests')).toBeGreaterThan(ids.indexOf('panel'));
      if (ids.includes('fuse-in')) expect(byId(steps, 'fuse-in').needs).toEqual(['dead-tests']);
      expect(ids.includes('fuse-in')).toBe(scheme !== 'standalone-alarm');
      expect(byId(steps, 'commission').needs.length).toBeGreaterThan(0);
    },
  );

  it('goes through JSON unchanged', () => {
    const list = built('relay', { outlet: { threadM: 0.04 }, cutOut: { widthM: 0.1, heightM: 0.06 } });
    expect(JSON.parse(JSON.stringify(list))).toEqual(list);
  });
});

describe('the parts', () => {
  it('are counted from the plan and its lengths, each with its reason', () => {
    const list = built(
      'three-way-float',
      { pulls: { panelToBilge: { bulkheads: 2 } }, disconnects: { pump: true } },
      { panel: { light: 'led', fuse: { kind: 'blade', ratingA: 7.5 } } },
    );
    const many = (id: string) => list.parts.find((one) => one.id === id)?.quantity;
    // Two fuses of 7.5 A, fitted, and two spare.
    expect(many('fuse-blade-7.5')).toBe(4);
    expect([many('holder-fuse'), many('holder-panel-fuse')]).toEqual([1, 1]);
    // 2 + 4 + 5 m along the legs, one clip each 457 mm, and a tenth.
    expect(many('clips')).toBe(Math.ceil((11 / supportEveryM) * 1.1));
    expect(many('grommets')).toBe(2);
    // Seven conductors with two ends, two bulkheads with two sides for each of two, and the source.
    expect(list.conductors).toHaveLength(7);
    expect(many('labels')).toBe(7 * 2 + 2 * 2 * 2 + 1);
    expect(list.labels[0]?.text).toBe('MAIN BILGE PUMP · ALWAYS LIVE · 7.5\u00a0A');
    // Three joints of 70 mm, to the next tenth of a metre.
    expect(many('sleeve')).toBe(0.3);
    expect([many('disconnect-pump'), many('disconnect-float')]).toEqual([1, undefined]);
    for (const { why } of list.parts) expect(why).not.toBe('');
  });

  it('hold at least two spare barrels of each, and one in five', () => {
    const barrels = (scheme: string) => built(scheme).parts.filter(({ id }) => id.startsWith('barrel-'));
    for (const { quantity } of barrels('three-way-float')) expect(quantity).toBeGreaterThanOrEqual(3);
  });

  it('take two clamps at an outlet near the water, one well above it', () => {
    const at = (heightM: number) => {
      const job = {
        ...jobWith('three-way-float', {
          water: {
            wellId: 'well',
            hose: {
              boreM: 0.025,
              route: [
                { alongM: 0, heightM: 0 },
                { alongM: 2, heightM },
              ],
            },
          },
        }),
        wells: [{ id: 'well', name: 'Well', aftM: -0.5, foreM: 0.5, section: { kind: 'box' as const, widthM: 0.4 } }],
        poses: [{ id: 'rest', name: 'At rest', trimDeg: 0, heelDeg: 0, outsideM: 0.5 }],
      };
      const parts = buildList(job, assessedIn(job)).parts;
      return [parts.find(({ id }) => id === 'clamps')?.quantity, parts.find(({ id }) => id === 'hose')?.quantity];
    };
    expect(at(0.79)).toEqual([4, 2.1]);
    expect(at(0.8)).toEqual([3, 2.1]);
  });

  it('of cable are the pieces by size and colour and a tenth, to the next tenth of a metre', () => {
    const { order, conductors } = built('three-way-float');
    // Stub 0.15 and feed 2.4 m, both red: 2.805.
    expect(order.find(({ colour }) => colour === 'red')).toMatchObject({ metres: 2.9, pieces: 2, drumM: 5 });
    expect(order.reduce((sum, { pieces: count }) => sum + count, 0)).toBe(conductors.length);
  });
});

describe('labels', () => {
  it.each([
    ['Main bilge pump', 'MBP'],
    ['Pump 2', 'P2'],
    ['Åse’s aft', 'ÅSA'],
    ['—', 'BP'],
  ])('of “%s” begin with %s', (name, code) => {
    expect(labelCode({ name })).toBe(code);
  });

  it('begin with what was chosen', () => {
    expect(labelCode({ name: 'Main', build: { labelCode: 'AFT1' } })).toBe('AFT1');
  });
});

describe('a cure takes', () => {
  it('twice as long 10 °C colder, and no less than the tube says when it is warm', () => {
    expect([cureFactor(20), cureFactor(10), cureFactor(0), cureFactor(30)]).toEqual([1, 2, 4, 1]);
  });
});

describe('as built', () => {
  const conductors = { feed: '12 AWG', manual: '12 AWG', auto: '12 AWG', negative: '12 AWG' } as const;
  const drop = (build?: Parameters<typeof built>[1]) => {
    const [one] = assess(jobWith('three-way-float', { choices: { conductors }, ...(build ? { build } : {}) }));
    if (one?.status !== 'sized') throw new Error('not sized');
    return { ...one.facts, netlist: one.netlist };
  };
  const jointOhms = (build?: Parameters<typeof built>[1]) =>
    Object.fromEntries(
      drop(build).netlist.parts.flatMap((part) => (part.kind === 'joint' ? [[part.id, part.ohm]] : [])),
    );

  it('counts for the circuit: joints by their school, disconnects, lengths as pulled', () => {
    expect(jointOhms()).toEqual({ 'joint-float': 0.001, 'joint-pump': 0.001, 'joint-negative': 0.001 });
    expect(jointOhms({ school: 'solder', joints: { 'joint-float': { school: 'block' } } })).toEqual({
      'joint-float': jointSchools.block.ohm,
      'joint-pump': jointSchools.solder.ohm,
      'joint-negative': jointSchools.solder.ohm,
    });
    expect(jointOhms({ disconnects: { pump: true } })).toEqual({
      'joint-float': 0.001,
      'joint-pump': 0.001 + disconnect.ohm,
      'joint-negative': 0.001 + disconnect.ohm,
    });
    const before = drop();
    const after = drop({ pulledM: { manual: 8, auto: 8, negative: 10 } });
    expect(after.dropV).toBeGreaterThan(before.dropV * 1.5);
    const [one] = after.supplies;
    expect(one?.pumpV).toBeLessThan(before.supplies[0]?.pumpV ?? 0);
  });

  it('never changes what is found where it says what was planned anyway', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ALL), (scheme) => {
        const plain = assess(jobWith(scheme));
        const same = assess(jobWith(scheme, { build: { school: 'crimp', pulls: {}, colours: {} } }));
        const words = (of: typeof plain) =>
          of.map((one) => (one.status === 'incomplete' ? [] : one.findings.map(({ message }) => message)));
        expect(words(same)).toEqual(words(plain));
      }),
      { numRuns: ALL.length },
    );
  });
});
