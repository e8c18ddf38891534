import type { RunReport, Verdict } from '@harbor-latch/core/runs/index';

/** What a run showed, in a few words. */
export const verdictWords: Readonly<Record<Verdict, { readonly short: string; readonly stop: boolean }>> = {
  'never-stops': { short: 'never stops', stop: true },
  'own-water': { short: 'pumps its own hose water', stop: true },
  'loses-to-ingress': { short: 'loses to the water', stop: true },
  'reaches-limit': { short: 'reaches the limit', stop: true },
  'battery-used-up': { short: 'battery used up', stop: true },
  'runs-dry': { short: 'runs dry', stop: true },
  'many-starts': { short: 'starts too often', stop: false },
  'short-runs': { short: 'runs under 10 s', stop: false },
};

/** A length of time as a person says it: "45 s", "3.5 h", "2.2 days". */
export function timeInWords(seconds: number | null): string {
  if (seconds === null) return 'never';
  if (seconds < 120) return `${Math.round(seconds)}\u00a0s`;
  if (seconds < 2 * 3600) return `${Math.round(seconds / 60)}\u00a0min`;
  if (seconds < 2 * 86400) return `${(seconds / 3600).toFixed(1)}\u00a0h`;
  return `${(seconds / 86400).toFixed(1)}\u00a0days`;
}

/** Days of a battery: "5.4 days", "over a month". */
export function daysInWords(days: number | null): string {
  if (days === null) return 'not drained';
  return days > 31 ? 'over a month' : `${days.toFixed(1)}\u00a0days`;
}

/** The worst that a run shows: a stop, a caution, or neither. */
export function runStanding({ verdicts }: RunReport): 'stop' | 'caution' | 'good' {
  if (verdicts.some((verdict) => verdictWords[verdict].stop)) return 'stop';
  return verdicts.length > 0 ? 'caution' : 'good';
}
