import { type Action, ACTIONS, type Capacity, capacityOf, type Hand, HANDS, intervalOf, type Person } from '@clay-pot/core';
import { numberText, shownUnit } from '../../domain/measuring/units.js';
import { SideMark } from '../../ui/marks.js';
import { Part } from '../../ui/page.js';

interface Learned {
  readonly action: Action;
  readonly hand: Hand;
  readonly before: Capacity;
  readonly now: Capacity;
}

/** The maxima that sets have shown, as they would be believed without any set, and as they are now. */
function learnedOf(person: Person): Learned[] {
  const untold: Person = { ...person, evidence: person.evidence.filter(({ kind }) => kind === 'maximum') };
  return (Object.keys(ACTIONS) as Action[]).flatMap((action) =>
    HANDS.flatMap((hand): Learned[] => {
      const tells = person.evidence.some((entry) => entry.action === action && entry.hand === hand && entry.kind !== 'maximum');
      return tells ? [{ action, hand, before: capacityOf(untold, action, hand), now: capacityOf(person, action, hand) }] : [];
    }),
  );
}

/** What the sets of somebody have shown: the range of each maximum for four in five like this, before the first one and now. */
export function Narrowing({ person }: { person: Person }) {
  const learned = learnedOf(person);
  return (
    <Part title="What sets say about the maximum" className="mt-8">
      {learned.length === 0 ? (
        <p className="py-2 text-ink-soft">
          No data yet. A set tells something about the maximum when it loads a third of it or more and is rated. Presses don’t, because they
          are a share of the maximum.
        </p>
      ) : (
        <table className="w-full text-small">
          <caption className="sr-only">Maximum before the first set and now</caption>
          <thead>
            <tr className="text-left text-ink-soft">
              <th className="py-1 pr-3 font-normal">Maximum of the hand</th>
              <th className="py-1 pr-3 font-normal">Range for 4 in 5 people like this</th>
              <th className="py-1 pr-3 text-right font-normal">Without its sets</th>
              <th className="py-1 text-right font-normal">Now</th>
            </tr>
          </thead>
          <tbody>
            {learned.map((each) => (
              <Row key={`${each.action} ${each.hand}`} learned={each} />
            ))}
          </tbody>
        </table>
      )}
    </Part>
  );
}

function Row({ learned: { action, hand, before, now } }: { learned: Learned }) {
  const [was, is] = [before, now].map(({ value, logSd }) => intervalOf(value, logSd));
  if (!was || !is) return null;
  const most = 1.1 * Math.max(was[1], is[1]);
  const text = ([low, high]: readonly [number, number]) => `${numberText(ACTIONS[action], low)}–${numberText(ACTIONS[action], high)}`;
  return (
    <tr className="border-t border-line">
      <th scope="row" className="py-1 pr-3 text-left font-normal">
        {action} <SideMark side={hand} /> <span className="text-ink-soft">{shownUnit(ACTIONS[action])}</span>
      </th>
      <td className="w-64 py-1 pr-3" aria-hidden>
        <Bar of={was} most={most} fill="bg-line" />
        <Bar of={is} most={most} fill={hand === 'left' ? 'bg-cobalt' : 'bg-ochre-fill hatch-right'} />
      </td>
      <td className="py-1 pr-3 text-right figures text-ink-soft">{text(was)}</td>
      <td className="py-1 text-right font-semibold figures">{text(is)}</td>
    </tr>
  );
}

function Bar({ of: [low, high], most, fill }: { of: readonly [number, number]; most: number; fill: string }) {
  return (
    <div className="relative h-2">
      <div className={`absolute h-1.5 ${fill}`} style={{ left: `${(100 * low) / most}%`, width: `${(100 * (high - low)) / most}%` }} />
    </div>
  );
}
