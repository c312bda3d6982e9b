import { CAUTIONS, equipmentFor, FAMILIES, type Level, type Movement, printDose, USUAL_RANGES } from '@clay-pot/core';
import { useTitle } from '../../ui/page.js';

/** A movement in full: what it is for, how to do and watch it, what to mind, and its ladder. */
export function MovementDetail({ movement }: { movement: Movement }) {
  useTitle(movement.name);
  return (
    <article>
      <p className="text-small text-ink-soft">{FAMILIES[movement.family]}</p>
      <h2 className="text-head">{movement.name}</h2>
      <p className="mt-1 max-w-prose text-lead">{movement.purpose}</p>
      <div className="mt-5 grid gap-x-8 gap-y-5 sm:grid-cols-2 xl:grid-cols-3">
        <Lines title="How to" lines={movement.howTo} ordered />
        <Lines title="Say" lines={movement.cues} />
        <Lines title="Watch for" lines={movement.faults} />
      </div>
      {movement.cautions.length > 0 && (
        <section className="mt-5 border-l-4 border-load-3 bg-amber-wash px-4 py-2">
          <h3 className="text-body">Mind</h3>
          <ul>
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
      )}
      <Ladder movement={movement} />
      <dl className="mt-5 grid gap-x-8 gap-y-1 text-small sm:grid-cols-2">
        <Fact name="Trains" value={movement.trains.join(', ') || 'nothing; it lets go'} />
        <Fact name="Motions" value={movement.motions.join(', ') || 'free'} />
        <Fact name="Hands" value={movement.sides.map((side) => side.replaceAll('-', ' ')).join(' · ')} />
        <Fact name="Directions" value={movement.directions?.join(' · ') ?? 'none'} />
      </dl>
    </article>
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
      <dt className="text-ink-soft">{name}</dt>
      <dd>{value}</dd>
    </div>
  );
}

/** The ladder drawn as one: the easiest rung at the foot. */
function Ladder({ movement }: { movement: Movement }) {
  const rungs = [...movement.ladder].reverse();
  return (
    <section className="mt-6">
      <h3 className="mb-1 border-b-2 border-ink pb-1 text-body">Ladder, easiest at the foot</h3>
      <ol reversed className="border-l-4 border-ink">
        {rungs.map((level, index) => (
          <Rung key={level.id} movement={movement} level={level} number={rungs.length - index} />
        ))}
      </ol>
    </section>
  );
}

function Rung({ movement, level, number }: { movement: Movement; level: Level; number: number }) {
  const things = equipmentFor(movement, level);
  const place = [level.posture, level.contact, level.facing].filter((word) => word !== 'none' && word !== 'free');
  return (
    <li className="grid grid-cols-[2rem_minmax(0,1fr)] items-baseline gap-x-3 gap-y-1 border-b border-line py-2 pr-1 pl-3 lg:grid-cols-[2rem_minmax(0,1fr)_15rem]">
      <span className="display text-lead font-bold">{number}</span>
      <div>
        <b>{level.name}</b>
        <p className="text-small">{level.description}</p>
        <p className="text-fine text-ink-soft">
          <span className="inline-block first-letter:uppercase">{place.join(', ')}</span>
          {things.length > 0 && `; needs ${things.join(', ')}`}
        </p>
      </div>
      <div className="col-start-2 lg:col-start-auto lg:text-right">
        <code className="bg-white px-1.5 py-0.5 font-text font-semibold figures">{printDose(level.dose)}</code>
        <p className="mt-0.5 text-fine text-ink-soft">usual for {USUAL_RANGES[level.dosing].label}</p>
      </div>
    </li>
  );
}
