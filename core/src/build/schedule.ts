/** A step as far as its time goes. */
export interface TimedStep {
  readonly id: string;
  /** Of work by one person. */
  readonly minutes: number;
  /** After it, before anything that needs it may begin: a clock that nobody works on. */
  readonly waitMinutes: number;
  readonly needs: readonly string[];
}

/** When a step is worked on, and when its clock ends; minutes from the start. */
export interface ScheduledStep {
  readonly id: string;
  readonly person: number;
  readonly fromMin: number;
  readonly toMin: number;
  readonly readyMin: number;
}

export interface Schedule {
  readonly steps: readonly ScheduledStep[];
  /** When the last step and the last clock have ended. */
  readonly minutes: number;
  /** Whether no shorter one exists; false where the search was ended before its end. */
  readonly exact: boolean;
}

/** A circle among steps, or a step that is needed and not there. */
export class StepsError extends Error {}

const MOST_NODES = 60_000;

/** Steps in an order in which each comes after what it needs; of those that may come next the first of the list. @throws StepsError */
export function plainOrder(steps: readonly TimedStep[]): TimedStep[] {
  const known = new Set(steps.map(({ id }) => id));
  for (const { id, needs } of steps)
    for (const need of needs)
      if (!known.has(need)) throw new StepsError(`The step “${id}” needs “${need}”, which is not among the steps.`);
  const order: TimedStep[] = [];
  const done = new Set<string>();
  while (order.length < steps.length) {
    const next = steps.find(({ id, needs }) => !done.has(id) && needs.every((need) => done.has(need)));
    if (!next) throw new StepsError('Steps that need one another in a circle cannot be begun.');
    order.push(next);
    done.add(next.id);
  }
  return order;
}

/**
 * When each step is done by one or two people who work on as soon as they can: begun with the longest chain first, then
 * improved by a branch-and-bound search over all orders, each step put where it can begin earliest (serial schedule
 * generation, which contains a shortest schedule: Kolisch 1996). Exact for graphs of the size of a circuit's unless
 * `exact` says otherwise; never longer than the plain order.
 */
export function scheduleSteps(steps: readonly TimedStep[], people: 1 | 2): Schedule {
  const plain = plainOrder(steps);
  const byId = new Map(steps.map((step) => [step.id, step]));
  // From the beginning of a step to the end of everything that hangs on it.
  const tail = new Map<string, number>();
  for (const step of [...plain].reverse()) {
    const after = steps.filter(({ needs }) => needs.includes(step.id)).map(({ id }) => tail.get(id) ?? 0);
    tail.set(step.id, step.minutes + step.waitMinutes + Math.max(0, ...after));
  }
  const longestFirst = [...plain].sort((a, b) => (tail.get(b.id) ?? 0) - (tail.get(a.id) ?? 0));
  // Of schedules as short as one another the one is taken in which everything begins as soon as it can.
  let best = serial(soonestFirst(plain, tail, people), people);
  const inOrder = serial(plain, people);
  if (inOrder.minutes < best.minutes) best = inOrder;
  const first = serial(plainOrder(longestFirst), people);
  if (first.minutes < best.minutes) best = first;
  const critical = Math.max(0, ...plain.map(({ id }) => tail.get(id) ?? 0));
  const work = plain.reduce((sum, { minutes }) => sum + minutes, 0) / people;
  if (best.minutes <= Math.max(critical, work)) return best;

  let nodes = 0;
  const chosen: TimedStep[] = [];
  const look = (
    free: readonly number[],
    ready: ReadonlyMap<string, number>,
    end: number,
    left: readonly TimedStep[],
  ) => {
    nodes += 1;
    if (nodes > MOST_NODES) return;
    if (left.length === 0) {
      if (end < best.minutes) best = { ...serial(chosen, people), exact: true };
      return;
    }
    const earliest = Math.min(...free);
    const restMin = left.reduce((sum, { minutes }) => sum + minutes, 0);
    const byWork = (free.reduce((sum, one) => sum + one, 0) + restMin) / people;
    const startOf = ({ minutes, needs }: TimedStep) =>
      Math.max(minutes === 0 ? 0 : earliest, ...needs.map((need) => ready.get(need) ?? 0));
    const byChain = Math.max(...left.map((step) => startOf(step) + (tail.get(step.id) ?? 0)));
    if (Math.max(end, byWork, byChain) >= best.minutes) return;
    const open = left.filter(({ needs }) => needs.every((need) => ready.has(need)));
    open.sort((a, b) => startOf(a) - startOf(b) || (tail.get(b.id) ?? 0) - (tail.get(a.id) ?? 0));
    for (const step of open) {
      const from = startOf(step);
      const to = from + step.minutes;
      const at = whoIsFree(free, from);
      chosen.push(step);
      look(
        step.minutes === 0 ? free : free.map((one, index) => (index === at ? to : one)),
        new Map(ready).set(step.id, to + step.waitMinutes),
        Math.max(end, to + step.waitMinutes),
        left.filter(({ id }) => id !== step.id),
      );
      chosen.pop();
    }
  };
  look(
    Array.from({ length: people }, () => 0),
    new Map(),
    0,
    [...byId.values()],
  );
  return { ...best, exact: nodes <= MOST_NODES };
}

/** The order in which always what can begin first is taken; of several the one on which most hangs. */
function soonestFirst(steps: readonly TimedStep[], tail: ReadonlyMap<string, number>, people: number): TimedStep[] {
  const order: TimedStep[] = [];
  while (order.length < steps.length) {
    const done = new Map(serial(order, people).steps.map((one) => [one.id, one]));
    const open = steps.filter(({ id, needs }) => !done.has(id) && needs.every((need) => done.has(need)));
    const [next] = open
      .map((step) => ({ step, from: serial([...order, step], people).steps[order.length]?.fromMin ?? Infinity }))
      .sort((a, b) => a.from - b.from || (tail.get(b.step.id) ?? 0) - (tail.get(a.step.id) ?? 0));
    if (!next) break;
    order.push(next.step);
  }
  return order;
}

/** Of those who are free by then the one who came free last: whoever waits longer may be of use before. */
function whoIsFree(free: readonly number[], by: number): number {
  return free.reduce(
    (best, at, person) => (at <= by && at > (free[best] ?? -1) ? person : best),
    free.indexOf(Math.min(...free)),
  );
}

/** The steps in the order given, each as early as what it needs and a free person allow. */
function serial(order: readonly TimedStep[], people: number): Schedule {
  const free = Array.from({ length: people }, () => 0);
  const ready = new Map<string, number>();
  const steps = order.map(({ id, minutes, waitMinutes, needs }): ScheduledStep => {
    const earliest = minutes === 0 ? 0 : Math.min(...free);
    const fromMin = Math.max(earliest, ...needs.map((need) => ready.get(need) ?? 0));
    const person = minutes === 0 ? 0 : whoIsFree(free, fromMin);
    const toMin = fromMin + minutes;
    if (minutes > 0) free[person] = toMin;
    ready.set(id, toMin + waitMinutes);
    return { id, person, fromMin, toMin, readyMin: toMin + waitMinutes };
  });
  return { steps, minutes: Math.max(0, ...steps.map(({ readyMin }) => readyMin)), exact: true };
}
