import { useQuery } from '@tanstack/react-query';
import { listVersions, versionOf } from './api';

/** The versions a boat ever had; asked again whenever its current one moves on. */
export function useVersions(id: string, current: number | null) {
  return useQuery({
    queryKey: ['versions', id, current],
    queryFn: () => listVersions(id),
    networkMode: 'always',
    retry: 1,
  });
}

/** One version with its contents, once it is asked for. */
export function useVersion(id: string, version: number | null) {
  return useQuery({
    queryKey: ['version', id, version],
    queryFn: () => versionOf(id, version ?? 0),
    enabled: version !== null,
    networkMode: 'always',
    staleTime: Infinity,
  });
}
