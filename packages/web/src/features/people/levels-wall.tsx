import { readable } from '../../domain/measuring/units.js';
import type { LevelItem } from '@clay-pot/contracts';
import {
  formWords,
  capital,
  dayWords,
  type GateForecast,
  groupedBy,
  type Hand,
  HAND_WORDS,
  isProgression,
  loweredSentence,
  type Movement,
  UNIT_LETTERS,
} from '@clay-pot/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLevels } from '../../api/queries.js';
import { MovementName } from '../../domain/movement/movement-name.js';
import { useStudioLibrary } from '../../store/library.js';
import { Button } from '../../ui/button.js';
import { dayText } from '../../ui/format.js';
import { SideMark } from '../../ui/marks.js';
import { Empty, Loading, Part } from '../../ui/page.js';
import { Term } from '../../domain/terms/term.js';
import { Disclosure } from '../../ui/disclosure.js';

/** So many movements are shown before somebody asks for all of them. */
const FIRST = 6;

/** The position of each hand on the ladders of its movements: a wall of levels, the easiest to the left. */
export function LevelsWall({ athleteId }: { athleteId: string }) {
  const levels = useLevels(athleteId);
  const { movement: lookup } = useStudioLibrary();
  const [all, setAll] = useState(false);
  const rows = [...groupedBy(levels.data ?? [], ({ movementId }) => movementId)].flatMap(([id, hands]) => {
    const movement = lookup(id);
    return movement && movement.ladder.length > 1 ? [{ movement, hands }] : [];
  });
  // What may go on or must go back is looked at before what stays, what the goal asks for and what loads before the rest.
  const moving = (hands: readonly LevelItem[]) =>
    hands.some(({ step }) => step.kind !== 'hold')
      ? 0
      : hands.some(({ goal }) => goal)
        ? 1
        : hands.some(({ forecast }) => forecast)
          ? 2
          : 3;
  const sorted = rows.sort((a, b) => moving(a.hands) - moving(b.hands));
  return (
    <Part title="Levels">
      {levels.isPending ? (
        <Loading what="levels" />
      ) : rows.length === 0 ? (
        <Empty>No levels yet. They come from sessions that were done and rated.</Empty>
      ) : (
        <ul aria-label="Levels">
          {sorted.slice(0, all ? undefined : FIRST).map(({ movement, hands }) => (
            <Wall key={movement.id} movement={movement} hands={hands} />
          ))}
        </ul>
      )}
      {!all && rows.length > FIRST && (
        <Button className="mt-2" kind="quiet" onClick={() => setAll(true)}>
          All {rows.length} movements
        </Button>
      )}
    </Part>
  );
}

function Wall({ movement, hands }: { movement: Movement; hands: readonly LevelItem[] }) {
  const handsAt = (levelId: string): Hand[] => hands.filter((each) => each.levelId === levelId).map(({ hand }) => hand);
  return (
    <li className="border-b border-line py-2">
      <Link to={`/movements/${movement.id}`} className="font-semibold hover:underline">
        <MovementName movement={movement} />
      </Link>
      <ol className="mt-1 grid grid-cols-[repeat(auto-fit,minmax(6.5rem,1fr))] gap-px" aria-label={`Ladder of ${movement.name}`}>
        {movement.ladder.map((level) => {
          const here = handsAt(level.id);
          return (
            <li
              key={level.id}
              title={level.name}
              className={`flex min-w-0 items-start justify-between gap-1 border px-1.5 py-1 text-fine ${here.length > 0 ? 'border-ink bg-white font-semibold' : 'border-line bg-ground text-ink-soft'}`}
            >
              <span className="line-clamp-2 min-w-0">{level.name}</span>
              <span className="flex shrink-0 gap-0.5">
                {(['left', 'right'] as const)
                  .filter((hand) => here.includes(hand))
                  .map((hand) => (
                    <SideMark key={hand} side={hand} />
                  ))}
              </span>
            </li>
          );
        })}
      </ol>
      <Steps hands={hands} />
      <When hands={hands} />
      <Evidence hands={hands} movement={movement} />
    </li>
  );
}

