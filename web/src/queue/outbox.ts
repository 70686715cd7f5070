import { api, Refusal, said, type Shapes } from '../api/client';
import { drop, hold, of, type Author, type Draft } from './store';

type Answer = Shapes['Kept'];

/** What became of some entries: answered by the server one by one, and those it could not read, with its sentence. */
export interface Sent {
  answers: Answer[];
  unread: { id: string; problem: string }[];
}

const MOST = 200;
const LONGEST = 1_800_000; // characters of one request: pictures are long, readings are not
// Refusals of what was sent. Any other is about who asks or when, and the same entries may be welcome later.
const UNREADABLE = [400, 404, 413, 415, 422];

/** Sends what waits, also what is written meanwhile, and tells at once what the server has kept. Answers with the sentences of refused entries; throws when it cannot be sent now. */
export async function send(
  bench: number,
  author: Author,
  onKept: (drafts: Draft[], now: Shapes['BenchView']) => void,
): Promise<string[]> {
  const problems: string[] = [];
  for (let drafts = await ready(bench, author); drafts.length > 0; drafts = await ready(bench, author)) {
    let now: Shapes['BenchView'] | undefined;
    const { answers, unread } = await sent(batch(drafts), async (entries) => {
      const written = await post(bench, author, entries);
      now = written.bench;
      return written.kept;
    });
    const kept = new Set(answers.filter((answer) => answer.kept).map((answer) => answer.id));
    if (now)
      onKept(
        drafts.filter((draft) => kept.has(draft.id)),
        now,
      );
    await Promise.all(answers.map((answer) => drop(answer.id)));
    await Promise.all(unread.map(({ id, problem }) => hold(id, problem)));
    problems.push(...answers.filter((answer) => !answer.kept).map((answer) => answer.problem));
    if (answers.length + unread.length === 0) throw new Error('The server answered for none of the entries.');
  }
  return problems;
}

const ready = async (bench: number, author: Author) =>
  (await of(bench, author)).filter((kept) => !kept.held).map((kept) => kept.draft);

const post = (bench: number, author: Author, entries: Draft[]) =>
  said(
    api.POST('/api/benches/{bench_id}/entries', {
      params: { path: { bench_id: bench } },
      body: { person: author.id, entries },
    }),
  );

/** The first of them that fit into one request, at least one. */
export function batch(drafts: Draft[]): Draft[] {
  let length = 0;
  const end = drafts.slice(0, MOST).findIndex((draft, at) => {
    length += draft.image.length + draft.text.length;
    return at > 0 && length > LONGEST;
  });
  return drafts.slice(0, end < 0 ? MOST : end);
}

/** Sends some entries; of those the server cannot read as a whole each is sent alone, so that only the bad one stays. */
export async function sent(drafts: Draft[], post: (entries: Draft[]) => Promise<Answer[]>): Promise<Sent> {
  try {
    const known = new Set(drafts.map((draft) => draft.id));
    return { answers: (await post(drafts)).filter((answer) => known.has(answer.id)), unread: [] };
  } catch (error) {
    if (!(error instanceof Refusal) || !UNREADABLE.includes(error.status)) throw error;
    const [only] = drafts;
    if (drafts.length === 1 && only)
      return { answers: [], unread: [{ id: only.id, problem: error.message }] };
  }
  const all: Sent = { answers: [], unread: [] };
  for (const draft of drafts) {
    const reply = await sent([draft], post);
    all.answers.push(...reply.answers);
    all.unread.push(...reply.unread);
  }
  return all;
}
