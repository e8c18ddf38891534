import { newCircuit, newJob, type Circuit, type Job } from '@harbor-latch/core/job/index';
import { act, useSyncExternalStore, type ReactElement, type ReactNode } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { PaperProvider } from 'react-native-paper';
import { AssessmentsContext } from '../data/assessment';
import { Assessments } from '../data/Assessments';
import { DraftsContext } from '../data/boats';
import type { Draft } from '../data/draft';
import { DraftStore } from '../data/DraftStore';
import { Aboard } from '../device/Aboard';
import type { OnDevice } from '../device/rows';
import { Feed } from '../device/Feed';
import { Pictures } from '../device/Pictures';
import { YardContext, type YardOnDevice } from '../data/yardOnDevice';
import { Sender } from '../device/Sender';
import { memoryTables } from '../device/tables';
import { SettingsContext, type Settings } from '../data/settings';
import { lightTheme } from '../ui/theme';
import { AssessWork } from '../workers/assessWork';

// React’s test rendering is told that it is one.
Object.assign(globalThis, {
  IS_REACT_ACT_ENVIRONMENT: true,
  // No screen waits for its next frame here.
  requestAnimationFrame: (call: FrameRequestCallback) => setTimeout(() => call(performance.now()), 0),
  cancelAnimationFrame: (frame: number) => clearTimeout(frame),
});

export const boatId = '6d1f0f6e-0d5c-4a55-9a0e-000000000000';

/** A boat with one surveyed circuit. */
export function boatWith(change: Partial<Circuit> = {}): Job {
  const circuit: Circuit = {
    ...newCircuit('main', 'Main', 'three-way-float', 'house'),
    legs: { sourceToPanel: { lengthM: 3 }, panelToBilge: { lengthM: 5 }, bilgeToNegative: { lengthM: 5 } },
    pump: { currentA: 5 },
    ...change,
  };
  return { ...newJob({ boatId, batteryId: 'house' }, 'Tern'), circuits: [circuit] };
}

const OF_THE_PAST = Date.UTC(2026, 0, 1);

/** A store on a device of its own that holds a boat as the server does; nothing is sent. */
export function storeWith(job: Job): DraftStore {
  const there: OnDevice = {
    boats: [
      { id: boatId, job, base: job, basedOn: 1, typed: {}, rev: 1, trouble: null, removed: false, usedAt: OF_THE_PAST },
    ],
    lines: [],
    waiting: [],
    stock: [],
    feed: null,
  };
  const aboard = new Aboard(
    { ...memoryTables(there), lasting: true },
    { postMessage: () => undefined, addEventListener: () => undefined },
    there,
  );
  let count = 0;
  const hand = () => ({ by: 'Wren', now: OF_THE_PAST, newId: () => `change-${String((count += 1)).padStart(4, '0')}` });
  const away = () => Promise.reject(new Error('Nothing is sent here.'));
  const sender = new Sender(
    aboard,
    { put: away, remove: away, aside: away, photo: away, stock: away, records: away },
    hand,
  );
  const drafts = new DraftStore(aboard, sender, hand);
  const feed = new Feed(aboard, { changes: away, boats: away, listen: () => () => undefined }, () => OF_THE_PAST);
  const pictures = new Pictures(
    aboard,
    away,
    hand,
    () => '',
    async () => 0,
  );
  yards.set(drafts, { aboard, sender, feed, drafts, pictures, unread: () => [] });
  return drafts;
}

/** The yard on the device that a store shows. */
const yards = new WeakMap<DraftStore, YardOnDevice>();

const settings: Settings = {
  units: 'metric',
  theme: 'light',
  family: 'awg',
  rules: 'us',
  dropSchool: 'critical',
  textSize: 'usual',
  person: '',
};

/** A copy as it comes from a worker. */
function copied<T>(plain: T): T {
  return JSON.parse(JSON.stringify(plain)) as T;
}

/** Assessments made at once, and told as a worker would: as copies, a little later. */
function assessmentsAtOnce(working: Set<Promise<unknown>>): Assessments {
  const work = new AssessWork();
  const copyOf = async <T,>(answer: Promise<T>): Promise<T> => {
    working.add(answer);
    return copied(await answer.finally(() => working.delete(answer)));
  };
  return new Assessments({
    assessAll: async (...asked) => copied(work.assessAll(...asked)),
    summaries: async (...asked) => copied(work.summaries(...asked)),
    fixes: async (...asked) => copied(work.fixes(...asked)),
    alternatives: async (...asked) => copied(work.alternatives(...asked)),
    verdicts: (...asked) => copyOf(work.verdicts(...asked)),
    building: async (...asked) => copied(work.building(...asked)),
    yardOrder: async (...asked) => copied(work.yardOrder(...asked)),
    proving: async (...asked) => copied(work.proving(...asked)),
    trends: async (...asked) => copied(work.trends(...asked)),
    alarms: async (...asked) => copied(work.alarms(...asked)),
    touched: async (...asked) => copied(work.touched(...asked)),
    trace: {
      symptoms: async (...asked) => copied(work.trace.symptoms(...asked)),
      tracing: async (...asked) => copied(work.trace.tracing(...asked)),
      posts: async (...asked) => copied(work.trace.posts(...asked)),
      harness: async (...asked) => copied(work.trace.harness(...asked)),
      practiceBoat: async (...asked) => copied(work.trace.practiceBoat(...asked)),
      practiceRead: async (...asked) => copied(work.trace.practiceRead(...asked)),
      practiceResult: async (...asked) => copied(work.trace.practiceResult(...asked)),
      barePanel: async (...asked) => copied(work.trace.barePanel(...asked)),
      judged: async (...asked) => copied(work.trace.judged(...asked)),
    },
  });
}

