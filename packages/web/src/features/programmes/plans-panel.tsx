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
  const { daysPerStep } = view.method;
  const put = (id: string, change: (plan: ProgrammePlan) => ProgrammePlan) =>
    changeProgrammeHead({ plans: plans.map((plan) => (plan.id === id ? change(plan) : plan)) });
  return (
    <Part title="Sequences">
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
                  Starts at
                  <input
                    type="time"
                    className={INPUT}
                    aria-label={`${title} starts at`}
                    value={plan.beginsAt ?? ''}
                    onChange={({ target: { value } }) =>
                      put(plan.id, ({ beginsAt: _, ...rest }) => ({ ...rest, ...(value && { beginsAt: value }) }))
                    }
                  />
                </label>
                <label>
                  Automatic growth
                  <select
                    className={INPUT}
                    aria-label={`Automatic growth of ${title}`}
                    value={rise ? `${rise.steps} ${rise.each}` : ''}
                    onChange={({ target: { value } }) => put(plan.id, ({ rise: _, ...rest }) => ({ ...rest, ...riseOf(value) }))}
                  >
                    <option value="">none</option>
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
        A step is a rep, five seconds, a breath or five metres. Nothing grows again within {daysPerStep} days, and growth stops at the usual
        limit.
      </p>
    </Part>
  );
}

function riseOf(value: string): Pick<ProgrammePlan, 'rise'> {
  const [steps, each] = value.split(' ');
  return each === 'session' || each === 'week' ? { rise: { steps: Number(steps), each } } : {};
}
