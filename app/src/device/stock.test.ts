import { stockOf } from '@harbor-latch/core/build/stockLedger';
import type { StockChange } from '@harbor-latch/core/wire/index';
import { Channels, lastingTables, Tab, YardServer } from '../testing/world.fixture';
import type { Hand } from './changes';
import { dropStock, noteStock } from './stockRows';

const later = () => new Promise((done) => setTimeout(done, 30));
let count = 0;
const hand = (by: string): Hand => ({
  by,
  now: Date.now(),
  newId: () => `0190a000-0000-7000-8000-${String((count += 1)).padStart(12, '0')}`,
});
const note = (tab: Tab, what: StockChange, by = 'Wren') =>
  tab.aboard.change((change) => noteStock(change, what, hand(by)));
const drum: StockChange = {
  kind: 'drum',
  drum: 'red',
  size: '10 AWG',
  colour: 'red',
  insulationC: 105,
  metres: 5,
  opened: null,
};
const cut: StockChange = { kind: 'cut', drum: 'red', metres: 3, for: null };
const tabs: Tab[] = [];
const open = async (server: YardServer, tables = lastingTables(), person = 'Wren') => {
  const tab = new Tab(server, tables, new Channels(), person);
  tabs.push(tab);
  return tab.open();
};
afterEach(() => tabs.splice(0).forEach((tab) => tab.close()));

describe('the stock on a device', () => {
  it('takes a cut without a signal, and sends it once there is one, though answers are lost', async () => {
    const server = new YardServer();
    const tables = lastingTables();
    const tab = await open(server, tables);
    server.away = true;
    await note(tab, drum);
    await note(tab, cut);
    expect(stockOf(tab.aboard.stock).drums[0]?.metres).toBe(2);
    await later();
    expect(tab.aboard.waiting.map(({ kind }) => kind)).toEqual(['stock', 'stock']);
    // Closed and opened again: it is all still there.
    tab.close();
    const again = await open(server, tables);
    expect(stockOf(again.aboard.stock).drums[0]?.metres).toBe(2);
    server.away = false;
    let lost = 1;
    server.loses = () => (lost-- > 0 ? 'answer' : 'nothing');
    again.sender.now();
    await later();
    again.sender.now();
    await later();
    expect(again.aboard.waiting).toEqual([]);
    expect(server.stock).toHaveLength(2);
  });

  it('two phones that cut the same metre are both told, as soon as they hear of each other', async () => {
    const server = new YardServer();
    const one = await open(server);
    await note(one, drum);
    await later();
    const two = await open(server, lastingTables(), 'Samphire');
    await later();
    server.away = true;
    await note(one, cut, 'Wren');
    await note(two, cut, 'Samphire');
    for (const tab of [one, two]) expect(stockOf(tab.aboard.stock).problems).toEqual([]);
    server.away = false;
    for (let round = 0; round < 3; round += 1) {
      for (const tab of [one, two]) {
        tab.sender.now();
        await tab.feed.ask();
      }
      await later();
    }
    for (const tab of [one, two]) {
      expect(stockOf(tab.aboard.stock).problems[0]?.message).toContain('1 m more was cut than the drum held');
      expect(stockOf(tab.aboard.stock).cuts).toHaveLength(2);
    }
  });

  it('keeps what the server refuses, with the reason, until it is tried again or given up', async () => {
    const server = new YardServer();
    const tab = await open(server);
    await later();
    server.refuses = 'No.';
    const id = await note(tab, drum);
    await later();
    expect(tab.aboard.waiting[0]).toMatchObject({ id, refused: 'The server did not take this: No.' });
    expect(tab.aboard.stock).toHaveLength(1);
    await tab.aboard.change((change) => dropStock(change, id));
    expect([tab.aboard.waiting, tab.aboard.stock]).toEqual([[], []]);
  });

  it('is as the server has it when the yard is read anew, but for what waits', async () => {
    const server = new YardServer();
    const tab = await open(server);
    await note(tab, drum);
    await later();
    server.away = true;
    await note(tab, cut);
    // A backup without the drum was put in place of the yard.
    server.stock.splice(0);
    server.feed = 'another';
    server.away = false;
    server.refuses = null;
    await tab.feed.ask();
    expect(tab.aboard.stock.some(({ change }) => change.kind === 'drum')).toBe(false);
    expect(tab.aboard.stock.some(({ change }) => change.kind === 'cut')).toBe(true);
  });
});
