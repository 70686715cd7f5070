import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, said } from '../api/client';

const AHEAD = 4000; // ms: what the bench itself needs comes first

const sceneAt = (key: string) =>
  queryOptions({
    queryKey: ['scene', key],
    staleTime: Infinity,
    gcTime: Infinity,
    queryFn: () => said(api.GET('/api/scenes/{key}', { params: { path: { key } } })),
  });

/** A drawing, asked for once. */
export const useScene = (key: string) => useQuery({ ...sceneAt(key), enabled: key !== '' });

/** Asks for the drawings of these steps before they are needed, one after the other: then they are there without network. */
export function useScenesAhead(keys: string[]) {
  const queries = useQueryClient();
  const wanted = [...new Set(keys)].filter(Boolean).join(' ');
  useEffect(() => {
    let left = false;
    const timer = window.setTimeout(() => void ahead(), AHEAD);
    const ahead = async () => {
      for (const key of wanted.split(' ')) if (key && !left) await queries.prefetchQuery(sceneAt(key));
    };
    return () => {
      left = true;
      window.clearTimeout(timer);
    };
  }, [queries, wanted]);
}
