import type {
  CopyInput,
  CopyItem,
  CopyPreview,
  ProgrammeFileInput,
  ProgrammeInput,
  ProgrammeListItem,
  StoredProgramme,
  StoredSequence,
} from '@clay-pot/contracts';
import type { ProgrammePlan, Sequence } from '@clay-pot/core';
import { skipToken, useMutation, useQueries, useQuery, type UseQueryResult } from '@tanstack/react-query';
import { useCallback } from 'react';
import { refresh, sequenceQuery } from './queries.js';
import { isProblem, request, requestAll } from './request.js';

/** Programmes that stand, of one person or of everybody; those that end last first. */
export const useProgrammes = (athleteId?: string) =>
  useQuery({
    queryKey: ['programmes', 'list', athleteId ?? null],
    queryFn: () => requestAll<ProgrammeListItem>(`/programmes${athleteId ? `?athleteId=${athleteId}` : ''}`),
  });

/** One programme, as it was when the page was opened. */
export const useProgramme = (id: string | undefined) =>
  useQuery({
    queryKey: ['programmes', id],
    queryFn: () => request<StoredProgramme>(`/programmes/${id}`),
    enabled: id !== undefined,
    staleTime: Infinity,
    gcTime: 0,
  });

/** A programme of which a session is to be led; what was seen last serves without a network. */
export const useProgrammeToLead = (id: string | undefined) =>
  useQuery({
    queryKey: ['programmes', 'led', id],
    queryFn: id === undefined ? skipToken : () => request<StoredProgramme>(`/programmes/${id}`),
  });

/** Stores a programme over a version. */
export const putProgramme = (id: string, body: ProgrammeInput, ifMatch?: string) =>
  request<StoredProgramme>(`/programmes/${id}`, { method: 'PUT', body, ...(ifMatch && { ifMatch }) });

/** Stores a new programme. */
export const useCreateProgramme = () =>
  useMutation({
    mutationFn: ({ id, ...body }: ProgrammeInput & { id: string }) => putProgramme(id, body),
    onSuccess: () => refresh('programmes', 'today'),
  });

/** Stores a programme from a file, its sequences as new ones. */
export const useImportProgramme = () =>
  useMutation({
    mutationFn: (body: ProgrammeFileInput) => request<StoredProgramme>('/programmes/import', { method: 'POST', body }),
    onSuccess: () => refresh('programmes', 'sequences', 'today'),
  });

/** Takes one off the list, or puts it back. */
export const useRemoveProgramme = () =>
  useMutation({
    mutationFn: ({ id, undo }: { id: string; undo: boolean }) =>
      undo ? request(`/programmes/${id}/restore`, { method: 'POST' }) : request(`/programmes/${id}`, { method: 'DELETE' }),
    onSuccess: () => refresh('programmes', 'today'),
  });

/** Who follows a programme with a copy of their own. */
export const useCopies = (id: string | undefined) =>
  useQuery({
    queryKey: ['programmes', 'copies', id],
    queryFn: id === undefined ? skipToken : () => request<CopyItem[]>(`/programmes/${id}/copies`),
    // The programme may have been edited since.
    refetchOnMount: 'always',
  });

/** A programme as another athlete would do it, or what an update would make of their copy. */
export const previewCopy = (id: string, body: CopyInput) =>
  request<CopyPreview>(`/programmes/${id}/copies/preview`, { method: 'POST', body });

/** Makes a copy, or brings one up to date over the version that was seen. */
export const putCopy = (id: string, body: CopyInput, ifMatch?: string) =>
  request<StoredProgramme>(`/programmes/${id}/copies`, { method: 'POST', body, ...(ifMatch && { ifMatch }) });

/** Leaves a copy as it is. */
export const keepCopy = (copyId: string) => request(`/programmes/${copyId}/keep`, { method: 'POST' });

/** The sequences of plans, by plan; a removed one is missing. Undefined while they are fetched. */
export function usePlanSequences(plans: readonly ProgrammePlan[]): ReadonlyMap<string, Sequence> | undefined {
  // One function for the same plans: what it makes of the same answers is then the same.
  const combine = useCallback(
    (results: readonly Pick<UseQueryResult<StoredSequence>, 'data' | 'error'>[]) => {
      const isThere = results.every(({ data, error }) => data !== undefined || isProblem(error, 'not-found'));
      if (!isThere) return undefined;
      return new Map(
        plans.flatMap(({ id }, index) => {
          const document = results[index]?.data?.document;
          return document ? [[id, document] as const] : [];
        }),
      );
    },
    [plans],
  );
  return useQueries({ queries: plans.map(({ sequenceId }) => sequenceQuery(sequenceId)), combine });
}
