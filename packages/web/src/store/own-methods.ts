import { METHODS, shippedMethod, USUAL_METHOD } from '@clay-pot/core/library';
import type { StoredMethod } from '@clay-pot/contracts';
import { type Method } from '@clay-pot/core';
import { useMemo } from 'react';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface OwnMethods {
  /** The studio's own methods, removed ones too: sequences may go by them. */
  readonly stored: readonly StoredMethod[];
}

/** Kept in the browser as well, so that a session goes by its method without a network. */
export const useOwnMethods = create<OwnMethods>()(
  persist((): OwnMethods => ({ stored: [] }), { name: 'clay-pot-methods' }),
);

export const setOwnMethods = (stored: readonly StoredMethod[]) => useOwnMethods.setState({ stored });
export const forgetOwnMethods = () => useOwnMethods.setState({ stored: [] });

const found = (id: string | undefined, stored: readonly StoredMethod[]): Method =>
  (id === undefined ? undefined : (stored.find((own) => own.id === id)?.method ?? shippedMethod(id))) ?? USUAL_METHOD;

/** The method of a sequence; the usual one where it names none. */
export const methodOf = (id: string | undefined): Method => found(id, useOwnMethods.getState().stored);

/** As `methodOf`, following changes. */
export function useMethod(id: string | undefined): Method {
  const stored = useOwnMethods((state) => state.stored);
  return useMemo(() => found(id, stored), [id, stored]);
}

/** Every method that can be chosen: the shipped ones, then the studio's own that were not taken off. */
export function useMethods(): readonly Method[] {
  const stored = useOwnMethods((state) => state.stored);
  return useMemo(
    () => [...Object.values(METHODS), ...stored.filter(({ removed }) => !removed).map(({ method }) => method)],
    [stored],
  );
}
