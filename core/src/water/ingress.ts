import { GRAVITY } from './hose';

/** Water that comes in. Flows m³/s, times s, heights m over the pump's base. */
export type Ingress =
  | { readonly kind: 'steady'; readonly flow: number }
  /** A hole or failed fitting: never outflow. */
  | { readonly kind: 'opening'; readonly areaM2: number; readonly heightM: number; readonly outsideM: number }
  /** A flow from each time on, until the next; nothing before the first. */
  | { readonly kind: 'script'; readonly steps: readonly { readonly fromS: number; readonly flow: number }[] };

/** Share of the ideal jet that passes a sharp-edged hole. */
const DISCHARGE = 0.6;

/** Flow in at a level, m³/s, apart from scripts' changes: `at` is a time within the present piece. */
export function inflow(all: readonly Ingress[], levelM: number, at: number): number {
  let sum = 0;
  for (const one of all) {
    switch (one.kind) {
      case 'steady':
        sum += one.flow;
        break;
      case 'opening': {
        const head = one.outsideM - Math.max(levelM, one.heightM);
        if (head > 0) sum += DISCHARGE * one.areaM2 * Math.sqrt(2 * GRAVITY * head);
        break;
      }
      case 'script':
        for (let step = one.steps.length - 1; step >= 0; step -= 1) {
          const { fromS, flow } = one.steps[step] ?? { fromS: Infinity, flow: 0 };
          if (fromS > at) continue;
          sum += flow;
          break;
        }
        break;
      default:
        one satisfies never;
    }
  }
  return sum;
}

/** Whether the flow depends on the level. */
export function feelsLevel(all: readonly Ingress[]): boolean {
  return all.some(({ kind }) => kind === 'opening');
}

/** The next time after `at` at which a script changes; Infinity where none does. */
export function nextChangeS(all: readonly Ingress[], at: number): number {
  let next = Infinity;
  for (const one of all) {
    if (one.kind !== 'script') continue;
    for (const { fromS } of one.steps) if (fromS > at && fromS < next) next = fromS;
  }
  return next;
}

/** The most that comes in at any time, with the well dry, m³/s. */
export function mostInflow(all: readonly Ingress[]): number {
  return all.reduce((sum, one) => {
    if (one.kind === 'script') return sum + Math.max(0, ...one.steps.map(({ flow }) => flow));
    return sum + inflow([one], -Infinity, 0);
  }, 0);
}
