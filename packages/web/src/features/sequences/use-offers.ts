import { type Finding, keyOfFinding, type Offer, offersStepwise, type SessionView } from '@clay-pot/core';
import { useEffect, useState } from 'react';

/** Nothing is looked for while somebody is still changing things. */
const QUIET_MS = 350;

const NONE: ReadonlyMap<string, readonly Offer[]> = new Map();

/**
 * What would answer each finding, looked for while nobody types: each answer is carried out once to see that it does no harm. A finding that is
 * not in the map is still being looked into.
 */
export function useOffers(view: SessionView, findings: readonly Finding[]): ReadonlyMap<string, readonly Offer[]> {
  const [found, setFound] = useState({ view, offers: NONE });
  useEffect(() => {
    let isOver = false;
    void findOptions(
      view,
      findings,
      () => isOver,
      (offers) => setFound({ view, offers }),
    );
    return () => {
      isOver = true;
    };
  }, [view, findings]);
  return found.view === view ? found.offers : NONE;
}

async function findOptions(
  view: SessionView,
  findings: readonly Finding[],
  isOver: () => boolean,
  tell: (offers: ReadonlyMap<string, readonly Offer[]>) => void,
): Promise<void> {
  await pause(QUIET_MS);
  const offers = new Map<string, readonly Offer[]>();
  for (const finding of findings.filter(({ muted }) => muted === null)) {
    const steps = offersStepwise(view, finding, findings);
    for (;;) {
      if (isOver()) return;
      const { done, value } = steps.next();
      if (done) {
        offers.set(keyOfFinding(finding), value);
        break;
      }
      await pause(0);
    }
    tell(new Map(offers));
  }
}

/** Lets whatever waits go first. */
const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));
