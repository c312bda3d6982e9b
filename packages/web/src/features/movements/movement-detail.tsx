import { hasWebGl } from '../../drawing/hand/shared-stage.js';
import { CAUTIONS, CLIMBS, FAMILIES, type Level, type Movement, type Person } from '@clay-pot/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { OurName } from './our-name.js';
import { useRemoveMovement } from '../../api/own-queries.js';
import { useOwnMovements } from '../../store/own-movements.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { useTitle } from '../../ui/page.js';
import { useToast } from '../../ui/toast.js';
import { PrecautionsPanel } from '../../domain/athlete/precautions-panel.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { useLevelPicture } from '../../domain/movement/level-picture.js';
import { MovingPicture } from '../../domain/movement/moving-picture.js';
import { MovementLadder } from './movement-ladder.js';
import { athleteIn } from '../../domain/athlete/athlete-of-view.js';

/** A movement in full: its picture, what it is for, how to do and watch it, what to mind, and its ladder with what each level asks. */
export function MovementDetail({ movement }: { movement: Movement }) {
  useTitle(movement.name);
  const [params, setParams] = useSearchParams();
  const athleteId = athleteIn(params);
  const { person } = useSubject(athleteId);
  const [shownId, setShownId] = useState(movement.ladder[0].id);
  const level = movement.ladder.find(({ id }) => id === shownId) ?? movement.ladder[0];
  return (
    <article>
      <div className="flex flex-wrap items-start justify-between gap-x-4 gap-y-2">
        <div>
          <p className="text-small text-ink-soft">{FAMILIES[movement.family]}</p>
          <h2 className="text-head">{movement.name}</h2>
          <OurName key={movement.id} movement={movement} />
        </div>
        <Tools movement={movement} />
      </div>
      <p className="mt-1 max-w-prose text-lead">{movement.purpose}</p>
      <div className="mt-4">
        <PrecautionsPanel athleteId={athleteId} movement={movement} level={level} />
      </div>
      <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <Picture movement={movement} level={level} person={person} />
        <div className="grid content-start gap-4">
          <Lines title="How to" lines={movement.howTo} ordered />
          <Lines title="Cues" lines={movement.cues} />
        </div>
      </div>
      <div className="mt-5 grid gap-x-8 gap-y-5 sm:grid-cols-2">
        <Lines title="Common faults" lines={movement.faults} />
        {movement.cautions.length > 0 && <Precautions movement={movement} />}
      </div>
      <MovementLadder
        movement={movement}
        person={person}
        athleteId={athleteId}
        shownId={level.id}
        show={setShownId}
        choose={(id) => setParams((before) => chosen(before, id), { replace: true })}
      />
      <dl className="mt-5 grid gap-x-8 gap-y-1 text-small sm:grid-cols-2">
        <Fact name="Trains" value={movement.trains.join(', ') || 'nothing; it releases'} />
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
  async function archive() {
    await remove.mutateAsync({ id: movement.id, undo: false });
    show({
      text: `${movement.name} is archived.`,
      action: { label: 'Restore', run: () => void remove.mutateAsync({ id: movement.id, undo: true }) },
    });
    void navigate('/movements');
  }
  return (
    <div className="flex flex-wrap gap-2">
      {own && <span className="self-center bg-celadon-wash px-2 py-0.5 text-small font-semibold text-celadon">custom</span>}
      <ButtonLink to={`/movements/${own ? movement.id : 'new'}/edit${own ? '' : `?from=${movement.id}`}`}>
        {own ? 'Edit' : 'Duplicate and edit'}
      </ButtonLink>
      {own && !own.removed && <Button onClick={() => void archive()}>Archive</Button>}
      {own?.removed && <Button onClick={() => void remove.mutateAsync({ id: movement.id, undo: true })}>Restore</Button>}
    </div>
  );
}

function Picture({ movement, level, person }: { movement: Movement; level: Level; person: Person }) {
  const [moving, setMoving] = useState(true);
  const { value: drawn } = useLevelPicture(movement, level, person.body);
  const moves = drawn !== null && ((drawn.hand.moves && hasWebGl()) || drawn.figure.moves);
  return (
    <figure>
      <MovingPicture
        movement={movement}
        level={level}
        body={person.body}
        moving={moving}
        className="h-[28rem] w-full border border-line bg-white sm:h-[26rem]"
      />
      <figcaption className="mt-1 flex items-center justify-between gap-3 text-small text-ink-soft">
        <span>
          {level.name}. {drawn?.hand.unposed ? <Unposed movement={movement} /> : hasWebGl() && 'Drag to turn the view.'}
        </span>
        {moves && (
          <button type="button" className="shrink-0 underline underline-offset-2" onClick={() => setMoving(!moving)}>
            {moving ? 'Pause' : 'Play'}
          </button>
        )}
      </figcaption>
    </figure>
  );
}

/** A level of which nothing says what the hand does is drawn at rest; its studio can pose it. */
function Unposed({ movement: { id } }: { movement: Movement }) {
  const own = useOwnMovements((state) => state.stored.some((stored) => stored.id === id));
  return (
    <>
      No picture yet, the hand is drawn at rest:{' '}
      <Link to={own ? `/movements/${id}/edit` : `/movements/new/edit?from=${id}`} className="underline underline-offset-2">
        edit the pose
      </Link>
    </>
  );
}

function Precautions({ movement }: { movement: Movement }) {
  return (
    <section className="border-l-4 border-load-3 bg-amber-wash px-4 py-2">
      <h3 className="text-body">Precautions</h3>
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
