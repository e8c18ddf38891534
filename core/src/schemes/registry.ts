import { backupAlarm } from './backupAlarm';
import { hotAuto } from './hotAuto';
import { schemeKeys } from './keys';
import { plainSwitch } from './plainSwitch';
import type { Scheme } from './plan';
import { probeSensor } from './probeSensor';
import { relay } from './relay';
import { sensingPump } from './sensingPump';
import { standaloneAlarm } from './standaloneAlarm';
import { threeWayFloat } from './threeWayFloat';
import { threeWayIntegral } from './threeWayIntegral';
import { throughFloat } from './throughFloat';

/** Every wiring scheme by its key in the job file; a new one is a file beside these, its key, and a line here. */
const schemes: Readonly<Record<(typeof schemeKeys)[number], Scheme>> = {
  'three-way-float': threeWayFloat,
  'three-way-integral': threeWayIntegral,
  'plain-switch': plainSwitch,
  'hot-auto': hotAuto,
  'sensing-pump': sensingPump,
  'through-float': throughFloat,
  'probe-sensor': probeSensor,
  relay,
  'backup-alarm': backupAlarm,
  'standalone-alarm': standaloneAlarm,
};

/** The scheme of a circuit. @throws RangeError for a key that is none; a read job holds only known ones. */
export function schemeOf({ scheme }: { readonly scheme: string }): Scheme {
  const key = schemeKeys.find((one) => one === scheme);
  if (key === undefined) throw new RangeError(`There is no scheme “${scheme}”.`);
  return schemes[key];
}
