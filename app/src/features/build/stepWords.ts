import type { BuildStep, StepPlace } from '@harbor-latch/core/build/steps';

/** Where a step is done, in words. */
export const placeWords: Readonly<Record<StepPlace, string>> = {
  bench: 'On the bench',
  hull: 'At the hull',
  source: 'At the battery',
  panel: 'At the panel',
  bilge: 'In the bilge',
};

/** The beginning of a step, up to its first stop. */
export const shortText = (step: BuildStep | undefined) => (step ? (/^[^.:,]+/.exec(step.text)?.[0] ?? step.text) : '');
