import { threeCoreLegs } from './legs';
import { planOf } from './pieces';
import type { Scheme } from './plan';
import { threeLeadPump } from './threeLead';
import { threeWayPanel, threeWayPosts } from './threeWayPanel';

/** A pump that wakes on a timer, feels for load and runs on while wet: no float, leads as a three-lead pump. */
export const sensingPump: Scheme = {
  name: 'Three-way switch, pump that feels for water',
  summary: 'Three-lead pump that wakes on a timer and runs on while it is wet. No float.',
  automatic: true,
  senses: 'timer',
  duty: 'primary',
  options: ['pump', 'three-way', 'running-light', 'armed-light'],
  legs: threeCoreLegs,
  plan: (surveyed) => {
    const { circuit } = surveyed;
    return planOf([...threeWayPanel(surveyed), ...threeLeadPump(circuit, threeWayPosts, 'timer')]);
  },
};
