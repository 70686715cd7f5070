import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { useSettled } from '../../time/useSettled';

/** The calculators with their fields. */
export const useDesk = () =>
  useQuery({ queryKey: ['desk'], staleTime: Infinity, queryFn: () => said(api.GET('/api/desk')) });

/** What is worked from the fields, a moment after the last key. */
export function useWorkedOut(key: string, fields: Record<string, string>) {
  const settled = useSettled(fields, 200);
  const answer = useQuery({
    queryKey: ['desk', key, settled],
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () => said(api.POST('/api/desk/{key}', { params: { path: { key } }, body: { said: settled } })),
  });
  return { ...answer, stale: JSON.stringify(settled) !== JSON.stringify(fields) || answer.isPlaceholderData };
}

export interface Kept {
  name: string;
  value: string;
  limit: string;
  unit: string;
}

const PLACE = 'desk';
const MOST = 6;

/** Results that were put aside for a plan, the latest first. */
export function keptOnDesk(): Kept[] {
  try {
    const parsed: unknown = JSON.parse(window.localStorage.getItem(PLACE) ?? '[]');
    return Array.isArray(parsed) ? (parsed as Kept[]) : [];
  } catch {
    return []; // a device that keeps nothing, or something else under that name
  }
}

/** Puts a result aside, so that a plan can take it over. */
export function keepOnDesk(title: string, worked: Shapes['WorkedOut']) {
  const { value, limit, unit } = worked;
  const worth = { name: `Desk: ${title.toLowerCase()}, ${value} ${unit}`.trim(), value, limit, unit };
  const kept = [worth, ...keptOnDesk().filter((other) => other.name !== worth.name)].slice(0, MOST);
  window.localStorage.setItem(PLACE, JSON.stringify(kept));
}
