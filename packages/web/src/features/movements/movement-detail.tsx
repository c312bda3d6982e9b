import {
  CAUTIONS,
  CLIMBS,
  demandOf,
  equipmentFor,
  FAMILIES,
  figureOf,
  type Level,
  leversBetween,
  type Movement,
  type Person,
  printDose,
  type Rung as RungOfLadder,
  rungsOf,
  USUAL_RANGES,
} from '@clay-pot/core';
import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useAthletes, useRemoveMovement } from '../../api/queries.js';
import { Figure } from '../../drawing/figure.js';
import { useOwnMovements } from '../../store/own-movements.js';
import { Button, ButtonLink } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { loadStep } from '../../ui/marks.js';
import { useTitle } from '../../ui/page.js';
import { useToast } from '../../ui/toast.js';
import { useForWhom } from '../people/use-person.js';

/** A movement in full: its picture, what it is for, how to do and watch it, what to mind, and its ladder with what each level asks. */
export function MovementDetail({ movement }: { movement: Movement }) {
  useTitle(movement.name);
  const [params, setParams] = useSearchParams();
  const athleteId = params.get('athlete') ?? undefined;
  const { person } = useForWhom(athleteId);
  const [shownId, setShownId] = useState(movement.ladder[0].id);
  const level = movement.ladder.find(({ id }) => id === shownId) ?? movement.ladder[0];
  return (
    <article>
      <div className="flex flex-wrap items-start justify-between gap-x-4 gap-y-2">
        <div>
          <p className="text-small text-ink-soft">{FAMILIES[movement.family]}</p>
          <h2 className="text-head">{movement.name}</h2>
        </div>
        <Tools movement={movement} />
      </div>
      <p className="mt-1 max-w-prose text-lead">{movement.purpose}</p>
      <div className="mt-4 grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <MovingPicture movement={movement} level={level} person={person} />
        <div className="grid content-start gap-4">
          <Lines title="How to" lines={movement.howTo} ordered />
          <Lines title="Say" lines={movement.cues} />
        </div>
      </div>
      <div className="mt-5 grid gap-x-8 gap-y-5 sm:grid-cols-2">
        <Lines title="Watch for" lines={movement.faults} />
        {movement.cautions.length > 0 && <Mind movement={movement} />}
      </div>
      <Ladder
        movement={movement}
        person={person}
        athleteId={athleteId}
        shownId={level.id}
        show={setShownId}
        choose={(id) => setParams((before) => chosen(before, id), { replace: true })}
      />
      <dl className="mt-5 grid gap-x-8 gap-y-1 text-small sm:grid-cols-2">
        <Fact name="Trains" value={movement.trains.join(', ') || 'nothing; it lets go'} />
        <Fact name="Motions" value={movement.motions.join(', ') || 'free'} />
        <Fact name="Corners" value={movement.corners.join(' · ') || 'none of the four'} />
        <Fact name="Hands" value={movement.sides.map((side) => side.replaceAll('-', ' ')).join(' · ')} />
        <Fact name="Directions" value={movement.directions?.join(' · ') ?? 'none'} />
        <Fact name="Climbs by" value={`${movement.climbs}, ${CLIMBS[movement.climbs]}`} />
      </dl>
    </article>
  );
}

function chosen(before: URLSearchParams, athleteId: string): URLSearchParams {
  if (athleteId) before.set('athlete', athleteId);
  else before.delete('athlete');
  return before;
}

