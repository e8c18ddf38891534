import { readJob } from '@harbor-latch/core/file/index';
import type { Job } from '@harbor-latch/core/job/index';
import { randomUUID } from 'node:crypto';
import { boatWith, Page, storeWith } from '../../testing/page.fixture';
import { WaterDetails } from './water/WaterDetails';
import { BoatDetails } from './BoatDetails';

let page: Page;
beforeAll(() => Object.defineProperty(globalThis, 'crypto', { value: { randomUUID }, configurable: true }));
afterEach(() => {
  // Whatever was done, the boat is one that can be saved.
  const read = readJob(JSON.parse(JSON.stringify(page.job)));
  expect(read.ok ? [] : read.problems).toEqual([]);
  page.close();
});

function details(job: Job): Page {
  page = new Page(storeWith(job));
  return page.show((draft) => <BoatDetails draft={draft} />);
}

function water(job: Job = boatWith(), units: 'metric' | 'us' = 'metric'): Page {
  page = new Page(storeWith(job));
  return page.show((draft) => <WaterDetails draft={draft} />, { units });
}

describe('a boat’s details', () => {
  it('are summed up in a line that grows with what is known', async () => {
    details(boatWith());
    expect(page.text).toContain('Name, craft, length, owner, berth');
    await page.unfold('About the boat');
    await page.fill('Craft', 'Steel dredger');
    await page.fill('Hull length, in m', '13.2');
    await page.choose('Petrol or gas on board', 'Yes');
    expect(page.text).toContain('Steel dredger · 13.2\u00a0m · petrol or gas on board');
    expect(page.job.boat).toMatchObject({ craft: 'Steel dredger', hullLengthM: 13.2, petrol: true });
    await page.fill('Craft', '');
    expect(page.job.boat).not.toHaveProperty('craft');
  });

  it('take further batteries, and let one go that feeds nothing', async () => {
    details(boatWith());
    expect(page.text).not.toContain('Remove this battery');
    await page.pressText('Add a battery');
    expect(page.job.batteries.map(({ name }) => name)).toEqual(['House battery', 'Battery 2']);
    await page.unfold('House battery');
    expect(page.text).toContain('Feeds Main.');
    await page.unfold('Battery 2');
    await page.choose('Battery', 'LiFePO4');
    await page.pressText('Remove this battery');
    expect(page.job.batteries).toHaveLength(1);
  });
});

describe('a boat’s water', () => {
  it('begins with typical figures for its length, each of them said to be an estimate', async () => {
    const job = boatWith();
    water({ ...job, boat: { ...job.boat, hullLengthM: 6 } });
    expect(page.text).toContain('No well surveyed yet');
    await page.pressText('Add a well');
    expect(page.job.wells?.[0]).toMatchObject({ name: 'Well 1', guessed: true });
    expect(page.job.poses).toHaveLength(4);
    expect(page.job.ingress?.every(({ guessed }) => guessed)).toBe(true);
    expect(page.text).toContain('estimate');
  });

  it('takes a well’s measures, whatever its section, and says when they were measured', async () => {
    water();
    await page.pressText('Add a well');
    await page.unfold('Well 1');
    await page.fill('Name of the well', 'Engine well');
    expect(page.job.wells?.[0]?.name).toBe('Engine well');
    for (const section of ['Box', 'V', 'Round', 'Table']) {
      await page.choose('Section across', section);
      expect(page.text).not.toMatch(/NaN|undefined/);
    }
    expect(page.job.wells?.[0]?.section.kind).toBe('table');
    expect(page.job.wells?.[0]?.guessed).toBe(true);
    await page.pressText('These are measured now');
    expect(page.job.wells?.[0]?.guessed).not.toBe(true);
  });

  it('lets a well go that nothing stands in, with what came in there', async () => {
    water();
    await page.pressText('Add a well');
    await page.pressText('Add a well');
    await page.unfold('Well 2');
    await page.pressText('Remove this well');
    expect(page.job.wells?.map(({ name }) => name)).toEqual(['Well 1']);
  });

  it('keeps a well that a circuit stands in', async () => {
    const job = boatWith({ water: { wellId: 'bilge' } });
    const well = { id: 'bilge', name: 'Sump', aftM: -0.5, foreM: 0.5, section: { kind: 'box' as const, widthM: 0.4 } };
    water({ ...job, wells: [well] });
    await page.unfold('Sump');
    expect(page.text).toContain('In it: Main.');
    expect(page.text).not.toContain('Remove this well');
  });

  it('takes poses by trim and heel, either way', async () => {
    water();
    await page.pressText('Add a well');
    await page.pressText('Add a pose');
    await page.unfold('Another pose');
    await page.fill('Name of the pose', 'Hauling');
    await page.fill('Trim, bow down positive, in °', '-2.5');
    await page.fill('Heel, starboard down positive, in °', '12');
    expect(page.job.poses?.[4]).toMatchObject({ name: 'Hauling', trimDeg: -2.5, heelDeg: 12 });
    await page.pressText('Remove this pose');
    expect(page.job.poses).toHaveLength(4);
  });

  it('takes every kind of water that comes in, and several at once', async () => {
    water();
    await page.pressText('Add a well');
    await page.pressText('Add a way in');
    await page.unfold('Rain');
    for (const kind of ['Steady', 'Drip', 'Hole', 'By the clock', 'Rain']) {
      await page.choose('Kind of source 1', kind);
      expect(page.text).not.toMatch(/NaN|undefined/);
    }
    await page.pressText('And another source');
    expect(page.job.ingress?.[2]?.sources).toHaveLength(2);
    await page.choose('Kind of source 2', 'Hole');
    await page.press('Remove source 1');
    expect(page.job.ingress?.[2]?.sources.map(({ kind }) => kind)).toEqual(['opening']);
  });

  it('speaks feet and inches where the yard does', async () => {
    water(boatWith(), 'us');
    await page.pressText('Add a well');
    expect(page.text).toMatch(/[\d.]+.(ft|in)\b/);
    expect(page.text).not.toMatch(/\d\s(m|mm)\b/);
  });
});
