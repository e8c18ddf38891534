import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { listVersions, nameVersion, versionOf } from './api';

/** The versions a boat ever had, page by page; asked again whenever its current one moves on. */
export function useVersions(id: string, current: number | null) {
  return useInfiniteQuery({
    queryKey: ['versions', id, current],
    queryFn: ({ pageParam }) => listVersions(id, pageParam),
    initialPageParam: null as number | null,
    getNextPageParam: (page) => {
      const last = page[page.length - 1];
      return last && !last.first ? last.version : undefined;
    },
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

/** Keeps a version under a name. */
export function useNameVersion(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ version, name }: { readonly version: number; readonly name: string }) =>
      nameVersion(id, version, name),
    networkMode: 'always',
    onSuccess: () => client.invalidateQueries({ queryKey: ['versions', id] }),
  });
}
