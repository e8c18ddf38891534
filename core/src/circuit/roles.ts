/**
 * What the parts with a special role are called in every plan: a scheme gives its parts
 * these ids, and whoever asks for a part by its role asks here.
 */
export const roles = {
  battery: 'battery',
  mainFuse: 'main-fuse',
  fuse: 'fuse',
  panelFuse: 'panel-fuse',
  manualFuse: 'manual-fuse',
  autoFuse: 'auto-fuse',
  switch: 'switch',
  relay: 'relay',
  pump: 'pump',
  alarm: 'alarm',
} as const;
