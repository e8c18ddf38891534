import type { RecordKind } from '@harbor-latch/core/records/kinds/index';
import type { IconName } from '../../ui/Icon';

/** What a log may be filtered by, and the kinds of entries it shows then. */
export const logFilters = {
  all: { name: 'All', kinds: null },
  proofs: { name: 'Proofs', kinds: ['proof', 'proofBegun'] },
  readings: { name: 'Readings', kinds: ['reading', 'skipped'] },
  checks: { name: 'Checks', kinds: ['check', 'cleaning', 'layUp', 'launch', 'interval', 'window', 'faultShare'] },
  counts: { name: 'Counts', kinds: ['runCount', 'rain'] },
  repairs: { name: 'Repairs', kinds: ['repair', 'alarm', 'traceBegun', 'traceReading', 'traceEnded'] },
  notes: { name: 'Notes', kinds: ['note', 'photograph', 'withdrawn'] },
} as const satisfies Readonly<Record<string, { readonly name: string; readonly kinds: readonly RecordKind[] | null }>>;
export type LogFilter = keyof typeof logFilters;

const icons: Readonly<Partial<Record<string, IconName>>> = {
  proof: 'clipboard-check-outline',
  proofBegun: 'clipboard-list-outline',
  reading: 'flash-outline',
  skipped: 'minus',
  check: 'check-circle',
  runCount: 'water-pump',
  rain: 'weather-pouring',
  repair: 'wrench',
  alarm: 'alert',
  note: 'note',
  photograph: 'image-outline',
  cleaning: 'check',
  layUp: 'archive-arrow-down-outline',
  launch: 'sail-boat',
  withdrawn: 'undo',
  interval: 'timer',
  window: 'tape-measure',
  faultShare: 'percent-outline',
  traceBegun: 'magnify',
  traceReading: 'magnify',
  traceEnded: 'wrench',
};

/** The mark of a kind of entry; of a later release's, a question. */
export const iconOf = (kind: string): IconName => icons[kind] ?? 'help-circle-outline';
