import type { ClassMemberPlan } from '@clay-pot/contracts';
import type { Sequence } from '@clay-pot/core';
import { useEffect, useRef, useState } from 'react';
import { request } from '../../api/request.js';

/** What one person does, or why that couldn’t be found. */
export type PlanOfOne = { readonly plan: ClassMemberPlan } | { readonly trouble: string };

/** So many are planned at once: each takes a processor for a second. */
const AT_ONCE = 2;

/** Plans a class for each person, a few at a time, those first who were chosen first. What was found stays while the sequence does. */
export function useClassPlans(
  sequence: Sequence,
  athleteIds: readonly string[],
): { plans: ReadonlyMap<string, PlanOfOne>; retry: (id: string) => void } {
  const [plans, setPlans] = useState<ReadonlyMap<string, PlanOfOne>>(new Map());
  const asking = useRef(new Map<string, AbortController>());
  useEffect(() => {
    const under = asking.current;
    for (const [id, controller] of under) if (!athleteIds.includes(id)) controller.abort();
    for (const id of athleteIds.filter((each) => !plans.has(each) && !under.has(each)).slice(0, Math.max(0, AT_ONCE - under.size))) {
      const controller = new AbortController();
      under.set(id, controller);
      const put = (found: PlanOfOne | null) => {
        under.delete(id);
        // Also where it was given up: the next of those who wait begins.
        setPlans((now) => (found ? new Map(now).set(id, found) : new Map(now)));
      };
      request<ClassMemberPlan>('/class-plan', { method: 'POST', body: { athleteId: id, sequence }, signal: controller.signal }).then(
        (plan) => put({ plan }),
        (error: unknown) => put(controller.signal.aborted ? null : { trouble: error instanceof Error ? error.message : String(error) }),
      );
    }
  }, [athleteIds, plans, sequence]);
  useEffect(() => {
    const under = asking.current;
    return () => {
      for (const controller of under.values()) controller.abort();
      under.clear();
    };
  }, []);
  const retry = (id: string) =>
    setPlans((now) => {
      const next = new Map(now);
      next.delete(id);
      return next;
    });
  return { plans, retry };
}
