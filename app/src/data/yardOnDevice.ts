import { createContext, useContext } from 'react';
import { v7 } from 'uuid';
import { Aboard } from '../device/Aboard';
import { carryOver, leaveBehind, takeBack, type Unread } from '../device/carryOver';
import type { Hand } from '../device/changes';
import { Feed } from '../device/Feed';
import { Pictures } from '../device/Pictures';
import { shareReach } from '../device/reach';
import { Sender } from '../device/Sender';
import { memoryTables, openTables, type Tables } from '../device/tables';
import {
  changesSince,
  deleteBoat,
  listenToServer,
  pictureOf,
  putAside,
  putBoat,
  putPhoto,
  putRecords,
  putStock,
  someBoats,
} from './api';
import { DraftStore } from './DraftStore';
import { readSettings } from './settings';

const DATABASE = 'latch';
const LOCK = 'latch-sender';

/** The yard as this device has it: what is aboard, what goes out, what comes in, and the pages' view of it. */
export interface YardOnDevice {
  readonly aboard: Aboard;
  readonly sender: Sender;
  readonly feed: Feed;
  readonly drafts: DraftStore;
  readonly pictures: Pictures;
  /** What an earlier release kept and nobody can read. */
  readonly unread: () => readonly Unread[];
}

const hand = (): Hand => ({ by: readSettings().person, now: Date.now(), newId: () => v7() });

/** Tables that are being opened. */
function opening(tables: Promise<Tables>): Tables {
  let there: Tables | undefined;
  void tables.then((opened) => (there = opened));
  return {
    get lasting() {
      return there?.lasting ?? true;
    },
    first: async () => (await tables).first(),
    read: async () => (await tables).read(),
    photo: async (id) => (await tables).photo(id),
    photoIds: async () => (await tables).photoIds(),
    records: async (boat) => (await tables).records(boat),
    change: async (work) => (await tables).change(work),
  };
}

/** Opens the yard on this device and keeps it in step with the server; of several tabs one does. */
export function openYard(): YardOnDevice {
  const tables = openTables(DATABASE, () => undefined).catch(() => memoryTables());
  const aboard = new Aboard(opening(tables), new BroadcastChannel(DATABASE));
  const feed: Feed = new Feed(
    aboard,
    { changes: changesSince, boats: someBoats, listen: listenToServer },
    Date.now,
    (reached) => {
      sender.heard(reached);
      if (reached) void pictures.bringSmall();
    },
  );
  const sender: Sender = new Sender(
    aboard,
    { put: putBoat, remove: deleteBoat, aside: putAside, photo: putPhoto, stock: putStock, records: putRecords },
    hand,
  );
  const drafts = new DraftStore(aboard, sender, hand);
  const pictures = new Pictures(aboard, pictureOf, hand, (blob) => URL.createObjectURL(blob), roomTaken);
  let unread: readonly Unread[] = [];
  const now = () => {
    sender.now();
    void feed.ask();
  };
  const begin = async () => {
    // Before anything is shown: a field begins with what was typed in it.
    unread = await carryOver(window.localStorage, aboard, hand()).catch(() => []);
    await aboard.read();
    // Whichever tab has the lock sends and listens; when it closes, the next one does.
    const lead = () => {
      sender.start();
      feed.start();
      reach.lead();
    };
    const reach = shareReach(aboard, feed, sender);
    aboard.hear((message) => (message === 'send' ? now() : undefined));
    window.addEventListener('online', now);
    document.addEventListener('visibilitychange', () => (document.visibilityState === 'visible' ? now() : undefined));
    window.addEventListener('pagehide', () => {
      const unkept = drafts.unkept();
      leaveBehind(window.localStorage, unkept);
      // A page that is shown again has kept it by then.
      window.addEventListener(
        'pageshow',
        () =>
          takeBack(
            window.localStorage,
            unkept.map(({ id }) => id),
          ),
        { once: true },
      );
    });
    void feed.ask();
    // Asked for, never relied on: what the browser may throw away under pressure is on the server too.
    if ('storage' in navigator) void navigator.storage.persist().catch(() => false);
    if ('locks' in navigator)
      await navigator.locks.request(LOCK, () => {
        lead();
        return new Promise<never>(() => undefined);
      });
    else lead();
  };
  void begin();
  return { aboard, sender, feed, drafts, pictures, unread: () => unread };
}

/** Share of the room on this device that is taken; nought where the browser does not say. */
async function roomTaken(): Promise<number> {
  const { usage = 0, quota = 0 } = (await navigator.storage?.estimate().catch(() => null)) ?? {};
  return quota > 0 ? usage / quota : 0;
}

export const YardContext = createContext<YardOnDevice | null>(null);

/** The yard on this device. @throws outside its provider */
export function useYardOnDevice(): YardOnDevice {
  const yard = useContext(YardContext);
  if (!yard) throw new Error('No yard above this component.');
  return yard;
}
