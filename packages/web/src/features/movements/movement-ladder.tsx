import { readable } from '../../domain/measuring/units.js';
import {
  equipmentFor,
  type Level,
  leversBetween,
  type Movement,
  type Person,
  capitalSentence,
  doseSentence,
  type LevelDemand,
  levelDemands,
  STRENGTH_WORDS,
  USUAL_RANGES,
} from '@clay-pot/core';
import { useMemo } from 'react';
import { ButtonLink } from '../../ui/button-link.js';
import { DemandLine } from '../../domain/movement/demand-line.js';
import { LevelPicture } from '../../domain/movement/level-picture.js';
import { possibly } from '../../domain/movement/possibly.js';
import { AthleteChoice } from '../../domain/athlete/athlete-choice.js';

interface LadderProps {
  movement: Movement;
  person: Person;
  athleteId: string | undefined;
  shownId: string;
  show: (levelId: string) => void;
  choose: (athleteId: string) => void;
}

/** The ladder drawn as one: the easiest rung at the foot, each with what it asks of the person in view. */
export function MovementLadder({ movement, person, athleteId, shownId, show, choose }: LadderProps) {
  const { value: demands, trouble } = useMemo(() => possibly(() => levelDemands(person, movement)), [person, movement]);
  const top = [...movement.ladder].reverse();
  return (
    <section className="mt-6">
      <div className="mb-1 flex flex-wrap items-end justify-between gap-2 border-b-2 border-ink pb-1">
        <h3 className="text-body">Levels, easiest at the bottom</h3>
        <AthleteChoice
          label="Demand for"
          className="w-52 text-small"
          nobody="for an average adult"
          value={athleteId}
          choose={(chosen) => choose(chosen ?? '')}
        />
      </div>
      {trouble && <p className="border-l-4 border-iron bg-iron-wash px-3 py-2 text-small">{trouble}</p>}
      <ol reversed className="border-l-4 border-ink">
        {top.map((level, index) => (
          <Rung
            key={level.id}
            movement={movement}
            level={level}
            row={demands?.find((levelDemand) => levelDemand.level.id === level.id)}
            person={person}
            below={top[index + 1]}
            number={top.length - index}
            shown={level.id === shownId}
            show={show}
            athleteId={athleteId}
          />
        ))}
      </ol>
    </section>
  );
}

interface RungProps {
  movement: Movement;
  level: Level;
  row: LevelDemand | undefined;
  person: Person;
  below: Level | undefined;
  number: number;
  shown: boolean;
  show: (levelId: string) => void;
  athleteId: string | undefined;
}

function Rung({ movement, level, row, person, below, number, shown, show, athleteId }: RungProps) {
  const things = equipmentFor(movement, level);
  const place = [level.posture, level.contact, level.facing].filter((word) => word !== 'none' && word !== 'free');
  const levers = below ? leversBetween(below, level) : [];
  const query = new URLSearchParams({
    movement: movement.id,
    level: level.id,
    ...(athleteId && { athlete: athleteId }),
  });
  return (
    <li
      className={`grid grid-cols-[2rem_minmax(0,1fr)] items-center gap-x-3 gap-y-1 border-b border-line py-2 pr-1 pl-3 lg:grid-cols-[2rem_8rem_minmax(0,1fr)_13rem] ${shown ? 'bg-white' : ''}`}
    >
      <span className="display text-lead font-bold">{number}</span>
      <button
        type="button"
        className="hidden lg:block"
        aria-label={`Show ${level.name}`}
        aria-pressed={shown}
        onClick={() => show(level.id)}
      >
        <LevelPicture silent movement={movement} level={level} body={person.body} className="h-18 w-full [--figure-line:1.7px]" />
      </button>
      <div>
        <b>{level.name}</b>
        {level.meantFor && (
          <span className="ml-2 bg-amber-wash px-1.5 text-fine font-semibold text-amber">{STRENGTH_WORDS[level.meantFor]}</span>
        )}
        <p className="text-small">{level.description}</p>
        <p className="text-fine text-ink-soft">
          <span className="inline-block first-letter:uppercase">{place.join(', ')}</span>
          {things.length > 0 && `; needs ${things.join(', ')}`}
        </p>
        {levers.length > 0 && <p className="text-fine text-celadon">Harder by: {levers.join(', ')}</p>}
      </div>
      <div className="col-start-2 lg:col-start-auto lg:text-right">
        {row && <DemandLine demand={row.demand} />}
        <p className="text-small font-semibold">{readable(capitalSentence(doseSentence(level.dose, movement, level)))}</p>
        <p className="mt-0.5 text-fine text-ink-soft">
          default for {USUAL_RANGES[level.dosing].label}; {USUAL_RANGES[level.dosing].source}
        </p>
        {level.load.kind !== 'rest' && (
          <ButtonLink kind="quiet" className="px-1! py-0! text-small! underline underline-offset-2" to={`/bench?${query}`}>
            Open in load bench
          </ButtonLink>
        )}
      </div>
    </li>
  );
}
