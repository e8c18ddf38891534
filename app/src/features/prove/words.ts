import type { Outcome } from '@harbor-latch/core/prove/proofList';
import type { EntryOf } from '@harbor-latch/core/records/known';
import type { Instrument, ProveTest } from '@harbor-latch/core/prove/proveTest';
import type { Expected } from '@harbor-latch/core/prove/windows';
import { figure } from '../../fields/meterUnits';
import type { IconName } from '../../ui/Icon';
import type { Palette } from '../../ui/palette';

/** What is expected, in words. */
export function expectedWords({ expect }: Pick<ProveTest, 'expect'>): string {
  if ('state' in expect) return expect.state;
  const { nominal, low, high, unit } = expect as Expected;
  const bare = (value: number) => figure(value, unit).replace(` ${unit}`, '');
  return `${figure(nominal, unit)}, taken from ${bare(low)} to ${bare(high)}`;
}

export const instrumentWords: Readonly<Record<Instrument, string>> = {
  voltmeter: 'Voltmeter',
  ohmmeter: 'Ohmmeter, leads zeroed',
  clamp: 'Clamp meter',
  milliammeter: 'Milliammeter',
  'bucket and watch': 'Bucket and watch',
  watch: 'Watch',
  'eyes and ears': 'Eyes and ears',
};

export const placeWords: Readonly<Record<ProveTest['place'], string>> = {
  bench: 'On the bench',
  source: 'At the source',
  panel: 'At the panel',
  bilge: 'In the bilge',
};

interface OutcomeLook {
  readonly word: string;
  readonly icon: IconName;
  readonly ink: keyof Palette;
  readonly ground: keyof Palette;
}

/** Shape, word and colour of each outcome: never colour alone. */
export const outcomeLook: Readonly<Record<Outcome['outcome'], OutcomeLook>> = {
  pass: { word: 'As expected', icon: 'check-circle', ink: 'good', ground: 'goodSoft' },
  stands: { word: 'Stands from the last proof', icon: 'check', ink: 'good', ground: 'goodSoft' },
  look: { word: 'Look again', icon: 'alert', ink: 'caution', ground: 'cautionSoft' },
  miss: { word: 'Missed', icon: 'alert-octagon', ink: 'stop', ground: 'stopSoft' },
  'left out': { word: 'Left out', icon: 'minus', ink: 'muted', ground: 'raised' },
  'not done': { word: 'To be done', icon: 'circle-outline', ink: 'muted', ground: 'raised' },
};

/** What was read, in words. */
export function readWords({ reading }: { readonly reading: Pick<EntryOf<'reading'>, 'body'> | null }): string {
  if (!reading) return '';
  const { read } = reading.body;
  return 'said' in read ? read.said : figure(read.value, read.unit);
}
