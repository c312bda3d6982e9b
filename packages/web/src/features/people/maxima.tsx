import {
  type Action,
  ACTIONS,
  type Capacity,
  capacityOf,
  dayWords,
  type Evidence,
  type Hand,
  HANDS,
  intervalOf,
  type Person,
} from '@clay-pot/core';
import { Term } from '../../domain/terms/term.js';
import { numberText, shownUnit } from '../../domain/measuring/units.js';
import { HandTableHead } from '../../ui/hand-table-head.js';
import { SideMark } from '../../ui/marks.js';
import { Disclosure } from '../../ui/disclosure.js';

/** What is asked most often; the rest is on the load bench. */
const SHOWN: readonly Action[] = [
  'grip',
  'wrist flexion',
  'wrist extension',
  'radial deviation',
  'ulnar deviation',
  'supination',
  'finger extension',
];

const unitName = (action: Action) => shownUnit(ACTIONS[action]);

/** What is believed of each hand's maxima, with where they lie for four fifths of people like this, and what that rests on. */
export function Maxima({ person }: { person: Person }) {
  return (
    <div>
      <table className="w-full text-small">
        <caption className="mb-1 text-left text-ink-soft">
          <Term term="maximum">Maximum of each hand</Term>, with the range for 4 in 5 people like this. “About” marks an estimate without a
          test.
        </caption>
        <HandTableHead />
        <tbody>
          {SHOWN.map((action) => (
            <tr key={action} className="border-b border-line">
              <th scope="row" className="py-0.5 text-left font-normal">
                {action}
                <span className="text-ink-soft">, {unitName(action)}</span>
              </th>
              {HANDS.map((hand) => (
                <MaximumCell key={hand} capacity={capacityOf(person, action, hand)} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <RestsOn person={person} />
    </div>
  );
}

function MaximumCell({ capacity: { value, logSd, unit, source, from, atOdds } }: { capacity: Capacity }) {
  const [low, high] = intervalOf(value, logSd);
  return (
    <td className="py-0.5 text-right figures" title={from}>
      {source === 'estimated' ? <span className="text-ink-soft">about {numberText(unit, value)}</span> : <b>{numberText(unit, value)}</b>}
      <span className="block text-fine text-ink-soft">
        {numberText(unit, low)}–{numberText(unit, high)}
        {atOdds.length > 0 && <b className="text-amber"> doesn’t fit</b>}
      </span>
    </td>
  );
}

const MOST_LINES = 40;

/** Everything that was seen of the hands' maxima, the newest first, with what does not fit the rest of it. */
function RestsOn({ person }: { person: Person }) {
  const all = (Object.keys(ACTIONS) as Action[]).flatMap((action) =>
    HANDS.flatMap((hand) => {
      const { evidence, atOdds } = capacityOf(person, action, hand);
      return evidence.map((entry) => ({ entry, fits: !atOdds.includes(entry) }));
    }),
  );
  if (all.length === 0) return null;
  all.sort((a, b) => b.entry.onDay.localeCompare(a.entry.onDay));
  return (
    <Disclosure className="mt-1 text-small" title={<>What this rests on: {all.length} tests and sets</>} buttonClassName="font-semibold">
      <ul className="mt-1 max-h-64 overflow-y-auto">
        {all.slice(0, MOST_LINES).map(({ entry, fits }, index) => (
          <Line key={index} entry={entry} fits={fits} />
        ))}
        {all.length > MOST_LINES && <li className="text-ink-soft">and {all.length - MOST_LINES} earlier</li>}
      </ul>
    </Disclosure>
  );
}

function Line({ entry, fits }: { entry: Evidence; fits: boolean }) {
  const { action, hand, value, onDay, what }: Evidence & { hand: Hand } = entry;
  return (
    <li className="flex flex-wrap items-center gap-x-2 border-b border-line py-0.5">
      <SideMark side={hand} />
      <span>
        {action} <b className="figures">{numberText(ACTIONS[action], value)}</b> {unitName(action)}
      </span>
      <span className="text-ink-soft">
        {what}, {dayWords(onDay)}
      </span>
      {!fits && <span className="font-semibold text-amber">doesn’t fit the other tests; both are kept</span>}
    </li>
  );
}
