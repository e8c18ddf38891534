import type { CircuitSummary } from '@harbor-latch/core/assess/summary';

/** Where a circuit opens: at its sizes, or at the survey as long as figures are missing. */
export function circuitPage(boatId: string, circuitId: string, summary: CircuitSummary | undefined): string {
  return `/boat/${boatId}/${circuitId}/${summary?.standing === 'incomplete' ? 'survey' : 'size'}`;
}