/** Copying a shipped movement makes it the studio's own; an own one can be changed, and taken off the shelf and put back. */
function Tools({ movement }: { movement: Movement }) {
  const own = useOwnMovements((state) => state.stored.find(({ id }) => id === movement.id));
  const remove = useRemoveMovement();
  const navigate = useNavigate();
  const { show } = useToast.getState();
  async function takeOff() {
    await remove.mutateAsync({ id: movement.id, undo: false });
    show({
      text: `${movement.name} is off the shelf.`,
      action: { label: 'Put it back', run: () => void remove.mutateAsync({ id: movement.id, undo: true }) },
    });
    void navigate('/movements');
  }
  return (
    <div className="flex flex-wrap gap-2">
      {own && (
        <span className="self-center bg-celadon-wash px-2 py-0.5 text-small font-semibold text-celadon">our own</span>
      )}
      <ButtonLink to={`/movements/${own ? movement.id : 'new'}/edit${own ? '' : `?from=${movement.id}`}`}>
        {own ? 'Change' : 'Copy and change'}
      </ButtonLink>
      {own && !own.removed && <Button onClick={() => void takeOff()}>Take off the shelf</Button>}
      {own?.removed && (
        <Button onClick={() => void remove.mutateAsync({ id: movement.id, undo: true })}>Put back on the shelf</Button>
      )}
    </div>
  );
}

function MovingPicture({ movement, level, person }: { movement: Movement; level: Level; person: Person }) {
  const [moving, setMoving] = useState(true);
  const figure = useMemo(() => possibly(() => figureOf(person.body, movement, level)), [person, movement, level]);
  if (!figure.value) return <p className="border border-line bg-white p-4 text-small text-iron">{figure.trouble}</p>;
  return (
    <figure>
      <Figure
        body={person.body}
        figure={figure.value}
        animated={moving}
        title={`${movement.name}, ${level.name}`}
        className="h-64 w-full border border-line bg-white"
      />
      <figcaption className="mt-1 flex items-center justify-between gap-3 text-small text-ink-soft">
        <span>
          {level.name}
          {figure.value.load && ': hands from above, tinted where they bear'}
        </span>
        {figure.value.moves && (
          <button type="button" className="shrink-0 underline underline-offset-2" onClick={() => setMoving(!moving)}>
            {moving ? 'Hold still' : 'Show the movement'}
          </button>
        )}
      </figcaption>
    </figure>
  );
}

/** A value, or why this body has none. */
function possibly<T>(make: () => T): { value: T | null; trouble: string } {
  try {
    return { value: make(), trouble: '' };
  } catch (error) {
    return { value: null, trouble: error instanceof Error ? error.message : String(error) };
  }
}

