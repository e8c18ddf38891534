import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { readJobText } from '@harbor-latch/core/file/index';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import { expect, type APIRequestContext, type Page } from '@playwright/test';

/** A demo boat of the repository, under an id of its own. */
export function demoBoat(file: string, name: string): Job {
  const read = readJobText(readFileSync(new URL(`../examples/${file}.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problems[0].message);
  return { ...read.job, boat: { ...read.job.boat, id: randomUUID(), name } };
}

/** The addresses of a boat's first circuit. */
export function placesOf(job: Job) {
  const boat = `/boat/${job.boat.id}`;
  const circuit = `${boat}/${firstCircuit(job).id}`;
  return {
    boat,
    survey: `${circuit}/survey`,
    size: `${circuit}/size`,
    float: `${circuit}/float`,
    bench: `${circuit}/bench`,
    build: `${circuit}/build`,
    prove: `${circuit}/prove`,
    trace: `${circuit}/trace`,
    drawing: `${circuit}/drawing`,
  };
}

export function firstCircuit(job: Job): Circuit {
  const [circuit] = job.circuits;
  if (!circuit) throw new Error('The boat has no circuit.');
  return circuit;
}

export async function addBoat(request: APIRequestContext, job: Job): Promise<Job> {
  const answer = await request.put(`/api/boats/${job.boat.id}`, { data: job, headers: { 'If-None-Match': '*' } });
  expect(answer.status()).toBe(201);
  added.push(job.boat.id);
  return job;
}

/** Boats that the journey under way added by hand. */
const added: string[] = [];

/** Takes them away again: every page of a later journey would fetch them. */
export async function clearAway(request: APIRequestContext): Promise<void> {
  for (const id of added.splice(0)) {
    const answer = await request.get(`/api/boats/${id}`);
    if (!answer.ok()) continue;
    const { version } = (await answer.json()) as { version: number };
    await request.delete(`/api/boats/${id}`, { headers: { 'If-Match': `"${version}"` } });
  }
}

/** A boat as the server has her; waits until it has. */
export async function storedBoat(request: APIRequestContext, id: string): Promise<{ version: number; job: Job }> {
  const ask = () => request.get(`/api/boats/${id}`);
  await expect.poll(async () => (await ask()).status()).toBe(200);
  return (await (await ask()).json()) as { version: number; job: Job };
}

/** Waits until nothing is worked out beside the page any more. */
export async function workedOut(page: Page): Promise<void> {
  await expect(page.locator('[aria-busy="true"]').filter({ visible: true })).toHaveCount(0);
  await expect(page.getByText('Being worked out').filter({ visible: true })).toHaveCount(0);
}

/** Opens an address and waits until its title stands, and what is known of it. */
export async function open(page: Page, address: string, title: string | RegExp): Promise<void> {
  await page.goto(address);
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  await workedOut(page);
}

/** Has what lies outside the window laid out too, which the browser else leaves until it comes near. */
export async function layAllOut(page: Page): Promise<void> {
  await page.evaluate(() => {
    // Cards alone are left so.
    for (const element of document.querySelectorAll<HTMLElement>('[data-card]'))
      if (getComputedStyle(element).contentVisibility === 'auto') element.style.contentVisibility = 'visible';
  });
}

/** Goes to a station: on a phone by way of its place. */
export async function goTo(page: Page, station: string): Promise<void> {
  const tab = page.getByRole('tab', { name: new RegExp(`^${station}`) });
  if (!(await tab.first().isVisible())) await page.getByRole('tab', { name: 'Plan' }).click();
  await tab.first().click();
}

/** Opens a folded part of the survey. */
export async function unfold(page: Page, title: string): Promise<void> {
  await page
    .getByRole('button', { name: new RegExp(`^${title}: `), expanded: false })
    .filter({ visible: true })
    .click();
}

/** A user's hand: every touch and every key of a keyboard is counted. */
export class Hand {
  taps = 0;
  keys = 0;

  constructor(private readonly page: Page) {}

  async tap(role: 'button' | 'radio' | 'tab' | 'link', name: string | RegExp): Promise<void> {
    const target = this.page
      .getByRole(role, { name, ...(typeof name === 'string' ? { exact: true } : {}) })
      .filter({ visible: true });
    await target.first().tap();
    this.taps += 1;
  }

  /** Puts a figure into a field that is touched first, unless the keyboard is there already. */
  async type(label: string, text: string): Promise<void> {
    const field = this.page.getByLabel(label).filter({ visible: true });
    if (!(await field.evaluate((element) => element === document.activeElement))) {
      await field.tap();
      this.taps += 1;
    }
    await this.page.keyboard.type(text);
    this.keys += text.length;
  }
}

/** Opens the yard as it is before there is a boat; what is added is saved all the same. */
export async function openEmptyYard(page: Page): Promise<void> {
  const point = `${randomUUID()}.0.${randomUUID()}`;
  await page.route('**/api/changes*', (route) => {
    const whole = !new URL(route.request().url()).searchParams.has('after');
    return route.fulfill({ json: { whole, boats: 0, changes: [], next: point, more: false } });
  });
  await open(page, '/', 'Yard');
}
