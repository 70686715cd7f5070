import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { useKept } from '../../api/answered';

export const useStaff = () => useQuery({ queryKey: ['staff'], queryFn: () => said(api.GET('/api/staff')) });

type Action = Shapes['AccountRequest']['action'];

/** Ends an account or takes that back; says who keeps the accounts. */
export function useAccount() {
  return useKept(['staff'], ({ person, action }: { person: number; action: Action }) =>
    said(
      api.POST('/api/staff/{person_id}/account', {
        params: { path: { person_id: person } },
        body: { action },
      }),
    ),
  );
}

/** A one-time link: an invitation, or a new password for somebody. */
export function useLink() {
  return useMutation({
    mutationFn: (what: Shapes['InviteRequest'] | { person: number }) =>
      'person' in what
        ? said(api.POST('/api/staff/{person_id}/reset', { params: { path: { person_id: what.person } } }))
        : said(api.POST('/api/staff/links', { body: what })),
  });
}

export function useSetDepartment() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Shapes['DepartmentRequest']) => said(api.PUT('/api/department', { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['department'] }),
  });
}
