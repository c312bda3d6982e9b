import {
  asDosed,
  type Block,
  carryDistanceM,
  type Demand,
  distanceS,
  type Dose,
  foundKilograms,
  firstOf,
  HANDS,
  handsWorking,
  type Level,
  type Movement,
  type Person,
  rollerWork,
  STRENGTH_WORDS,
  withFoundLoad,
  withOwnLoad,
} from '@clay-pot/core';
import { Link, useParams } from 'react-router';
import { metricText, readingText } from '../../domain/measuring/units.js';
import { SideMark } from '../../ui/marks.js';
import { DemandLine } from '../../domain/movement/demand-line.js';
import { LevelPicture } from '../../domain/movement/level-picture.js';
import type { NamedSubject } from '../../domain/athlete/named-subject.js';
import { changeDose } from '../../store/editor.js';

interface Props {
  block: Block;
  movement: Movement;
  level: Level;
  /** What its hardest round asks, as the checks read it; null where this body cannot take it. */
  demand: Demand | null;
  seen: NamedSubject;
}

/** What the selected block asks of the athlete in view, with its picture and the way to the load bench. */
export function BlockDemand({ block, movement, level, demand, seen }: Props) {
  const { id } = useParams();
  const { person, name, athleteId } = seen;
  const query = new URLSearchParams({
    movement: movement.id,
    level: level.id,
    ...(athleteId && { athlete: athleteId }),
    ...(id && { sequence: id, block: block.id }),
  });
  return (
    <div className="flex items-center gap-3">
      <LevelPicture
        movement={movement}
        level={withOwnLoad(level, block.dose.load)}
        body={person.body}
        className="h-22 w-36 shrink-0 border border-line bg-white [--figure-line:1.7px]"
      />
      <div className="min-w-0">
        <Asked movement={movement} person={person} block={block} level={level} demand={demand} />
        <FoundLoad {...{ seen, block, movement, level }} />
        <p className="text-fine text-ink-soft">
          For {name}.{level.meantFor && ` Default dose: ${STRENGTH_WORDS[level.meantFor]}.`}{' '}
          {level.load.kind !== 'rest' && (
            <Link className="underline underline-offset-2" to={`/bench?${query}`}>
              Open in load bench
            </Link>
          )}
        </p>
      </div>
    </div>
  );
}

function Asked({ person, block, movement, level, demand }: Pick<Props, 'block' | 'movement' | 'level' | 'demand'> & { person: Person }) {
  // The reason is given once, in the checks.
  if (!demand) return <p className="text-small font-semibold text-iron">This body can’t take this position.</p>;
  const chosenLevel = asDosed(person, movement, level, block.dose);
  const pressed = chosenLevel.load.kind === 'press' ? chosenLevel.load.action : null;
  return (
    <>
      <DemandLine demand={demand} hands={handsWorking(block.dose.sides)} />
      {sums(chosenLevel, block.dose) && <p className="text-small text-ink-soft figures">{sums(chosenLevel, block.dose)}</p>}
      {pressed && (
        <p className="flex flex-wrap items-center gap-x-2 text-small figures">
          {HANDS.map((hand) => {
            const effort = firstOf(demand[hand].efforts);
            const { unit, source } = effort.capacity;
            return (
              <span key={hand}>
                <SideMark side={hand} /> {readingText(unit, effort.demand)} ({source})
              </span>
            );
          })}
        </p>
      )}
    </>
  );
}

/** What the effort of a dose comes to for the person in view, as a weight that can be kept instead. */
function FoundLoad({ seen, block, movement, level }: Omit<Props, 'demand'>) {
  const { dose } = block;
  const kg = foundKilograms(seen.person, movement, level, dose);
  const kept = withFoundLoad(seen.person, movement, level, dose);
  if (kg === null || kept === dose) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-2 text-small">
      <span>
        {dose.effortPercent} % for {seen.name}: <b className="figures">{metricText('kg', kg, 2)}</b>
      </span>
      <button type="button" className="underline underline-offset-2" onClick={() => changeDose(block.id, kept)}>
        Use this weight
      </button>
    </p>
  );
}

/** What a carry or a roller comes to, beside the dose that is set for it. */
function sums(level: Level, { work }: Dose): string | null {
  const { load } = level;
  if (work.kind === 'distance') return `${work.metres} m take about ${distanceS(work.metres, level).toFixed(0)} s.`;
  if (load.kind === 'lift' && load.distanceM !== undefined && work.kind === 'time') {
    return `${work.seconds} s are about ${carryDistanceM(work.seconds).toFixed(0)} m at a walk.`;
  }
  if (load.kind === 'roller') {
    const { turns, workJ } = rollerWork({ massKg: load.massKg, drumRadiusM: load.drumMm / 2000, ropeM: load.ropeM });
    return `${turns.toFixed(0)} turns wind the rope up: ${workJ.toFixed(0)} J.`;
  }
  return null;
}
