import type { AthleteListItem } from '@clay-pot/contracts';
import { CLASS_LIMITS, counted } from '@clay-pot/core';
import { useState } from 'react';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { Part } from '../../ui/page.js';
import type { PlanOfOne } from './class-plans.js';

interface Props {
  athletes: readonly AthleteListItem[];
  ids: readonly string[];
  setIds: (ids: readonly string[]) => void;
  late: ReadonlySet<string>;
  setLate: (late: ReadonlySet<string>) => void;
  plans: ReadonlyMap<string, PlanOfOne>;
  retry: (id: string) => void;
}

/** Who takes part: everybody of the studio to choose from, and how each of those chosen fares. */
export function PeopleOfClass({ athletes, ids, setIds, late, setLate, plans, retry }: Props) {
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase();
  const shown = athletes.filter(({ id, name, practice }) => ids.includes(id) || `${name} ${practice}`.toLowerCase().includes(wanted));
  const toggle = (id: string) => setIds(ids.includes(id) ? ids.filter((other) => other !== id) : [...ids, id]);
  return (
    <Part title="People" aside={<span className="text-small text-ink-soft">{`${ids.length} of at most ${CLASS_LIMITS.members}`}</span>}>
      <input
        type="search"
        aria-label="Find people"
        placeholder="Find people"
        className={`${INPUT} mt-2 w-full`}
        value={find}
        onChange={({ target }) => setFind(target.value)}
      />
      <ul className="mt-2 max-h-[60dvh] overflow-y-auto">
        {shown.map(({ id, name, practice }) => {
          const isIn = ids.includes(id);
          return (
            <li key={id} className="border-b border-line">
              <label className="flex min-h-11 items-center gap-3">
                <input type="checkbox" className="size-5 accent-ink" checked={isIn} onChange={() => toggle(id)} />
                <span className="min-w-0 flex-1 truncate">
                  <b>{name}</b> <span className="text-small text-ink-soft">{practice}</span>
                </span>
              </label>
              {isIn && (
                <div className="flex flex-wrap items-center gap-x-4 pb-2 pl-8 text-small">
                  <Standing found={plans.get(id)} retry={() => retry(id)} />
                  <label className="flex min-h-8 items-center gap-2">
                    <input
                      type="checkbox"
                      className="size-4 accent-ink"
                      checked={late.has(id)}
                      onChange={({ target }) => {
                        const next = new Set(late);
                        if (target.checked) next.add(id);
                        else next.delete(id);
                        setLate(next);
                      }}
                    />
                    Comes later
                  </label>
                </div>
              )}
            </li>
          );
        })}
      </ul>
      {shown.length === 0 && <p className="py-3 text-ink-soft">Nobody of that name. Clear the search to see everyone.</p>}
    </Part>
  );
}

/** How much of the class is different for somebody. */
function Standing({ found, retry }: { found: PlanOfOne | undefined; retry: () => void }) {
  if (!found) return <span className="text-ink-soft">Checking…</span>;
  if ('trouble' in found) {
    return (
      <span className="text-iron">
        {found.trouble}{' '}
        <Button kind="quiet" className="px-1 py-0 underline" onClick={retry}>
          Try again
        </Button>
      </span>
    );
  }
  const { blocks, elsewhere } = found.plan;
  if (elsewhere !== null) return <span className="text-iron">In the class “{elsewhere}”, which is still running.</span>;
  const out = blocks.filter(({ at }) => at < 0).length;
  const other = blocks.filter(({ at, forms }) => at >= 0 && forms[at] !== null).length;
  if (out === blocks.length) return <span className="text-iron">Can’t do any of it today.</span>;
  const words = [other > 0 && `${counted(other, 'block')} adapted`, out > 0 && `${out} left out`].filter(Boolean).join(', ');
  return <span className={words ? 'font-semibold' : 'text-celadon'}>{words || 'As planned'}</span>;
}
