import createClient, { type Middleware } from 'openapi-fetch';
import type { components, paths } from './schema';

export type Shapes = components['schemas'];

/** What the server says when it refuses: sentences to show as they are. */
export class Refusal extends Error {
  constructor(
    readonly problems: string[],
    readonly status: number,
  ) {
    super(problems.join(' '));
  }
}

const csrf: Middleware = {
  onRequest({ request }) {
    // Django gives a new token at sign-in, so it is read at each request.
    const token = /(?:^|; )csrftoken=([^;]+)/.exec(document.cookie)?.[1];
    if (token && request.method !== 'GET') request.headers.set('X-CSRFToken', token);
    return request;
  },
};

/** Asks, and waits so many milliseconds for the answer: a network that died says nothing for minutes, and what hangs in it would hold up all that is asked for behind it. */
const within = (most: number) => (request: Request) =>
  globalThis.fetch(request, { signal: AbortSignal.timeout(most) }); // the fetch of the moment: tests put in their own

const LOOK = within(30_000);
const CHANGE = within(60_000); // with room for a picture that is sent

/** For what may take minutes, as a large archive does. */
export const patiently = within(900_000);

export const api = createClient<paths>({
  baseUrl: globalThis.location?.origin ?? '/', // the service worker's tests have none
  fetch: (request) => (request.method === 'GET' ? LOOK : CHANGE)(request),
});
api.use(csrf);

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The data of an answer; throws a Refusal with the server's own sentences. */
export async function said<T>(call: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await call;
  if (!response.ok) throw new Refusal(problemsOf(error), response.status);
  return data as T;
}

function problemsOf(error: unknown): string[] {
  if (typeof error === 'object' && error !== null && 'problems' in error && Array.isArray(error.problems)) {
    return error.problems.map(String);
  }
  return ['The server could not answer. Try again in a moment.'];
}

/** A sentence for anything that was thrown. */
export function sentence(error: unknown): string {
  if (error instanceof Refusal) return error.message;
  if (error instanceof DOMException && error.name === 'TimeoutError')
    return 'The server has not answered for too long. It may have been done all the same: look before you repeat it.';
  return 'No connection to the server. Try again when the network is back.';
}
