import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, said, type Shapes } from '../../api/client';
import type { Entry } from './draft';
import { useKept } from '../../api/answered';

type Page = Shapes['ExperimentPage'];

const key = (slug: string) => ['experiment', slug] as const;
const path = (slug: string) => ({ params: { path: { slug } } });

export const useVocabulary = () =>
  useQuery({
    queryKey: ['vocabulary'],
    staleTime: Infinity,
    queryFn: () => said(api.GET('/api/vocabulary')),
  });

export const useExperiments = (mine: boolean) =>
  useQuery({
    queryKey: ['experiments'],
    enabled: mine,
    queryFn: () => said(api.GET('/api/experiments')),
  });

export const useExperiment = (slug: string) =>
  useQuery({
    queryKey: key(slug),
    refetchOnWindowFocus: false,
    queryFn: () => said(api.GET('/api/experiments/{slug}', path(slug))),
  });

/** What has just been saved, tried or made ready, everywhere it shows. */
const usePageChange = <Said>(slug: string, change: (what: Said) => Promise<Page>) =>
  useKept(key(slug), change, [['experiments'], ['methods'], ['method', slug]]);

const PAUSE = 700; // ms without a keystroke

/** The draft as it is being written; it saves itself, and the server says what it thinks of it. */
export function useDraft(page: Page) {
  const { slug } = page.card;
  const [draft, setDraft] = useState<Entry>(page.declaration);
  const pending = useRef<Entry | null>(null);
  const timer = useRef(0);
  const save = usePageChange(slug, (declaration: Entry) =>
    said(api.PUT('/api/experiments/{slug}', { ...path(slug), body: { declaration, note: '' } })),
  );
  const flush = async () => {
    window.clearTimeout(timer.current);
    const waiting = pending.current;
    pending.current = null;
    if (waiting) await save.mutateAsync(waiting);
  };
  const latest = useRef(flush);
  useEffect(() => {
    latest.current = flush;
  });
  useEffect(() => () => void latest.current(), []);
  const change = (next: Entry) => {
    setDraft(next);
    pending.current = next;
    window.clearTimeout(timer.current);
    timer.current = window.setTimeout(() => void latest.current().catch(() => undefined), PAUSE);
  };
  return { draft, change, flush, saving: save.isPending, error: save.error };
}

export function useTrialRun(slug: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Shapes['TrialRunRequest']) =>
      said(api.POST('/api/experiments/{slug}/try', { ...path(slug), body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: key(slug) }),
  });
}

export function useMakeReady(slug: string) {
  return usePageChange(slug, (note: string) =>
    said(api.POST('/api/experiments/{slug}/ready', { ...path(slug), body: { note } })),
  );
}

export function useWithdraw(slug: string) {
  return usePageChange(slug, (withdrawn: boolean) =>
    said(api.PUT('/api/experiments/{slug}/withdrawn', { ...path(slug), body: { withdrawn } })),
  );
}

export function useDiscard(slug: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => said(api.DELETE('/api/experiments/{slug}', path(slug))),
    onSuccess: async () => {
      queries.removeQueries({ queryKey: key(slug) });
      await queries.invalidateQueries({ queryKey: ['experiments'] });
    },
  });
}

/** Begins a draft: a copy, a file, or an empty one. */
export function useBegin() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Shapes['BeginRequest']) => said(api.POST('/api/experiments', { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['experiments'] }),
  });
}

/** A version as it was kept. */
export const versionOf = (slug: string, version: number): Promise<Entry> =>
  said(api.GET('/api/experiments/{slug}/file', { params: { path: { slug }, query: { version } } }));
