/** What a part is doing at an operating point, and the words for it. Code asks for the key; words are for people. */
export const doingWords = {
  delivering: 'delivering',
  charging: 'taking charge',
  resting: 'at rest',
  conducting: 'conducting',
  blocking: 'blocking',
  up: 'up',
  down: 'down',
  stuckUp: 'stuck up',
  stuckDown: 'stuck down',
  wet: 'wet',
  dry: 'dry',
  stuckWet: 'stuck wet',
  stuckDry: 'stuck dry',
  noSupply: 'no supply',
  open: 'open',
  overRating: 'over its rating',
  closed: 'closed',
  on: 'on',
  off: 'off',
  auto: 'auto',
  manual: 'manual',
  joined: 'joined',
  lit: 'lit',
  dim: 'dim',
  dark: 'dark',
  probing: 'between its probes',
  running: 'running',
  runningBackwards: 'running backwards',
  runningDry: 'running dry',
  fedBack: 'running, fed back',
  onStanding: 'on, standing',
  standing: 'standing',
  humming: 'humming, not turning',
  locked: 'locked',
  shorted: 'shorted',
  pulledIn: 'pulled in',
  released: 'released',
  silent: 'silent',
  silentMuted: 'silent, muted',
  sounding: 'sounding',
  mutedLit: 'muted, light on',
  /** Of every part of a circuit that comes to no rest. */
  chattering: 'chattering',
} as const;

export type Doing = keyof typeof doingWords;

/** Whether a motor turns, whichever way and whatever feeds it. */
export function turns(doing: Doing): boolean {
  return doing === 'running' || doing === 'runningBackwards' || doing === 'runningDry' || doing === 'fedBack';
}

/** Whether a contact that floats or a coil move is closed, or a switch is on. */
export function isClosed(doing: Doing): boolean {
  return ['on', 'onStanding', 'up', 'stuckUp', 'wet', 'stuckWet', 'pulledIn'].includes(doing);
}
