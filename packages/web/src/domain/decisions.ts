import type { DecisionInput } from '@clay-pot/contracts';
import { type Decision, DECISIONS } from '@clay-pot/core';
import { useOutbox } from '../store/outbox.js';
import { useToast } from '../ui/toast.js';

const pathOf = (sessionId: string) => `/sessions/${sessionId}/decision`;

/** What is decided about sessions on this device and still on its way, by the session's id. */
export function useOwnDecisions(): ReadonlyMap<string, Decision | null> {
  const letters = useOutbox((state) => state.letters);
  return new Map(
    letters.flatMap(({ path, body }) => {
      const id = /^\/sessions\/([^/]+)\/decision$/.exec(path)?.[1];
      return id === undefined ? [] : [[id, (body as DecisionInput).decision] as const];
    }),
  );
}

/** Decides what comes after a session; it can be taken back. */
export function useDecide() {
  const { show } = useToast();
  const send = (sessionId: string, decision: Decision | null) => {
    const body: DecisionInput = { decision, at: new Date().toISOString() };
    useOutbox.getState().add({ path: pathOf(sessionId), body });
  };
  return (sessionId: string, decision: Decision, name: string) => {
    send(sessionId, decision);
    show({
      text: `${name}: ${DECISIONS[decision].toLowerCase()}.`,
      action: { label: 'Undo', run: () => send(sessionId, null) },
    });
  };
}
