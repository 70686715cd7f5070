import { useQuery } from '@tanstack/react-query';
import { api, said } from '../api/client';

/** A drawing, asked for once. */
export const useScene = (key: string) =>
  useQuery({
    queryKey: ['scene', key],
    enabled: key !== '',
    staleTime: Infinity,
    gcTime: Infinity,
    queryFn: () => said(api.GET('/api/scenes/{key}', { params: { path: { key } } })),
  });
