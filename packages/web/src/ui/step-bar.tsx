import type { ReactNode } from 'react';
import { Button } from './button.js';

interface Props {
  /** The step that is shown, from 0. */
  at: number;
  go: (to: number) => void;
  /** What leads away from the first step. */
  away: { readonly name: string; readonly run: () => void };
  /** The state, and the way on. */
  children: ReactNode;
}

/** The bar under a task in steps: back, state, next. It stays in sight. */
export const StepBar = ({ at, go, away, children }: Props) => (
  <footer className="sticky bottom-(--bar,0px) z-10 -mx-4 mt-auto border-t border-ink bg-porcelain px-4 sm:mx-0 sm:px-0">
    <div className="flex items-center gap-2 py-2">
      {at > 0 ? (
        <Button className="min-h-11" onClick={() => go(at - 1)}>
          Back
        </Button>
      ) : (
        <Button kind="quiet" className="min-h-11" onClick={away.run}>
          {away.name}
        </Button>
      )}
      {children}
    </div>
  </footer>
);
/** The page above such a bar: as high as the screen, so that the bar is at its foot. */
export const STEP_PAGE = 'mx-auto flex min-h-[calc(100dvh-5.25rem)] w-full flex-col px-4 pt-4 sm:min-h-dvh sm:px-8 sm:pt-6';