function Mind({ movement }: { movement: Movement }) {
  return (
    <section className="border-l-4 border-load-3 bg-amber-wash px-4 py-2">
      <h3 className="text-body">Mind</h3>
      <ul className="grid gap-1">
        {movement.cautions.map((caution) => (
          <li key={caution.text}>
            {caution.text}
            {caution.concerns.length > 0 && (
              <span className="text-small text-ink-soft">
                {' '}
                ({caution.concerns.map((id) => CAUTIONS[id].label.toLowerCase()).join(', ')})
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Lines({ title, lines, ordered = false }: { title: string; lines: readonly string[]; ordered?: boolean }) {
  const List = ordered ? 'ol' : 'ul';
  return (
    <section>
      <h3 className="mb-1 border-b border-line pb-1 text-body">{title}</h3>
      <List className={`grid gap-1 pl-4 ${ordered ? 'list-decimal' : 'list-[square]'} marker:text-ash`}>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </List>
    </section>
  );
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div className="flex gap-2">
      <dt className="shrink-0 text-ink-soft">{name}</dt>
      <dd>{value}</dd>
    </div>
  );
}

interface LadderProps {
  movement: Movement;
  person: Person;
  athleteId: string | undefined;
  shownId: string;
  show: (levelId: string) => void;
  choose: (athleteId: string) => void;
}

/** The ladder drawn as one: the easiest rung at the foot, each with what it asks of the person in view. */
function Ladder({ movement, person, athleteId, shownId, show, choose }: LadderProps) {
  const athletes = useAthletes();
  const { value: rungs, trouble } = useMemo(() => possibly(() => rungsOf(person, movement)), [person, movement]);
  const top = [...movement.ladder].reverse();
  return (
    <section className="mt-6">
      <div className="mb-1 flex flex-wrap items-end justify-between gap-2 border-b-2 border-ink pb-1">
        <h3 className="text-body">Ladder, easiest at the foot</h3>
        <select
          aria-label="Demand for"
          className={`${INPUT} w-52! py-0.5! text-small`}
          value={athleteId ?? ''}
          onChange={(event) => choose(event.target.value)}
        >
          <option value="">for an average adult</option>
          {athletes.data?.map(({ id, name }) => (
            <option key={id} value={id}>
              for {name}
            </option>
          ))}
        </select>
      </div>
      {trouble && <p className="border-l-4 border-iron bg-iron-wash px-3 py-2 text-small">{trouble}</p>}
      <ol reversed className="border-l-4 border-ink">
        {top.map((level, index) => (
          <Rung
            key={level.id}
            movement={movement}
            level={level}
            rung={rungs?.find((rung) => rung.level.id === level.id)}
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
  rung: RungOfLadder | undefined;
  person: Person;
  below: Level | undefined;
  number: number;
  shown: boolean;
  show: (levelId: string) => void;
  athleteId: string | undefined;
}

function Rung({ movement, level, rung, person, below, number, shown, show, athleteId }: RungProps) {
  const things = equipmentFor(movement, level);
  const place = [level.posture, level.contact, level.facing].filter((word) => word !== 'none' && word !== 'free');
  const levers = below ? leversBetween(below, level) : [];
  const query = new URLSearchParams({
    movement: movement.id,
    level: level.id,
    ...(athleteId && { athlete: athleteId }),
  });
  const { value: figure } = useMemo(
    () => possibly(() => figureOf(person.body, movement, level)),
    [person, movement, level],
  );
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
        {figure && (
          <Figure
            body={person.body}
            figure={figure}
            title=""
            withHand={false}
            className="h-18 w-full [--figure-line:1.7px]"
          />
        )}
      </button>
      <div>
        <b>{level.name}</b>
        <p className="text-small">{level.description}</p>
        <p className="text-fine text-ink-soft">
          <span className="inline-block first-letter:uppercase">{place.join(', ')}</span>
          {things.length > 0 && `; needs ${things.join(', ')}`}
        </p>
        {levers.length > 0 && <p className="text-fine text-celadon">Harder by: {levers.join(', ')}</p>}
      </div>
      <div className="col-start-2 lg:col-start-auto lg:text-right">
        {rung && <DemandLine demand={rung.demand} />}
        <code className="bg-porcelain px-1.5 py-0.5 font-text font-semibold figures">{printDose(level.dose)}</code>
        <p className="mt-0.5 text-fine text-ink-soft">
          usual for {USUAL_RANGES[level.dosing].label}; {USUAL_RANGES[level.dosing].source}
        </p>
        {level.load.kind !== 'rest' && (
          <ButtonLink
            kind="quiet"
            className="px-1! py-0! text-small! underline underline-offset-2"
            to={`/bench?${query}`}
          >
            On the load bench
          </ButtonLink>
        )}
      </div>
    </li>
  );
}

/** Load, angle and effort of a level in one line; what is not available is said. */
export function DemandLine({ demand }: { demand: ReturnType<typeof demandOf> }) {
  const { left, right } = demand;
  const effort = Math.max(left.effortPercent, right.effortPercent);
  const parts = [
    left.loadN > 0 && `${left.loadPercentBW.toFixed(0)} % BW a hand`,
    left.angle && `${left.angle.deg.toFixed(0)}°`,
    left.stretchNm > 0 && `${left.stretchNm.toFixed(1)} N·m pull`,
  ].filter(Boolean);
  return (
    <p className="text-small figures">
      {parts.join(' · ')}
      {parts.length > 0 && effort > 0 && ' · '}
      {effort > 0 && (
        <span className={effort > 100 ? 'font-bold text-iron' : ''}>
          <span className={`mr-1 inline-block size-2.5 border border-ink/40 ${loadStep(effort)}`} aria-hidden />
          {effort.toFixed(0)} % effort{effort > 100 && ', not available'}
        </span>
      )}
    </p>
  );
}
