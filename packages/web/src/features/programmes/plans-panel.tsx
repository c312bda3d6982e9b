import { type ProgrammePlan, PROGRAMME_LIMITS, type ProgrammeView, RISES } from '@clay-pot/core';
import { Link } from 'react-router';
import { changeProgrammeHead } from '../../store/programme.js';
import { INPUT } from '../../ui/field.js';
import { Part } from '../../ui/page.js';

const { min, max } = PROGRAMME_LIMITS.riseSteps;
const STEPS = Array.from({ length: max - min + 1 }, (_, index) => min + index);

/** The sequences of a programme: when each begins, and whether it grows by itself. */
export function PlansPanel({ view, athleteId }: { view: ProgrammeView; athleteId: string }) {
  const { plans } = view.programme;
  const put = (id: string, change: (plan: ProgrammePlan) => ProgrammePlan) =>
    changeProgrammeHead({ plans: plans.map((plan) => (plan.id === id ? change(plan) : plan)) });
  return (
    <Part title="Its sequences">
      <ul>
        {plans.map((plan) => {
          const title = view.sequences.get(plan.id)?.title ?? 'Removed sequence';
          const { rise } = plan;
          return (
            <li key={plan.id} className="border-b border-line py-2 text-small">
              <Link
                className="inline-block min-h-6 font-semibold hover:underline"
                to={`/sequences/${plan.sequenceId}?athlete=${athleteId}`}
              >
                {title}
              </Link>
              <div className="mt-1 grid grid-cols-2 gap-2">
                <label>
                  Begins at
                  <input
                    type="time"
                    className={INPUT}
                    aria-label={`${title} begins at`}
                    value={plan.beginsAt ?? ''}
                    onChange={({ target: { value } }) =>
                      put(plan.id, ({ beginsAt: _, ...rest }) => ({ ...rest, ...(value && { beginsAt: value }) }))
                    }
                  />
                </label>
                <label>
                  Grows by itself
                  <select
                    className={INPUT}
                    aria-label={`${title} grows by itself`}
                    value={rise ? `${rise.steps} ${rise.each}` : ''}
                    onChange={({ target: { value } }) => put(plan.id, ({ rise: _, ...rest }) => ({ ...rest, ...riseOf(value) }))}
                  >
                    <option value="">no</option>
                    {(Object.keys(RISES) as (keyof typeof RISES)[]).flatMap((each) =>
                      STEPS.map((steps) => (
                        <option key={`${steps} ${each}`} value={`${steps} ${each}`}>
                          by {steps} {RISES[each]}
                        </option>
                      )),
                    )}
                  </select>
                </label>
              </div>
            </li>
          );
        })}
      </ul>
      <p className="mt-1 text-fine text-ink-soft">
        A step is a repetition, five seconds, a breath or five metres; it ends at what is usual.
      </p>
    </Part>
  );
}

function riseOf(value: string): Pick<ProgrammePlan, 'rise'> {
  const [steps, each] = value.split(' ');
  return each === 'session' || each === 'week' ? { rise: { steps: Number(steps), each } } : {};
}
