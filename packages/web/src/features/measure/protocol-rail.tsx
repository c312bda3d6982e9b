import type { Athlete } from '@clay-pot/contracts';
import { must, protocolName, protocolOf } from '@clay-pot/core';
import { Check } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { type Measuring, trialsOf } from '../../store/measuring.js';

/** What is measured, in order, and how far it has come. */
export function ProtocolRail({ athlete, measuring, go }: { athlete: Athlete; measuring: Measuring; go: (at: number) => void }) {
  const now = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // Beside the others on a phone; it comes into sight with each step.
    now.current?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [measuring.at]);
  return (
    <nav aria-label="Tests">
      <p className="mb-2 text-small text-ink-soft">Testing {athlete.name}</p>
      <ol className="flex gap-1 max-lg:overflow-x-auto lg:grid lg:gap-0">
        {measuring.ids.map((id, index) => {
          const protocol = must(protocolOf(id), `a protocol ${id}`);
          const { left, right } = trialsOf(measuring, id);
          const isDone = Math.min(left.length, right.length || left.length) >= protocol.trials;
          const isNow = index === measuring.at;
          return (
            <li key={id} ref={isNow ? now : undefined} className="shrink-0">
              <button
                type="button"
                aria-current={isNow ? 'step' : undefined}
                className={`flex w-full items-center gap-2 border-ink/50 px-2 py-1.5 text-left text-small max-lg:min-h-11 max-lg:border lg:border-l-4 ${isNow ? 'border-l-ink bg-white font-bold' : 'border-l-line hover:bg-ground'}`}
                onClick={() => go(index)}
              >
                <span className="flex-1">{protocolName(protocol)}</span>
                {isDone && <Check size={16} aria-label="done" />}
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
