import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { keepAnswer, useKept } from '../../api/answered';

export const useSection = (id: number) =>
  useQuery({
    queryKey: ['section', id],
    queryFn: () => said(api.GET('/api/sections/{section_id}', { params: { path: { section_id: id } } })),
  });

export function useMakeSection() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Shapes['NewSectionRequest']) => said(api.POST('/api/sections', { body })),
    onSuccess: async (page) => {
      await keepAnswer(queries, ['section', page.line.id], page);
      await queries.invalidateQueries({ queryKey: ['sections'] });
    },
  });
}

/** Keeps what a change of a section answers with; the lists are asked for again. */
const useSectionChange = <Said>(id: number, change: (what: Said) => Promise<Shapes['SectionPage']>) =>
  useKept(['section', id], change, [['sections']]);

export function useChangeSection(id: number) {
  const path = { section_id: id };
  return useSectionChange(id, (change: Shapes['SectionChangeRequest'] | 'code') =>
    change === 'code'
      ? said(api.POST('/api/sections/{section_id}/code', { params: { path } }))
      : said(api.PUT('/api/sections/{section_id}', { params: { path }, body: change })),
  );
}

/** A list as the server understands it; nothing is changed by looking. */
export const useReadRoster = (id: number) =>
  useMutation({
    mutationFn: (body: Shapes['TableRequest']) =>
      said(
        api.POST('/api/sections/{section_id}/roster/preview', { params: { path: { section_id: id } }, body }),
      ),
  });

export function useAddPeople(id: number) {
  return useSectionChange(id, (people: Shapes['StudentRequest'][]) =>
    said(
      api.POST('/api/sections/{section_id}/roster', {
        params: { path: { section_id: id } },
        body: { people },
      }),
    ),
  );
}

type Change = { student: number } & (
  { change: Shapes['StudentChangeRequest'] } | { off: true } | { unlock: true }
);

/** Renames a student, moves them, takes them off, or lets them try their PIN again. */
export function useChangeStudent(section: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (what: Change): Promise<unknown> => {
      const params = { path: { person_id: what.student } };
      if ('change' in what) return said(api.PUT('/api/people/{person_id}', { params, body: what.change }));
      if ('off' in what) return said(api.DELETE('/api/people/{person_id}', { params }));
      return said(api.POST('/api/people/{person_id}/unlock', { params }));
    },
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['section', section] });
      await queries.invalidateQueries({ queryKey: ['sections'] });
    },
  });
}

export function useNewPin(section: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (student: number) =>
      said(api.POST('/api/people/{person_id}/pin', { params: { path: { person_id: student } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['section', section] }),
  });
}

/** Slips as PDF, opened beside; their PINs are new. */
export function useSlips(section: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (people: number[]) => {
      const blob = await said(
        api.POST('/api/sections/{section_id}/slips', {
          params: { path: { section_id: section } },
          body: { people },
          parseAs: 'blob',
        }),
      );
      return URL.createObjectURL(blob as unknown as Blob);
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['section', section] }),
  });
}
