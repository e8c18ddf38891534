import { threeCoreLegs } from './legs';
import { planOf } from './pieces';
import type { Scheme } from './plan';
import { threeLeadPump } from './threeLead';
import { threeWayPanel, threeWayPosts } from './threeWayPanel';

/** A pump with its float inside: negative, manual and auto leads, and a three-way switch. */
export const threeWayIntegral: Scheme = {
  name: 'Three-way switch, float inside the pump',
  summary: 'Three-lead pump: negative, manual and auto. The float sits in its housing.',
  automatic: true,
  senses: 'integral',
  duty: 'primary',
  options: ['pump', 'three-way', 'running-light', 'armed-light'],
  legs: threeCoreLegs,
  plan: (surveyed) => {
    const { circuit } = surveyed;
    return planOf([...threeWayPanel(surveyed), ...threeLeadPump(circuit, threeWayPosts, 'float')]);
  },
};
