import fc from 'fast-check';
import { differences, mergeJobs } from './differences';
import { fieldInWords, valueInWords } from './fieldNames';
import { newCircuit, newJob } from './newJob';
import { doubtsOf } from './plausible';
import type { Circuit, Job } from './schema';

const base: Job = {
  ...newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern'),
  circuits: [newCircuit('a', 'Main', 'three-way-float', 'house'), newCircuit('b', 'Spare', 'plain-switch', 'house')],
};
const withCircuit = (job: Job, id: string, change: Partial<Circuit>): Job => ({
  ...job,
  circuits: job.circuits.map((circuit) => (circuit.id === id ? { ...circuit, ...change } : circuit)),
});

describe('two jobs', () => {
  it('differ field by field, in words a person knows', () => {
    const { legs } = newCircuit('a', 'Main', 'three-way-float', 'house');
    const after = withCircuit(base, 'a', { legs: { ...legs, panelToBilge: { lengthM: 5.5 } } });
    const [difference, ...more] = differences(base, after);
    expect(more).toEqual([]);
    expect(fieldInWords(difference?.path ?? [], [after])).toBe('Circuit Main: panel to bilge, length');
    expect(valueInWords(difference?.path ?? [], difference?.after, 'us')).toBe('18\u00a0ft');
    expect(valueInWords(difference?.path ?? [], difference?.before, 'us')).toBe('not entered');
  });

  it('with a circuit added or removed differ in that circuit', () => {
    expect(differences(base, { ...base, circuits: base.circuits.slice(0, 1) }).map(({ path }) => path)).toEqual([
      ['circuits', 'b'],
    ]);
  });

  it('that are the same do not differ, whatever the order of their keys', () => {
    const turned = Object.fromEntries(Object.entries(base).reverse()) as Job;
    expect(differences(base, turned)).toEqual([]);
  });
});

describe('a merge', () => {
  it('takes what only one side changed, and asks for what both did', () => {
    const mine = withCircuit(base, 'a', { pump: { currentA: 4 }, note: 'mine' });
    const theirs = withCircuit(base, 'a', { pump: { currentA: 6 }, manual: 'momentary' });
    const merged = mergeJobs(base, mine, theirs, () => 'theirs');
    expect(merged.conflicts).toEqual([{ path: ['circuits', 'a', 'pump', 'currentA'], mine: 4, theirs: 6 }]);
    expect((merged.job as Job).circuits[0]).toMatchObject({ note: 'mine', manual: 'momentary', pump: { currentA: 6 } });
    expect((mergeJobs(base, mine, theirs, () => 'mine').job as Job).circuits[0]?.pump.currentA).toBe(4);
  });

  it('keeps a circuit that one side added and drops one that the other removed untouched', () => {
    const mine = { ...base, circuits: [...base.circuits, newCircuit('c', 'New', 'plain-switch', 'house')] };
    const theirs = { ...base, circuits: base.circuits.slice(0, 1) };
    const merged = mergeJobs(base, mine, theirs, () => 'mine').job as Job;
    expect(merged.circuits.map(({ id }) => id)).toEqual(['a', 'c']);
  });

  it('asks when one side removed what the other changed', () => {
    const mine = withCircuit(base, 'b', { note: 'still needed' });
    const theirs = { ...base, circuits: base.circuits.slice(0, 1) };
    const merged = mergeJobs(base, mine, theirs, () => 'mine');
    expect(merged.conflicts.map(({ path }) => path)).toEqual([['circuits', 'b']]);
    expect((merged.job as Job).circuits).toHaveLength(2);
  });

  const changed = fc
    .record({
      name: fc.constantFrom('Tern', 'Gull', 'Auk'),
      amps: fc.option(fc.constantFrom(3, 4, 5), { nil: undefined }),
      note: fc.option(fc.constantFrom('x', 'y'), { nil: undefined }),
    })
    .map(({ name, amps, note }): Job => {
      const job = withCircuit(base, 'a', {
        pump: amps === undefined ? {} : { currentA: amps },
        ...(note ? { note } : {}),
      });
      return { ...job, boat: { ...job.boat, name } };
    });

  it('of a side that changed nothing is the other side, and of two alike is either', () => {
    fc.assert(
      fc.property(changed, (other) => {
        expect(differences(mergeJobs(base, base, other, () => 'mine').job as Job, other)).toEqual([]);
        expect(differences(mergeJobs(base, other, base, () => 'mine').job as Job, other)).toEqual([]);
        expect(mergeJobs(base, other, other, () => 'mine').conflicts).toEqual([]);
      }),
    );
  });

  it('holds every value of one side or the other, never a third', () => {
    fc.assert(
      fc.property(changed, changed, fc.constantFrom('mine' as const, 'theirs' as const), (mine, theirs, side) => {
        const merged = mergeJobs(base, mine, theirs, () => side).job as Job;
        for (const { path, before } of differences(merged, mine)) {
          const there = differences(merged, theirs).some((other) => other.path.join() === path.join());
          expect(there && before !== undefined).toBe(false);
        }
      }),
    );
  });
});

describe('a figure that looks mistaken', () => {
  const circuit = (change: Partial<Circuit>): Circuit => ({
    ...newCircuit('a', 'Main', 'plain-switch', 'house'),
    ...change,
  });
  const words = (change: Partial<Circuit>, hullM?: number) =>
    doubtsOf(circuit(change), hullM).map(({ message }) => message);

  it('is spoken of: gallons for litres, amperes off by ten, feet for metres', () => {
    expect(words({ pump: { currentA: 4.6, openFlowLPerH: 800 } })[0]).toContain(
      'Does the label say gallons? Then it is 3028\u00a0L/h.',
    );
    expect(words({ pump: { currentA: 46, openFlowLPerH: 3000 } })[0]).toContain('Is it 4.6 A?');
    expect(words({ pump: { currentA: 0.46, openFlowLPerH: 3000 } })[0]).toContain('Is it 4.6 A?');
    expect(words({ pump: { currentA: 4.6, shutOffHeadM: 14 } })[0]).toContain('Then it is 4.3\u00a0m.');
    const legs = { sourceToPanel: { lengthM: 18 }, panelToBilge: {}, bilgeToNegative: {} };
    expect(words({ legs }, 6.1)[0]).toContain('Was it measured in feet? Then it is 5.49\u00a0m.');
    expect(words({ legs })).toEqual([]);
  });

  it('is not suspected in what the catalogue and the demo boats have', () => {
    expect(words({ pump: { currentA: 2.8, openFlowLPerH: 1900, shutOffHeadM: 3 } })).toEqual([]);
    expect(words({ pump: { currentA: 15.5, openFlowLPerH: 14000, shutOffHeadM: 6 } })).toEqual([]);
  });
});
