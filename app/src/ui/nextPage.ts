import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { openPage } from './ahead';
import { useQuietMoment } from './useQuietMoment';

/**
 * Makes the page ready that is likely to be opened from this one: when it is, it is there at once. Another of its kind takes
 * its place.
 * @param href where it is; null where none is likelier than another
 */
export function useNextPage(href: string | null): void {
  const router = useRouter();
  const prepare = useCallback(() => {
    if (href !== null) router.prefetch(href);
  }, [router, href]);
  useQuietMoment(href === null ? null : prepare);
}

/** Opens pages by their address: the one that is made ready is there at once. */
export function useOpenPage(): (href: string) => void {
  const router = useRouter();
  return useCallback((href) => openPage(href, () => router.navigate(href)), [router]);
}
