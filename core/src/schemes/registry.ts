import type { SchemeKey } from '../job';
import type { Scheme } from './plan';
import { plainSwitch } from './plainSwitch';
import { threeWayFloat } from './threeWayFloat';

/** Every wiring scheme; a new one is a file beside these and a line here. */
export const schemes: Readonly<Record<SchemeKey, Scheme>> = {
  'three-way-float': threeWayFloat,
  'plain-switch': plainSwitch,
};
