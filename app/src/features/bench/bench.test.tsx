import { assess } from '@harbor-latch/core/assess/index';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import { boatId, boatWith, Page, storeWith } from '../../testing/page.fixture';
import { roomOf } from '../../ui/room';
import { BenchStation } from './BenchStation';

let page: Page;
afterEach(() => page.close());

/** The bench of a boat's one circuit; what it changes is kept in the boat. Each test has a circuit of its own. */
function bench(change: Partial<Circuit> & { readonly id: string }): Page {
  const store = storeWith(boatWith(change));
  page = new Page(store);
  return page.show(({ job }) => {
    const [assessed] = assess(job);
    if (!assessed || assessed.status === 'incomplete') throw new Error('not known');
    const keep = (circuit: Circuit) => store.replace(boatId, { ...job, circuits: [circuit] });
    return <BenchStation job={job} assessed={assessed} room={roomOf(390, 844)} onCircuit={keep} />;
  });
}

const circuitOf = (job: Job): Circuit | undefined => job.circuits[0];

describe('the bench', () => {
  it('says in words what the circuit does as switch, water and fuse are moved, and goes back step by step', async () => {
    bench({ id: 'steps', panel: { light: 'led' } });
    expect(page.text).toContain('Pump standing. Running light dark.');
    await page.press('Auto');
    await page.press('High');
    expect(page.text).toContain('Pump running. Running light lit.');
    await page.unfold('Fuses and isolators');
    await page.press('Pulled');
    expect(page.text).toContain('Pump standing. Running light dark.');
    await page.press('Undo on the bench');
    expect(page.text).toContain('Pump running.');
    await page.press('Reset the bench');
    expect(page.text).toContain('Pump standing.');
  });

  it('is as it was left when one comes back to it', async () => {
    bench({ id: 'left' });
    await page.press('Manual');
    page.close();
    bench({ id: 'left' });
    expect(page.text).toContain('Pump running.');
  });

  it('lets a fuse open under what it carries, after saying how long it holds', async () => {
    bench({ id: 'locked' });
    await page.press('Manual');
    await page.press('Faults');
    await page.press('Rotor locked');
    await page.press('Pump');
    expect(page.text).toMatch(/Fuse, 7.5.A, carries [\d.]+.A: it opens after [\d.]+.s to [\d.]+.s/);
    await page.press('Let Fuse open');
    expect(page.text).toContain('Pump standing.');
    await page.press('Mend: Pump: rotor locked');
    expect(page.text).toContain('Nothing is broken.');
  });

  it('says of manual and auto swapped what that does, with every tool in hand', async () => {
    bench({ id: 'swapped' });
    await page.press('Faults');
    await page.press('Two swapped at the panel');
    await page.press('Manual positive and Auto positive');
    for (const tool of ['Try', 'Meter', 'Faults', 'Table']) {
      await page.press(tool);
      expect(page.text).toContain('Manual positive and Auto positive: swapped at the panel');
      expect(page.text).toContain('On auto it runs with or without water, until the battery is flat');
    }
    expect(page.text).toContain('2 of 6 otherwise than planned');
    expect(page.text).toContain('Changed. It should be: standing');
  });

  it('says the same of wiring found so, and takes it back to plan', async () => {
    bench({ id: 'found-swapped' });
    await page.press('Rewire');
    await page.press('Manual positive');
    await page.press('Swap with another');
    await page.pressIn(page.labelled('Swap Manual positive with'), 'Auto positive');
    expect(circuitOf(page.job)?.rewired).toEqual({
      moved: { manual: { from: 'switch.auto' }, auto: { from: 'switch.manual' } },
    });
    expect(page.text).toContain('On manual it runs only while the water is high.');
    await page.press('Back to plan');
    expect(page.text).not.toContain('On manual it runs only');
  });

  it('sets the computed table beside what is expected, and keeps that with the boat', async () => {
    bench({ id: 'table' });
    await page.press('Table');
    expect(page.text).toContain('Auto, float uprunning');
    await page.press('Compare with what I expect');
    const row = page.labelled('What I expect with Off, float down');
    await page.pressIn(row, 'Runs');
    expect(page.text).toContain('1 of 1 compared is not as you expect.');
    expect(circuitOf(page.job)?.expects).toEqual({ 'switch=off float=down': 'runs' });
  });

  it('rewires: a conductor taken off changes what the circuit does, and goes back to plan', async () => {
    bench({ id: 'rewired' });
    await page.press('Rewire');
    expect(page.text).toContain('Wired as planned.');
    await page.press('Auto positive');
    await page.press('Take it off');
    expect(page.text).toContain('Auto positive: not there.');
    await page.press('Table');
    expect(page.text).toContain('Auto, float upstanding');
    await page.press('Rewire');
    await page.press('Back to plan');
    expect(circuitOf(page.job)?.rewired).toBeUndefined();
  });

  it('moves the end of a conductor to a terminal chosen by name', async () => {
    bench({ id: 'moved' });
    await page.press('Rewire');
    await page.press('Manual positive');
    await page.press('Move its start');
    await page.pressIn(page.labelled('Terminal for Manual positive'), 'Manual / off / auto, auto');
    expect(circuitOf(page.job)?.rewired).toEqual({ moved: { manual: { from: 'switch.auto' } } });
    expect(page.text).toContain('moved from Manual / off / auto, manual to Manual / off / auto, auto.');
  });
});
