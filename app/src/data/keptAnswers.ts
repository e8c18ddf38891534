import { JOB_VERSION } from '@harbor-latch/core/job/index';
import { experimental_createQueryPersister as createPersister } from '@tanstack/query-persist-client-core';
import { QueryClient } from '@tanstack/react-query';
import { openDB } from 'idb';

const DATABASE = 'latch-answers';
const DAYS_KEPT = 30;

/** The server's answers on this device; none where the browser gives no room. */
const answers = (): Promise<Awaited<ReturnType<typeof open>> | null> => (opened ??= open().catch(() => null));
let opened: Promise<Awaited<ReturnType<typeof open>> | null> | undefined;

function open() {
  return openDB<{ answers: { key: string; value: string } }>(DATABASE, 1, {
    upgrade: (fresh) => void fresh.createObjectStore('answers'),
  });
}

const persister = createPersister<string>({
  storage: {
    getItem: async (key) => (await answers())?.get('answers', key),
    setItem: async (key, text) => (await answers())?.put('answers', text, key),
    removeItem: async (key) => void (await (await answers())?.delete('answers', key)),
    entries: async () => {
      const there = await answers();
      const keys = (await there?.getAllKeys('answers')) ?? [];
      const texts = (await there?.getAll('answers')) ?? [];
      return keys.map((key, index): [string, string] => [key, texts[index] ?? '']);
    },
  },
  maxAge: DAYS_KEPT * 24 * 3600 * 1000,
  buster: String(JOB_VERSION),
});

/** Asks the server, and keeps what it said of versions on this device: that is answered without a signal too. */
export function makeQueryClient(): QueryClient {
  const client = new QueryClient();
  const { persisterFn } = persister;
  for (const key of ['versions', 'version']) client.setQueryDefaults([key], { persister: persisterFn });
  return client;
}

/** Lets answers go that are too old, or of another version. */
export const letOldAnswersGo = (): Promise<void> => persister.persisterGc();
