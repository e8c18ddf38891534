import type { Scheme } from './plan';

/** Feed, manual and auto out, negative back: the three conductors that leave the bilge of an automatic pump. */
export const threeCoreLegs: Scheme['legs'] = [
  { key: 'sourceToPanel', name: 'Source to panel', role: 'supply', cores: 1 },
  { key: 'panelToBilge', name: 'Panel to bilge', role: 'manual', cores: 2 },
  { key: 'bilgeToNegative', name: 'Bilge to negative bus', role: 'negative', cores: 1 },
];
