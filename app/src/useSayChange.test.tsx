import { act, useEffect } from 'react';
import { boatId, boatWith, Page, storeWith } from './testing/page.fixture';
import { SaidProvider, useSay } from './ui/Said';
import { useSayChange } from './useSayChange';

let page: Page;
afterEach(() => page.close());

let hands: { readonly sayChange: ReturnType<typeof useSayChange>; readonly say: ReturnType<typeof useSay> };

/** Hands out what a page has, to be used from outside it. */
function Hands() {
  const [sayChange, say] = [useSayChange(), useSay()];
  useEffect(() => {
    hands = { sayChange, say };
  }, [sayChange, say]);
  return null;
}

const pumpOf = () => page.job.circuits[0]?.pump.currentA;
const withPump = (currentA: number) => ({ ...page.job, circuits: boatWith({ pump: { currentA } }).circuits });
async function doing(what: () => void): Promise<void> {
  await act(async () => what());
  await page.settle();
}

async function saidOfChange(): Promise<void> {
  page = new Page(storeWith(boatWith())).show(() => (
    <SaidProvider>
      <Hands />
    </SaidProvider>
  ));
  await doing(() => {
    page.store.replace(boatId, withPump(6));
    hands.sayChange(boatId, 'Pump changed');
  });
  expect(page.text).toContain('Pump changed');
}

describe('what is said of a change', () => {
  it('has a way back, and goes with it', async () => {
    await saidOfChange();
    await page.press('Undo');
    expect(pumpOf()).toBe(5);
    expect(page.text).not.toContain('Pump changed');
  });

  it('goes once the change was taken back elsewhere: its way back would take back another', async () => {
    await saidOfChange();
    await doing(() => page.store.undo(boatId));
    expect(pumpOf()).toBe(5);
    expect(page.text).not.toContain('Pump changed');
  });

  it('goes with the next change, which its way back would take back instead', async () => {
    await saidOfChange();
    await doing(() => page.store.change(boatId, withPump(7)));
    expect(page.text).not.toContain('Pump changed');
  });

  it('stays while something is typed that is no figure yet', async () => {
    await saidOfChange();
    await doing(() => page.store.type(boatId, 'circuits/0/pump/currentA', 'six'));
    expect(page.text).toContain('Pump changed');
  });

  it('takes nothing away that was said since', async () => {
    await saidOfChange();
    await doing(() => void hands.say('Something else'));
    await doing(() => page.store.undo(boatId));
    expect(page.text).toContain('Something else');
  });
});
