import { assess } from '../assess';
import type { Job } from '../job';
import type { StockChange } from '../wire';
import { buildList, pieces } from './buildList';
import { assessedIn, jobWith } from './build.fixture';
import { yardOrder, type AssessedBoat } from './openJobs';
import { stockOf } from './stockLedger';

const boat = (job: Job): AssessedBoat => ({ job, circuits: assess(job) });
const begun = (job: Job, count = 1): Job => {
  const { steps } = buildList(job, assessedIn(job));
  const marks = Object.fromEntries(steps.slice(0, count).map(({ id }) => [id, { at: '2026-05-01T08:00:00.000Z' }]));
  return { ...job, circuits: job.circuits.map((one) => ({ ...one, steps: marks })) };
};
const renamed = (job: Job, id: string, name: string): Job => ({ ...job, boat: { ...job.boat, id, name } });
const other = renamed(jobWith('plain-switch'), '6d1f0f6e-0d5c-4a55-9a0e-000000000001', 'Dunlin');
const tern = jobWith('three-way-float');
const stock = (...changes: readonly StockChange[]) =>
  stockOf(
    changes.map((change, at) => ({
      id: `0190a000-0000-7000-8000-${String(at).padStart(12, '0')}`,
      at: '2026-05-01T08:00:00.000Z',
      by: '',
      change,
    })),
  );
const none = stock();

describe('what is missing over all open jobs', () => {
  it('is of the circuits that were begun and are not done, or of all that are sized', () => {
    const { steps } = buildList(tern, assessedIn(tern));
    const ids = (job: Job, which: 'begun' | 'all') => yardOrder([boat(job)], none, which).jobs.length;
    expect([ids(tern, 'begun'), ids(tern, 'all')]).toEqual([0, 1]);
    expect([ids(begun(tern), 'begun'), ids(begun(tern), 'all')]).toEqual([1, 1]);
    expect([ids(begun(tern, steps.length - 1), 'begun'), ids(begun(tern, steps.length), 'begun')]).toEqual([1, 0]);
    expect(ids(begun(tern, steps.length), 'all')).toBe(0);
    const archived = { ...tern, boat: { ...tern.boat, archived: true } };
    expect(ids(archived, 'all')).toBe(0);
    expect(ids({ ...tern, circuits: tern.circuits.map((one) => ({ ...one, pump: {} })) }, 'all')).toBe(0);
  });

  it('sums the cable of all boats, a tenth on top, less what drums hold and what is cut', () => {
    const both = [boat(tern), boat(other)];
    const of = (job: Job) => {
      const list = buildList(job, assessedIn(job));
      return pieces(list.conductors, list.spares);
    };
    const all = [...of(tern), ...of(other)];
    const red = all.filter(({ size, colour }) => size === all[0]?.size && colour === 'red');
    const sumM = red.reduce((sum, { cutM }) => sum + cutM, 0);
    const line = (order: ReturnType<typeof yardOrder>) =>
      order.cable.find(({ size, colour }) => size === red[0]?.size && colour === 'red');
    expect(line(yardOrder(both, none, 'all'))).toMatchObject({
      pieces: red.length,
      metres: Number((Math.ceil(sumM * 1.1 * 10 - 1e-6) / 10).toFixed(1)),
    });
    const size = red[0]?.size ?? '';
    const drum = (metres: number): StockChange => ({
      kind: 'drum',
      drum: 'd',
      size,
      colour: 'red',
      insulationC: 105,
      metres,
      opened: null,
    });
    expect(line(yardOrder(both, stock(drum(sumM)), 'all'))).toBeUndefined();
    expect(line(yardOrder(both, stock(drum(sumM - 0.01)), 'all'))?.pieces).toBe(1);
    // A piece that is cut is wanted no more, and its metres are off the drum.
    const piece = red[0];
    const cutFor = { boatId: tern.boat.id, circuitId: 'main', piece: piece?.id ?? '', words: 'Tern' };
    const after = yardOrder(
      both,
      stock(drum(sumM), { kind: 'cut', drum: 'd', metres: piece?.cutM ?? 0, for: cutFor }),
      'all',
    );
    expect(line(after)).toBeUndefined();
    expect(after.jobs.map(({ cut }) => cut)).toEqual([1, 0]);
  });

  it('sums parts, less those on board and those in the stock', () => {
    const pump = (order: ReturnType<typeof yardOrder>) => order.parts.find(({ item }) => item === 'Bilge pump');
    const part = (quantity: number) => stock({ kind: 'part', item: 'Bilge pump', quantity, unit: 'piece' });
    const both = [boat(tern), boat(other)];
    expect(pump(yardOrder(both, none, 'all'))).toMatchObject({ needed: 2, missing: 2, boats: ['Tern', 'Dunlin'] });
    expect(pump(yardOrder(both, part(1), 'all'))).toMatchObject({ needed: 2, there: 1, missing: 1 });
    expect(pump(yardOrder(both, part(2), 'all'))).toBeUndefined();
    const aboard = {
      ...tern,
      circuits: tern.circuits.map((one) => ({ ...one, build: { aboard: { pump: true as const } } })),
    };
    expect(pump(yardOrder([boat(aboard), boat(other)], none, 'all'))).toMatchObject({ needed: 1, boats: ['Dunlin'] });
    expect(yardOrder(both, none, 'all').parts.some(({ item }) => item.startsWith('Cable'))).toBe(false);
  });
});
