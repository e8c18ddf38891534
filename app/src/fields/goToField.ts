import type { JobPath } from '../data/jobPath';

/** Marks an input as the field of a path. */
export function atPath(path: JobPath): object {
  return { dataSet: { path: path.join('/') } };
}

/** Scrolls to the field of a path in a page and puts the keyboard into it; one that is not there is left. */
export function goToField(page: unknown, path: JobPath): void {
  if (!(page instanceof Element)) return;
  const field = [...page.querySelectorAll<HTMLElement>('[data-path]')].find(
    ({ dataset }) => dataset['path'] === path.join('/'),
  );
  field?.scrollIntoView({ block: 'center' });
  field?.focus({ preventScroll: true });
}
