import { migrate } from '@harbor-latch/core/file/migrate';
import { JOB_FORMAT } from '@harbor-latch/core/job/index';

const isJob = (value: object): boolean => 'format' in value && value.format === JOB_FORMAT;

/** A row of an earlier release with every job in it as one of today. */
export function ofToday<Row>(row: Row): Row {
  return migrated(row) as Row;
}

function migrated(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  if (isJob(value)) return migrate(value);
  if (Array.isArray(value)) return value.map(migrated);
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, migrated(inner)]));
}
