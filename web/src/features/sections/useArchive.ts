import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, patiently, said } from '../../api/client';

const PIECE = 1_500_000; // bytes; a piece that broke off is sent again

/** An archive sent in pieces and looked into; then, when that is confirmed, brought in. */
export function useArchive() {
  const queries = useQueryClient();
  const [sent, setSent] = useState(0);
  const look = useMutation({
    mutationFn: async (file: File) => {
      for (let at = 0; at < Math.max(file.size, 1); at += PIECE) {
        setSent(at / Math.max(file.size, 1));
        await send(at, file.slice(at, at + PIECE));
      }
      return said(api.GET('/api/archive', { fetch: patiently }));
    },
  });
  const bring = useMutation({
    mutationFn: () => said(api.POST('/api/archive', { fetch: patiently })),
    onSuccess: () => queries.invalidateQueries(),
  });
  return { sent, look, bring };
}

const send = (at: number, piece: Blob) =>
  said(
    api.PUT('/api/archive', {
      params: { query: { at } },
      body: piece as unknown as string,
      bodySerializer: (body) => body,
      headers: { 'Content-Type': 'application/octet-stream' },
    }),
  );
