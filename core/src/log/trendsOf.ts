import { isOf, type KnownEntry } from '../records';
import { withShares, type Told } from './alarm';
import { dayCounts } from './dayCounts';
import { loadTrend, type Load } from './loadTrend';
import { resistanceTrend } from './resistanceTrend';
import { runsTrend } from './runsTrend';
import { startsTrend } from './startsTrend';
import { sharesKnown } from './storyOf';

const DAY_MS = 86_400_000;
/** An alarm of something that was, and is no more, is told so long; those by readings stand until the next ones say otherwise. */
const USUALLY_DAYS = 60;
const lastsDays: Readonly<Record<string, number>> = {
  'float-sticks': 365,
  'motor-hours': Infinity,
  ...Object.fromEntries(
    ['whole', 'feed', 'manual', 'auto', 'negative'].map((part) => [`added-${part}`, Infinity] as const),
  ),
  'amps-low': Infinity,
  'amps-high': Infinity,
};

/** Every trend of a circuit and what they show, the worst first. @param entries those that count, in the order in which they were made */
export function trendsOf(entries: readonly KnownEntry[], circuit: string, load: Load, nowMs: number): Told {
  const proofs = entries
    .filter(isOf('proof'))
    .filter(({ circuit: of, body }) => of === circuit && body.phase === 'commission');
  const signed = proofs[proofs.length - 1];
  const provedMs = signed ? Date.parse(signed.body.tests.find(({ at }) => at)?.at ?? signed.madeAt) : null;
  const days = dayCounts(entries, circuit);
  const told = [
    resistanceTrend(entries, circuit, provedMs),
    startsTrend(days, provedMs, nowMs),
    runsTrend(days, provedMs),
    loadTrend(days, load, provedMs),
  ];
  // Causes are as likely as they are in a hunt on this boat.
  const known = sharesKnown(entries, nowMs);
  const order = { stop: 0, caution: 1, note: 2 } as const;
  return {
    trends: told.flatMap(({ trends }) => trends),
    alarms: told
      .flatMap(({ alarms }) => alarms)
      .filter(({ code, atMs }) => nowMs - atMs <= (lastsDays[code] ?? USUALLY_DAYS) * DAY_MS)
      .map((alarm) => withShares(alarm, known))
      .sort((a, b) => order[a.severity] - order[b.severity] || b.atMs - a.atMs),
  };
}