/** What comes next and why; said once where it is the same for both hands. */
function Steps({ hands }: { hands: readonly LevelItem[] }) {
  return [...groupedBy(hands, ({ why }) => readable(why))].map(([why, same]) => (
    <p
      key={why}
      className={`mt-1 border-l-4 pl-2 text-small ${same.some(({ step }) => isProgression(step)) ? 'border-celadon-fill' : same.some(({ step }) => step.kind === 'hold') ? 'border-line' : 'border-load-3'}`}
    >
      <b>{capital(HAND_WORDS[same.length > 1 ? 'both' : (same[0]?.hand ?? 'both')])}:</b> {why}
    </p>
  ));
}

/** When gates are likely passed, of the hand that comes there last; or why nobody knows. */
function When({ hands }: { hands: readonly LevelItem[] }) {
  const goals = hands.flatMap(({ goal }) => (goal ? [goal] : []));
  return (
    <div className="mt-1 text-small text-ink-soft">
      <ForecastLine label="Next level" forecasts={hands.flatMap(({ forecast }) => forecast ?? [])} />
      {goals[0] && (
        <ForecastLine label={`Goal, ${goals[0].words}: “${goals[0].levelName}”`} forecasts={goals.map(({ forecast }) => forecast)} />
      )}
    </div>
  );
}

function ForecastLine({ label, forecasts }: { label: string; forecasts: readonly GateForecast[] }) {
  const unknown = forecasts.find(({ onDay }) => onDay === null);
  const last = [...forecasts].sort((a, b) => (b.onDay ?? '').localeCompare(a.onDay ?? ''))[0];
  const forecast = unknown ?? last;
  if (!forecast) return null;
  const { fromDay, toDay, why, sooner } = forecast;
  return (
    <p>
      {label}:{' '}
      {fromDay && toDay ? (
        <b className="text-ink figures">
          likely {dayWords(fromDay)} to {dayWords(toDay)}
        </b>
      ) : (
        readable(loweredSentence(why))
      )}
      {sooner.length > 0 && `. Sooner by ${sooner.map(({ words, days }) => `${words} (${days} days)`).join('; ')}`}
    </p>
  );
}

function Evidence({ hands, movement }: { hands: readonly LevelItem[]; movement: Movement }) {
  const nameOf = (levelId: string) => movement.ladder.find(({ id }) => id === levelId)?.name ?? levelId;
  const rows = hands
    .flatMap(({ hand, history }) => history.map((done) => ({ hand, ...done })))
    .sort((a, b) => b.endedAt.localeCompare(a.endedAt) || a.hand.localeCompare(b.hand));
  return (
    <Disclosure className="mt-1 text-small" title="Based on" buttonClassName="text-ink-soft">
      <table className="w-full">
        <thead>
          <tr className="text-left text-fine text-ink-soft">
            <th className="font-normal">Date</th>
            <th className="font-normal">Hand</th>
            <th className="font-normal">Level</th>
            <th className="font-normal">Done</th>
            <th className="font-normal">
              <Term term="discomfort">Discomfort</Term>
            </th>
            <th className="font-normal">
              <Term term="exertion">Effort (RPE)</Term>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(
            ({ hand, sessionId, endedAt, levelId, sets, amount, unit, effortPercent, isWhole, discomfort, exertion, formFaults }) => (
              <tr key={sessionId + hand} className="border-b border-line">
                <td>
                  <Link to={`/records/${sessionId}`} className="underline underline-offset-2">
                    {dayText(endedAt)}
                  </Link>
                </td>
                <td>
                  <SideMark side={hand} />
                </td>
                <td>{nameOf(levelId)}</td>
                <td className="figures">
                  {sets}x{amount}
                  {UNIT_LETTERS[unit]}
                  {effortPercent !== null && ` @${effortPercent}%`}
                  {!isWhole && ', not completed'}
                  {formFaults.length > 0 && `, form: ${formWords(formFaults)}`}
                </td>
                <td className="figures">{discomfort ?? '–'}</td>
                <td className="figures">{exertion ?? '–'}</td>
              </tr>
            ),
          )}
        </tbody>
      </table>
    </Disclosure>
  );
}
