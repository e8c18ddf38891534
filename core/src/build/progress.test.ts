import { built } from './build.fixture';
import { stepsNow, tickedAhead } from './progress';
import { scheduleLeft } from './scheduleLeft';

const { steps } = built('three-way-float', { outlet: { threadM: 0.04 } });
const at = (hour: number) => new Date(Date.UTC(2026, 4, 1, hour)).toISOString();
const ms = (hour: number) => Date.UTC(2026, 4, 1, hour);
const kinds = (marks: Parameters<typeof stepsNow>[1], hour: number, temperatureC = 20) =>
  Object.fromEntries(stepsNow(steps, marks, ms(hour), temperatureC).map(({ step, standing }) => [step.id, standing]));

describe('steps at a time', () => {
  const before = { 'bench-test': { at: at(8) }, 'dry-fit': { at: at(9) }, 'outlet-hole': { at: at(10) } };
  const bedded = { ...before, 'skin-fitting': { at: at(11), by: 'Wren' } };

  it('wait for what they need, by name', () => {
    expect(kinds({}, 8)).toMatchObject({
      'bench-test': { kind: 'open' },
      'dry-fit': { kind: 'waits', for: ['bench-test'] },
    });
    expect(kinds(before, 10)).toMatchObject({ 'skin-fitting': { kind: 'open' }, bases: { kind: 'open' } });
  });

  it('wait for the clock to the very moment, and longer in the cold', () => {
    // Polyurethane takes a load after 24 h.
    expect(kinds(bedded, 11 + 24 - 0.001)['hose']).toMatchObject({
      kind: 'cures',
      untilMs: ms(35),
      what: 'Polyurethane takes a load',
    });
    expect(kinds(bedded, 11 + 24)['hose']).toEqual({ kind: 'open' });
    expect(kinds(bedded, 11 + 24, 10)['hose']).toMatchObject({ kind: 'cures', untilMs: ms(11 + 48) });
    expect(kinds(bedded, 11 + 48, 10)['hose']).toEqual({ kind: 'open' });
  });

  it('that start no clock hold nothing up, even if they were ticked a moment ahead', () => {
    expect(kinds({ 'bench-test': { at: at(8) } }, 7)['dry-fit']).toEqual({ kind: 'open' });
  });

  it('left out with a reason hold nothing up, and start no clock', () => {
    const skipped = { ...before, 'skin-fitting': { at: at(11), skipped: 'There already.' } };
    expect(kinds(skipped, 11)).toMatchObject({
      'skin-fitting': { kind: 'skipped', reason: 'There already.' },
      hose: { kind: 'open' },
    });
  });

  it('ticked before what they need, or in the future, stay ticked', () => {
    const odd = { launch: { at: at(9) }, 'skin-fitting': { at: at(30) } };
    expect(kinds(odd, 10)).toMatchObject({ launch: { kind: 'done' }, 'skin-fitting': { kind: 'done' } });
    expect(stepsNow(steps, odd, ms(10), 20).find(({ step }) => step.id === 'skin-fitting')?.cureEndMs).toBe(ms(54));
  });
});

describe('a clock that was set back', () => {
  const ticked = { 'bench-test': { at: at(9) }, 'dry-fit': { at: at(10) } };
  const ahead = (minutesBefore: number) => tickedAhead(steps, ticked, ms(10) - minutesBefore * 60_000)?.step.id;

  it('is told from five minutes on, by the step that was ticked last', () => {
    expect([ahead(5), ahead(5.001), ahead(0)]).toEqual([undefined, 'dry-fit', undefined]);
    expect(ahead(120)).toBe('dry-fit');
    expect(tickedAhead(steps, {}, ms(8))).toBeNull();
  });
});

describe('what is left', () => {
  const left = (marks: Parameters<typeof stepsNow>[1], hour: number, temperatureC = 20) =>
    scheduleLeft(steps, marks, ms(hour), temperatureC, 1);

  it('is all of it before anything is done, and nothing once everything is', () => {
    expect(left({}, 8).steps).toHaveLength(steps.length);
    const all = Object.fromEntries(steps.map(({ id }) => [id, { at: at(1) }]));
    expect(left(all, 24 * 30)).toEqual({ steps: [], minutes: 0, exact: true });
  });

  it('waits for the clocks that run on, and for what is left of them only', () => {
    const done = {
      'bench-test': { at: at(8) },
      'dry-fit': { at: at(9) },
      'outlet-hole': { at: at(10) },
      'skin-fitting': { at: at(11) },
    };
    const hose = (hour: number, temperatureC?: number) =>
      left(done, hour, temperatureC).steps.find(({ id }) => id === 'hose')?.fromMin;
    // 24 h after 11 o'clock: at 31 o'clock there are 4 h to go.
    expect(hose(31)).toBe(240);
    expect(hose(31, 10)).toBe(240 + 24 * 60);
    expect(hose(36)).toBeLessThan(240);
    expect(left(done, 31).steps.map(({ id }) => id)).not.toContain('skin-fitting');
    const cured = 11 + 168;
    expect(left(done, 31).minutes).toBeGreaterThanOrEqual((cured - 31) * 60);
  });
});
