import type { MethodInput, MovementInput, OwnName, StoredMethod, StoredMovement } from '@clay-pot/contracts';
import type { Grade } from '@clay-pot/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { setGrades } from '../store/grades.js';
import { setOwnMethods } from '../store/own-methods.js';
import { setOwnMovements } from '../store/own-movements.js';
import { setOwnNames } from '../store/own-names.js';
import { refresh } from './queries.js';
import { request } from './request.js';

/** The studio's own movements; what comes is kept for screens and sessions without a network. */
export const useStoredMovements = (signedIn: boolean) =>
  useQuery({
    queryKey: ['movements'],
    queryFn: async () => {
      const stored = await request<StoredMovement[]>('/movements');
      setOwnMovements(stored);
      return stored;
    },
    enabled: signedIn,
  });

/** What the studio calls movements; what comes is kept as well. */
export const useStoredNames = (signedIn: boolean) =>
  useQuery({
    queryKey: ['movement-names'],
    queryFn: async () => {
      const stored = await request<OwnName[]>('/movement-names');
      setOwnNames(stored);
      return stored;
    },
    enabled: signedIn,
  });

/** Springs and bands of the studio; what comes is kept as well. */
export const useStoredGrades = (signedIn = true) =>
  useQuery({
    queryKey: ['grades'],
    queryFn: async () => {
      const stored = await request<Grade[]>('/grades');
      setGrades(stored);
      return stored;
    },
    enabled: signedIn,
  });

/** Puts a list of springs and bands in the place of the one before. */
export const useSaveGrades = () =>
  useMutation({
    mutationFn: (grades: readonly Grade[]) => request<Grade[]>('/grades', { method: 'PUT', body: { grades } }),
    onSuccess: (stored) => {
      setGrades(stored);
      // What an effort finds changes for everybody.
      return refresh('grades', 'persons', 'suggestions');
    },
  });

/** Gives a movement a name of the studio’s own, or takes it away with nothing. */
export const useSaveName = () =>
  useMutation({
    mutationFn: ({ movementId, name }: OwnName) =>
      name
        ? request<OwnName>(`/movement-names/${movementId}`, { method: 'PUT', body: { name } })
        : request(`/movement-names/${movementId}`, { method: 'DELETE' }),
    onSuccess: () => refresh('movement-names'),
  });

/** Stores a movement of the studio’s own. */
export const useSaveMovement = () =>
  useMutation({
    mutationFn: ({ id, input, etag }: { id: string; input: MovementInput; etag?: string }) =>
      request<StoredMovement>(`/movements/${id}`, { method: 'PUT', body: input, ...(etag && { ifMatch: etag }) }),
    onSuccess: () => refresh('movements'),
  });

/** Takes one off the shelf. */
export const useRemoveMovement = () =>
  useMutation({
    mutationFn: ({ id, undo }: { id: string; undo: boolean }) =>
      undo ? request(`/movements/${id}/restore`, { method: 'POST' }) : request(`/movements/${id}`, { method: 'DELETE' }),
    onSuccess: () => refresh('movements'),
  });

/** Methods of the studio’s own, followed. */
export const useStoredMethods = (signedIn = true) =>
  useQuery({
    queryKey: ['methods'],
    queryFn: async () => {
      const stored = await request<StoredMethod[]>('/methods');
      setOwnMethods(stored);
      return stored;
    },
    enabled: signedIn,
  });

/** Stores a method of the studio’s own. */
export const useSaveMethod = () =>
  useMutation({
    mutationFn: ({ id, input, etag }: { id: string; input: MethodInput; etag?: string }) =>
      request<StoredMethod>(`/methods/${id}`, { method: 'PUT', body: input, ...(etag && { ifMatch: etag }) }),
    onSuccess: () => refresh('methods'),
  });

/** Takes one off the list. */
export const useRemoveMethod = () =>
  useMutation({
    mutationFn: ({ id, undo }: { id: string; undo: boolean }) =>
      undo ? request(`/methods/${id}/restore`, { method: 'POST' }) : request(`/methods/${id}`, { method: 'DELETE' }),
    onSuccess: () => refresh('methods'),
  });
