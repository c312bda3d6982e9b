import type { RunningClass } from '@clay-pot/contracts';
import { counted } from '@clay-pot/core';
import { useQuery } from '@tanstack/react-query';
import { request } from '../../api/request.js';
import { useClassRun } from '../../store/class-run.js';
import { ButtonLink } from '../../ui/button-link.js';

/** Classes that are still running, on this device or another. */
export function RunningClasses() {
  const here = useClassRun((state) => state.run);
  const { data = [] } = useQuery({ queryKey: ['class-sessions'], queryFn: () => request<RunningClass[]>('/class-sessions') });
  const ours = here && { id: here.id, title: here.session.sequence.title, members: here.session.members.length };
  const running = [...(ours ? [ours] : []), ...data.filter(({ id }) => id !== ours?.id)];
  if (running.length === 0) return null;
  return (
    <ul aria-label="Running classes">
      {running.map(({ id, title, members }) => (
        <li key={id} className="flex flex-wrap items-center justify-between gap-3 border-l-4 border-ink bg-ground px-4 py-2">
          <span>
            <b>{title}</b>, class of {counted(members, 'person', 'people')}, is still running.
          </span>
          <ButtonLink to={`/class/${id}`}>Open class</ButtonLink>
        </li>
      ))}
    </ul>
  );
}
