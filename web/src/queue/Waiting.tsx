import { useQuery } from '@tanstack/react-query';
import { VerdictLine } from '../identity/Verdict';
import { everything } from './store';

/** How many entries of whom wait on this device. */
export function useWaiting() {
  return useQuery({
    queryKey: ['waiting here'],
    refetchInterval: 4000,
    queryFn: async () => {
      const senders = new Map<string, { id: number; count: number }>();
      for (const { author } of await everything()) {
        if (!author) continue;
        senders.set(author.name, { id: author.id, count: (senders.get(author.name)?.count ?? 0) + 1 });
      }
      return [...senders].map(([name, of]) => ({ name, ...of }));
    },
  });
}

/** Says whose entries still wait on this device; they are sent when that person signs in here again. */
export function WaitingOfOthers({ me }: { me?: number }) {
  const waiting = useWaiting().data?.filter((sender) => sender.id !== me) ?? [];
  return waiting.map(({ name, count }) => (
    <VerdictLine key={name} level="look" lead="Kept on this device.">
      {count === 1 ? 'One entry' : `${count} entries`} of {name} {count === 1 ? 'was' : 'were'} not sent yet.
      That happens when {name} signs in here again.
    </VerdictLine>
  ));
}
