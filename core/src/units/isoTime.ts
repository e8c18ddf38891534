/** A time written as ISO 8601 in ms since 1970; NaN for what is none. It reads what is written and asks no clock. */
export function msOf(iso: string): number {
  return Date.parse(iso);
}
