import type { Circuit } from '../job';
import { built } from './build.fixture';

/** All cable 14 AWG (2.081 mm²), all leads 16 AWG (1.309 mm²); 2 m of feed, 4 m to the bilge, 5 m back. */
const more: Partial<Circuit> = {
  choices: {
    conductors: Object.fromEntries(
      ['stub', 'feed', 'manual', 'auto', 'auto-back', 'negative', 'coil-negative', 'alarm-out', 'alarm-back'].map(
        (id) => [id, '14 AWG'] as const,
      ),
    ) as Record<string, '14 AWG'>,
  },
  pump: { currentA: 4.5, labelV: 13.6, leads: { lengthM: 0.15, size: '16 AWG' } },
  floatLead: '16 AWG',
};

// By hand, each up to the next 100 mm:
const STUB = 0.15; // as short as it is
const FEED = 2.4; // 1.05 × 2 + 0.3 at the panel
const FEED_TO_BLOCK = 2.5; // and 0.05 for the joint at the block: 2.45
const DOWN = 5.2; // 1.05 × 4 + 0.3 at the panel + 0.45 to the bench + 0.1 drip loop + 0.05 joint + 0.1 remake
const DOWN_TWO_JOINTS = 5.3; // and 0.05 for the block at its dry end: 5.25
const BACK = 6; // 1.05 × 5 + 0.45 + 0.1 + 0.05 + 0.1 = 5.95

/** One cable to one lead: 2.081 mm² against 1.309, both in blue (1.04 to 2.63), pulled by the 16 AWG: 67 N. */
const CABLE_TO_LEAD = ['butt', 'blue', 2.081, false, 67] as const;
/** Cable against two leads of 2.618 mm² together: still blue, with sealant in the crotch. */
const CABLE_TO_TWO_LEADS = ['butt', 'blue', 2.618, true, 67] as const;
const LEAD_TO_LEAD = ['butt', 'blue', 1.309, false, 67] as const;

interface Hand {
  readonly cut: Readonly<Record<string, number>>;
  readonly joints: Readonly<Record<string, readonly [string, string | undefined, number, boolean, number]>>;
}

const hand: Readonly<Record<string, Hand>> = {
  'three-way-integral': {
    cut: { stub: STUB, feed: FEED, manual: DOWN, auto: DOWN, negative: BACK },
    joints: { 'joint-auto': CABLE_TO_LEAD, 'joint-pump': CABLE_TO_LEAD, 'joint-negative': CABLE_TO_LEAD },
  },
  'plain-switch': {
    cut: { stub: STUB, feed: FEED, manual: DOWN, negative: BACK },
    joints: { 'joint-pump': CABLE_TO_LEAD, 'joint-negative': CABLE_TO_LEAD },
  },
  'hot-auto': {
    cut: { stub: STUB, feed: FEED_TO_BLOCK, manual: DOWN, auto: DOWN_TWO_JOINTS, negative: BACK },
    joints: {
      // 2.081 + 2.081 + 1.309 on a block in the panel.
      'joint-live': ['block', undefined, 5.471, false, 67],
      'joint-auto': CABLE_TO_LEAD,
      'joint-pump': CABLE_TO_LEAD,
      'joint-negative': CABLE_TO_LEAD,
    },
  },
  'probe-sensor': {
    cut: { stub: STUB, feed: FEED, manual: DOWN, auto: DOWN, negative: BACK },
    joints: {
      'joint-float': CABLE_TO_LEAD,
      'joint-pump': CABLE_TO_TWO_LEADS,
      'joint-negative': CABLE_TO_TWO_LEADS,
    },
  },
  'through-float': {
    cut: { stub: STUB, feed: FEED, manual: DOWN, auto: DOWN, negative: BACK },
    joints: {
      'joint-auto': CABLE_TO_LEAD,
      'joint-manual': CABLE_TO_LEAD,
      'joint-pump': LEAD_TO_LEAD,
      'joint-pump-negative': LEAD_TO_LEAD,
      'joint-negative': CABLE_TO_LEAD,
    },
  },
  relay: {
    cut: {
      stub: STUB,
      feed: FEED_TO_BLOCK,
      auto: DOWN,
      'auto-back': DOWN_TWO_JOINTS,
      'coil-negative': FEED,
      manual: DOWN,
      negative: BACK,
    },
    joints: {
      // 2.081 + 1.309 + 1.309.
      'joint-live': ['block', undefined, 4.699, false, 67],
      'joint-coil': ['block', undefined, 4.699, false, 67],
      'joint-float': CABLE_TO_LEAD,
      'joint-float-2': CABLE_TO_LEAD,
      'joint-pump': CABLE_TO_LEAD,
      'joint-negative': CABLE_TO_LEAD,
    },
  },
  'standalone-alarm': {
    cut: { 'alarm-out': DOWN, 'alarm-back': DOWN },
    joints: { 'joint-float': CABLE_TO_LEAD, 'joint-float-2': CABLE_TO_LEAD },
  },
};

describe('worked by hand', () => {
  it.each(Object.entries(hand))('%s: every length to be cut, and every joint', (scheme, { cut, joints }) => {
    const list = built(scheme, undefined, more);
    const lengths = list.conductors.flatMap(({ id, cutM }) => (cutM === null ? [] : [[id, cutM]]));
    expect(Object.fromEntries(lengths)).toEqual(cut);
    const made = list.joints.map(({ id, how, barrel, areaMm2, sealant, pullN }) => [
      id,
      [how, barrel?.colour, Number(areaMm2.toFixed(3)), sealant, pullN],
    ]);
    expect(Object.fromEntries(made)).toEqual(joints);
  });
});
