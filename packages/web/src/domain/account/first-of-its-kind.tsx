import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useMe } from '../../api/queries.js';
import { lookAtFrontDoor, visitDemo } from './front-door.js';

interface Props {
  /** What this place is for. */
  children: ReactNode;
  /** The one next step. */
  action?: ReactNode;
  /** Where the demo has one of these. */
  example: string;
}

/** A place where nothing is yet: what it is for, the one next step, and an example in the demo. */
export function FirstOfItsKind({ children, action, example }: Props) {
  const isDemo = useMe().data?.studio.isDemo ?? true;
  const door = useQuery({ queryKey: ['front-door'], queryFn: lookAtFrontDoor, enabled: !isDemo }).data;
  return (
    <div className="grid justify-items-start gap-3 border-b border-line py-6">
      <p className="text-ink-soft">{children}</p>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        {action}
        {door?.hasDemo && (
          <button type="button" className="underline underline-offset-2" onClick={() => void visitDemo(example)}>
            See an example in the demo
          </button>
        )}
      </div>
    </div>
  );
}
