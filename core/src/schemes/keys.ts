/** The key of every wiring scheme in the job file; `registry.ts` gives each its plan. */
export const schemeKeys = [
  'three-way-float',
  'three-way-integral',
  'plain-switch',
  'hot-auto',
  'sensing-pump',
  'through-float',
  'probe-sensor',
  'relay',
  'backup-alarm',
  'standalone-alarm',
] as const;