/** Something shown in the browser's document, with what a person can do to it. */
export class Page {
  private readonly host = document.body.appendChild(document.createElement('div'));
  private readonly root: Root = createRoot(this.host);
  /** What is still being worked out in steps. */
  private readonly working = new Set<Promise<unknown>>();
  private readonly assessments = assessmentsAtOnce(this.working);

  constructor(readonly store: DraftStore) {}

  show(content: (draft: Draft) => ReactNode, part: Partial<Settings> = {}): this {
    act(() =>
      this.root.render(
        <SettingsContext.Provider value={{ settings: { ...settings, ...part }, change: () => undefined }}>
          <YardContext.Provider value={yards.get(this.store) ?? null}>
            <DraftsContext.Provider value={this.store}>
              <AssessmentsContext.Provider value={this.assessments}>
                <PaperProvider theme={lightTheme} settings={{ icon: () => null }}>
                  <Live store={this.store} content={content} />
                </PaperProvider>
              </AssessmentsContext.Provider>
            </DraftsContext.Provider>
          </YardContext.Provider>
        </SettingsContext.Provider>,
      ),
    );
    return this;
  }

  /** Waits until what is worked out beside the page has come. */
  async settle(): Promise<this> {
    // On a busy machine one wait may end before what the frame before it asked for has begun.
    for (let turn = 0; turn < 3; turn = this.working.size > 0 ? 0 : turn + 1)
      await act(async () => new Promise((resolve) => setTimeout(resolve, 4)));
    return this;
  }

  private async doing(what: () => void): Promise<void> {
    await act(async () => what());
    await this.settle();
  }

  get text(): string {
    return this.host.textContent ?? '';
  }

  get job(): Job {
    const draft = this.store.all().get(boatId);
    if (!draft) throw new Error('The boat is gone.');
    return draft.job;
  }

  /** The texts of everything that a selector finds. */
  texts(selector: string): string[] {
    return [...this.host.querySelectorAll(selector)].map((one) => one.textContent ?? '');
  }

  /** The labels of everything that a selector finds. */
  labels(selector: string): string[] {
    return [...this.host.querySelectorAll(selector)].flatMap((one) => one.getAttribute('aria-label') ?? []);
  }

  labelled(label: string): HTMLElement {
    const found = this.host.querySelector<HTMLElement>(`[aria-label="${label}"]`);
    if (!found) throw new Error(`Nothing is labelled "${label}".`);
    return found;
  }

  has(label: string): boolean {
    return this.host.querySelector(`[aria-label="${label}"]`) !== null;
  }

  async press(label: string): Promise<void> {
    await this.doing(() => this.labelled(label).click());
  }

  /** One finger on something: it comes down, goes on to so far from there, leaves, or is taken away by the system. */
  async finger(
    on: HTMLElement,
    does: 'touchstart' | 'touchmove' | 'touchend' | 'touchcancel',
    down = 0,
  ): Promise<void> {
    const [x, y] = [200, 200 + down];
    const touch = { identifier: 1, target: on, pageX: x, pageY: y, clientX: x, clientY: y, force: 1 };
    const touches = does === 'touchstart' || does === 'touchmove' ? [touch] : [];
    const event = new Event(does, { bubbles: true, cancelable: true });
    await this.doing(() => {
      on.dispatchEvent(Object.assign(event, { touches, targetTouches: touches, changedTouches: [touch] }));
    });
  }

  /** Presses the button that reads so. */
  async pressText(text: string): Promise<void> {
    const found = [...this.host.querySelectorAll<HTMLElement>('[role="button"]')].find((one) =>
      [...one.querySelectorAll(':not([aria-hidden])')].some((words) => words.textContent === text),
    );
    if (!found) throw new Error(`No button reads "${text}".`);
    await this.doing(() => found.click());
  }

  /** Takes one of a few choices that stand side by side. */
  async choose(group: string, choice: string): Promise<void> {
    const row = this.host.querySelector<HTMLElement>(`[role="radiogroup"][aria-label="${group}"]`);
    if (!row) throw new Error(`There is no choice "${group}".`);
    await this.pressIn(row, choice);
  }

  /** Opens what is summed up in a line that begins so. */
  async unfold(title: string): Promise<void> {
    const found = this.host.querySelector<HTMLElement>(`[aria-expanded="false"][aria-label^="${title}"]`);
    if (!found) throw new Error(`Nothing is folded under "${title}".`);
    await this.doing(() => found.click());
  }

  /** Presses what is labelled so inside something. */
  async pressIn(inside: HTMLElement, label: string): Promise<void> {
    const found = inside.querySelector<HTMLElement>(`[aria-label="${label}"]`);
    if (!found) throw new Error(`Nothing in it is labelled "${label}".`);
    await this.doing(() => found.click());
  }

  async fill(label: string, text: string): Promise<void> {
    const input = this.labelled(label);
    if (!(input instanceof HTMLInputElement)) throw new Error(`"${label}" is no field.`);
    const { set } = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value') ?? {};
    await this.doing(() => {
      set?.call(input, text);
      input.dispatchEvent(new Event('input', { bubbles: true }));
    });
  }

  /** Changes the boat from elsewhere than the page. */
  async replace(job: Job): Promise<void> {
    await this.doing(() => this.store.replace(boatId, job));
  }

  close(): void {
    act(() => this.root.unmount());
    this.host.remove();
  }
}

function Live({
  store,
  content,
}: {
  readonly store: DraftStore;
  readonly content: (draft: Draft) => ReactNode;
}): ReactElement | null {
  const draft = useSyncExternalStore(store.subscribe, store.all).get(boatId);
  return draft ? <>{content(draft)}</> : null;
}
