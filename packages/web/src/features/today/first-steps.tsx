import type { FirstSteps as Steps } from '@clay-pot/contracts';
import { Check } from 'lucide-react';
import { visitDemo } from '../../domain/account/front-door.js';
import { ButtonLink } from '../../ui/button-link.js';
import { firstName } from '../../ui/format.js';

interface Step {
  readonly title: string;
  readonly why: string;
  readonly isDone: boolean;
  /** Missing where a step before it comes first. */
  readonly action?: { readonly name: string; readonly to: string };
}

/** A new studio's way to its first session: a person, a check-in, a sequence. */
export function FirstSteps({ steps, isDemo }: { steps: Steps; isDemo: boolean }) {
  const all = stepsOf(steps);
  const now = all.findIndex(({ isDone }) => !isDone);
  return (
    <section aria-label="First steps" className="border-2 border-ink bg-white p-5">
      <h2 className="text-head">Your first session in three steps</h2>
      <ol className="mt-4 grid gap-x-8 gap-y-5 md:grid-cols-3">
        {all.map(({ title, why, isDone, action }, index) => (
          <li key={title} className="grid content-start gap-2 border-t-4 border-ink pt-2">
            <h3 className="flex items-center gap-2 text-lead">
              <span className="display grid size-7 place-items-center bg-ink text-white figures">
                {isDone ? <Check size={18} aria-label="Done" /> : index + 1}
              </span>
              {title}
            </h3>
            <p className="text-ink-soft">{why}</p>
            {action && (
              <ButtonLink kind={index === now ? 'primary' : 'plain'} className="justify-self-start" to={action.to}>
                {action.name}
              </ButtonLink>
            )}
          </li>
        ))}
      </ol>
      {!isDemo && (
        <p className="mt-5 text-small">
          Want to see a busy studio first?{' '}
          <button type="button" className="font-semibold underline underline-offset-2" onClick={() => void visitDemo()}>
            Visit the demo
          </button>
          . You come back here when you leave it.
        </p>
      )}
    </section>
  );
}

function stepsOf({ athlete, hasCheckIn, hasSequence }: Steps): readonly Step[] {
  const name = athlete ? firstName(athlete.name) : 'them';
  return [
    {
      title: 'Add an athlete',
      why: 'A name is enough. Everything else can be added later.',
      isDone: athlete !== null,
      ...(!athlete && { action: { name: 'Add athlete', to: '/people/new' } }),
    },
    {
      title: 'Check in',
      why: `Pain, injuries and goals: three minutes. It decides what ${athlete ? name : 'they'} can’t do yet.`,
      isDone: hasCheckIn,
      ...(athlete && !hasCheckIn && { action: { name: `Start check-in with ${name}`, to: `/people/${athlete.id}/check-in` } }),
    },
    {
      title: 'Generate the first session',
      why: 'Set a goal and a time. Clay Pot suggests a sequence; you decide.',
      isDone: hasSequence,
      ...(athlete && hasCheckIn && { action: { name: 'Generate sequence', to: `/compose?athlete=${athlete.id}` } }),
    },
  ];
}
