import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { configure, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';

configure({ asyncUtilTimeout: 10_000 }); // a build machine may be busy

interface Asked {
  method: string;
  path: string;
  body: unknown;
}

/** Stands in for the server: what it answers by “METHOD /path”, and what it was asked. */
export function serve(answers: Record<string, unknown>): Asked[] {
  const asked: Asked[] = [];
  const fetch = async (request: Request) => {
    const path = new URL(request.url).pathname;
    const text = request.method === 'GET' ? '' : await request.clone().text();
    asked.push({ method: request.method, path, body: text ? JSON.parse(text) : undefined });
    const served = answers[`${request.method} ${path}`];
    if (served === undefined) throw new TypeError('no network');
    const answer =
      typeof served === 'function' ? (served as (body: unknown) => unknown)(asked.at(-1)?.body) : served;
    const refused = typeof answer === 'object' && answer !== null && 'problems' in answer;
    return new Response(JSON.stringify(answer), {
      status: refused ? 422 : 200,
      headers: { 'Content-Type': 'application/json' },
    });
  };
  vi.stubGlobal('fetch', fetch);
  return asked;
}

/** `element` as it stands on a page, at `path`. */
export function show(element: ReactNode, path = '/') {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[path]}>{element}</MemoryRouter>
    </QueryClientProvider>,
  );
}
