import { ServerAway, ServerProblem } from '../data/api';
import { aboard as opened, id, job, later } from '../testing/oneBoat.fixture';
import { lastingTables, Tab, YardServer } from '../testing/world.fixture';
import { keepPicture, sendPicture, thinPictures, type MadePicture } from './pictureRows';
import { Pictures } from './Pictures';

const blob = (text: string) => new Blob([text], { type: 'image/jpeg' });
const hash = (letter: string) => letter.repeat(64);
const boat = { id, name: 'Tern' };
const made = (large: string, small: string) => ({
  large: { id: hash(large), blob: blob(large) },
  small: { id: hash(small), blob: blob(small) },
});

function picturesOf(tab: Tab, fetched: (asked: string) => Promise<Blob>, room = 0) {
  let now = Date.UTC(2026, 4, 1);
  const hand = () => ({ by: 'Wren', now: (now += 1000), newId: () => `change-${now}` });
  return new Pictures(
    tab.aboard,
    fetched,
    hand,
    (held) => `url:${held.size}`,
    async () => room,
  );
}

/** Hangs a picture on the boat as a page does. */
async function hang(tab: Tab, pictures: Pictures, picture: MadePicture) {
  await pictures.keep(picture);
  const now = tab.draft(id)?.job ?? job;
  const hung = { id: picture.large.id.slice(0, 8), photo: picture.large.id, small: picture.small.id };
  const photographs = [...(now.photographs ?? []), { ...hung, addedAt: '2026-05-01T09:30:00Z' }];
  tab.store.changeWith(id, { ...now, photographs }, (change, hand) => sendPicture(change, boat, picture, hand));
}

const nowhere = () => Promise.reject(new ServerAway());

describe('photographs on the device', () => {
  it('are sent small first, then whole, after what was typed', async () => {
    const { server, tab } = await opened();
    server.away = true;
    await hang(tab, picturesOf(tab, nowhere), made('a', 'b'));
    await later(10);
    // Both are on the device, or neither.
    expect(tab.aboard.waiting.map(({ kind }) => kind).sort()).toEqual(['photo', 'save']);
    expect(tab.aboard.boats.get(id)?.job.photographs).toHaveLength(1);
    await later(900);
    server.away = false;
    tab.store.saveAll();
    await later(300);
    expect(server.photos).toEqual([hash('b'), hash('a')]);
    expect(server.log).toEqual(['put', 'photo', 'photo']);
    expect(tab.aboard.waiting).toEqual([]);
    tab.close();
  });

  it('that the server does not take stay, with its reason, hold up nothing, and are tried again when asked', async () => {
    const { server, tab } = await opened();
    server.refusesPhoto = 'The photograph is no whole JPEG.';
    await hang(tab, picturesOf(tab, nowhere), made('a', 'b'));
    await later(1000);
    expect(tab.aboard.waiting).toMatchObject([
      { kind: 'photo', refused: 'The server did not take this: The photograph is no whole JPEG.' },
    ]);
    const now = tab.draft(id)?.job ?? job;
    tab.store.change(id, { ...now, boat: { ...now.boat, berth: 'Staithe 3' } });
    await later(1000);
    expect(server.find(id)?.job.boat.berth).toBe('Staithe 3');
    server.refusesPhoto = null;
    tab.store.retry(id);
    await later(50);
    expect(server.photos).toEqual([hash('b'), hash('a')]);
    expect(tab.aboard.waiting).toEqual([]);
    tab.close();
  });

  it('are shown from the device, else fetched once and kept; without a server that is said', async () => {
    const { tab } = await opened();
    const asked: string[] = [];
    const there = picturesOf(tab, async (photo) => {
      asked.push(photo);
      return blob('whole');
    });
    await Promise.all([there.show(hash('a'), false), there.show(hash('a'), false)]);
    expect(await there.show(hash('a'), false)).toEqual({ kind: 'here', url: 'url:5' });
    expect(asked).toEqual([hash('a')]);
    const away = picturesOf(tab, nowhere);
    expect(await away.show(hash('a'), false)).toEqual({ kind: 'here', url: 'url:5' });
    expect(await away.show(hash('c'), false)).toEqual({ kind: 'away' });
    const gone = picturesOf(tab, () => Promise.reject(new ServerProblem(404, 'no-such-photo', 'None.')));
    expect(await gone.show(hash('c'), false)).toEqual({ kind: 'missing' });
    tab.close();
  });

  it('of every boat here come small by themselves, and those that are here are not asked for again', async () => {
    const { server, tab } = await opened();
    const hung = { photo: hash('a'), small: hash('b'), addedAt: '2026-05-01T09:30:00Z' };
    server.write({
      ...job,
      photographs: [
        { id: 'one', ...hung },
        { id: 'two', ...hung, small: hash('d') },
      ],
    });
    await later(50);
    const asked: string[] = [];
    const pictures = picturesOf(tab, async (photo) => {
      asked.push(photo);
      return blob('small');
    });
    await pictures.bringSmall();
    await pictures.bringSmall();
    expect(asked.sort()).toEqual([hash('b'), hash('d')]);
    expect([...(await tab.aboard.photoIds())].sort()).toEqual([hash('b'), hash('d')]);
    tab.close();
  });

  it('are thinned whole and oldest first, never small ones and never what waits', async () => {
    const { tab } = await opened();
    const at = (day: number) => Date.UTC(2026, 4, day);
    await tab.aboard.change(async (change) => {
      for (const [letter, day] of [
        ['a', 3],
        ['b', 1],
        ['c', 2],
      ] as const)
        await change.photos.put({ id: hash(letter), blob: blob(letter), at: at(day), small: false });
      await change.photos.put({ id: hash('e'), blob: blob('e'), at: at(1), small: true });
      await keepPicture(change, made('f', '9'), at(0));
      await sendPicture(change, boat, made('f', '9'), { by: '', now: at(0), newId: () => 'change-1' });
      await thinPictures(change, 2);
    });
    const left = new Set(await tab.aboard.photoIds());
    expect([...left].sort()).toEqual([hash('9'), hash('a'), hash('c'), hash('e'), hash('f')]);
    tab.close();
  });

  it('that find no room are refused whole: nothing waits that could not be sent, and the boats stay on the device', async () => {
    const tables = lastingTables();
    const tab = await new Tab(new YardServer(), tables).open(false);
    const pictures = picturesOf(tab, nowhere);
    tables.full = true;
    await expect(pictures.keep(made('a', 'b'))).rejects.toThrow('No room');
    expect([tab.aboard.waiting, tab.aboard.lasting]).toEqual([[], true]);
  });
});
