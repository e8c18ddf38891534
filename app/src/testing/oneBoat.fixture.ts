import { newCircuit, newJob, type Job } from '@harbor-latch/core/job/index';
import { lastingTables, Tab, YardServer } from './world.fixture';

export const id = '6d1f0f6e-0d5c-4a55-9a0e-000000000000';
export const job: Job = {
  ...newJob({ boatId: id, batteryId: 'house' }, 'Tern'),
  circuits: [newCircuit('main', 'Main', 'three-way-float', 'house')],
};
export const [battery] = job.batteries as [Job['batteries'][number]];
export const named = (name: string, of: Job = job): Job => ({ ...of, boat: { ...of.boat, name } });
export const noted = (note: string, of: Job = job): Job => ({ ...of, boat: { ...of.boat, note } });
export const circuitNamed = (of: Job, name: string): Job => ({
  ...of,
  circuits: of.circuits.map((circuit) => ({ ...circuit, name })),
});

const open: Tab[] = [];
export const later = (ms: number) => jest.advanceTimersByTimeAsync(ms);

beforeEach(() => jest.useFakeTimers());
afterEach(() => {
  for (const tab of open.splice(0)) tab.close();
  jest.useRealTimers();
});

/** A tab that is closed after the test. */
export async function tabOf(...parts: ConstructorParameters<typeof Tab>): Promise<Tab> {
  const tab = new Tab(...parts);
  open.push(tab);
  return tab.open();
}

/** A tab beside another, which does not lead. */
export async function tabBeside(...parts: ConstructorParameters<typeof Tab>): Promise<Tab> {
  const tab = new Tab(...parts);
  open.push(tab);
  return tab.open(false);
}

/** A server with the boat, and a device that has her. */
export async function aboard(): Promise<{ server: YardServer; tab: Tab }> {
  const server = new YardServer();
  server.write(job);
  const tab = await tabOf(server, lastingTables());
  await later(10);
  expect(tab.draft(id)?.save.kind).toBe('saved');
  return { server, tab };
}
