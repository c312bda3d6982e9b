import { readable } from '../../domain/measuring/units.js';
import {
  capital,
  cautionAdvice,
  cuesFor,
  type Dose,
  type Level,
  currentPart,
  forbidsLoading,
  foundKilograms,
  HAND_WORDS,
  inNamedPosition,
  type Movement,
  type Timeline,
  type TimelineEvent,
  thingsAfterBreak,
  turnOf,
  type WorkingSide,
  withOwnLoad,
} from '@clay-pot/core';
import { useMemo } from 'react';
import { MovementName } from '../../domain/movement/movement-name.js';
import { movementById, methodFor, useOwnName } from '../../store/library.js';
import { usePlayhead } from '../../store/playhead.js';
import { ratingDueNow, finishNow, type Run } from '../../store/run.js';
import { bigNumber, cueFor, endWords, spoken, whichSet, wordsFor } from '../../domain/session/moment-words.js';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { PlayerPicture } from './player-picture.js';

/** What happens now, readable from across the room: hand, count or time, and what to do. */
export function Moment({ run, timeline, event }: { run: Run; timeline: Timeline; event: TimelineEvent }) {
  const { sequence } = run;
  const { block, movement, level } = turnOf(sequence, event, movementById);
  const called = useOwnName(movement.id) ?? movement.name;
  const part = usePlayhead(({ head }) => currentPart(event, head).part);
  const isAsked = usePlayhead((playhead) => ratingDueNow(run, playhead) !== undefined);
  const drawn = useMemo(
    () => inNamedPosition(withOwnLoad(level, block.dose.load), movement, event.direction),
    [level, movement, block.dose.load, event.direction],
  );
  const stint = event.stint === null ? undefined : timeline.stints[event.stint];
  const end = endWords(stint, event, level);
  const foundKg = useFound(run.athleteId, { movement, level }, block.dose);
  return (
    <section
      aria-label="Now"
      className="grid min-h-0 flex-1 grid-rows-[auto_minmax(34dvh,1fr)_auto] px-4 pt-2 pb-2 sm:px-8 sm:pt-3 short:grid-cols-2 short:grid-rows-[auto_minmax(0,1fr)] short:gap-x-4"
    >
      <div className="flex items-center gap-3 short:col-start-2">
        <HandSign side={event.side} />
        <div className="min-w-0">
          <h2 className="text-lead leading-tight sm:text-head short:text-lead!">
            <MovementName movement={movement} />
          </h2>
          <p className="truncate text-small text-ink-soft sm:text-body short:text-small!">{level.name}</p>
        </div>
      </div>
      {/* The picture takes what is left of the screen, and never more: count and controls stay in sight. */}
      <div className="relative -mx-4 mt-2 min-h-0 border-y border-line bg-white [contain:size] sm:-mx-8 short:mx-0 short:row-span-2 short:row-start-1 short:mt-0 short:min-h-[62dvh]">
        <PlayerPicture run={run} event={event} movement={movement} level={drawn} className="absolute inset-0 size-full" />
        {end && (
          <button
            type="button"
            className="absolute inset-0 flex items-end justify-center p-3 focus-visible:outline-4 focus-visible:-outline-offset-4"
            onClick={finishNow}
          >
            <span className="border-2 border-ink bg-white/90 px-4 py-2 font-bold sm:text-lead">{end}</span>
          </button>
        )}
      </div>
      <div className="grid grid-cols-[auto_minmax(0,1fr)] items-end gap-x-4 pt-2 sm:grid-cols-[auto_minmax(9rem,auto)_minmax(0,1fr)] sm:gap-x-6 short:col-start-2 short:grid-cols-[auto_minmax(0,1fr)]">
        <BigCount timeline={timeline} event={event} />
        <div className="min-w-0">
          <OutOf timeline={timeline} event={event} />
          <p className="display text-head leading-tight font-bold first-letter:uppercase" data-testid="what-now">
            {wordsFor(sequence, event, level, part.label)}
          </p>
          {(event.kind === 'repetition' || event.kind === 'breath' || event.beat) && <SecondsLeft event={event} />}
        </div>
        <div className="col-span-2 mt-1 sm:col-span-1 sm:mt-0 short:col-span-2">
          {event.stint !== null && <p className="font-semibold sm:text-lead">{whichSet(sequence, block, level, event, foundKg)}</p>}
          <div className="text-ink-soft sm:text-lead sm:leading-snug" data-testid="cue">
            {event.kind === 'break' && <Fetch run={run} event={event} />}
            {event.kind === 'look' ? null : event.stint === null && !isAsked ? (
              movement.howTo.map((line) => <p key={line}>{line}</p>)
            ) : (
              <p>{cueFor(movement, cuesFor(movement, level, methodFor(run.sequence)), event)}</p>
            )}
          </div>
          <CautionNotes movement={movement} cautions={run.cautions} />
          {block.note && <p className="mt-1 font-semibold">{block.note}</p>}
        </div>
      </div>
      {/* Changes are spoken once, not each second. */}
      <p className="sr-only" aria-live="assertive">
        {spoken(sequence, event, called, level, part.label)}
      </p>
    </section>
  );
}

interface OfEvent {
  timeline: Timeline;
  event: TimelineEvent;
}

function BigCount({ timeline, event }: OfEvent) {
  return (
    <p
      className={`display leading-[0.82] font-extrabold ${event.stint === null ? 'text-ink-soft' : ''}`}
      style={{ fontSize: 'clamp(4rem, min(24vw, 13vh), 6.5rem)' }}
      data-testid="big-number"
    >
      <Digits text={usePlayhead(({ head }) => bigNumber(timeline, event, head).text)} />
    </p>
  );
}

function OutOf({ timeline, event }: OfEvent) {
  const of = usePlayhead(({ head }) => bigNumber(timeline, event, head).of);
  return of && <p className="display text-lead leading-tight text-ink-soft figures sm:text-head">{of}</p>;
}

/** What is left of one part of a repetition. */
function SecondsLeft({ event }: { event: TimelineEvent }) {
  const seconds = usePlayhead(({ head }) => Math.ceil(currentPart(event, head).leftMs / 1000));
  return <p className="text-body text-ink-soft figures sm:text-lead">{seconds} s</p>;
}

/** The weight that an effort finds for whoever is led; nothing while it is not known who that is. */
function useFound(led: string, { movement, level }: { movement: Movement; level: Level }, dose: Dose): number | null {
  const { athleteId, person } = useSubject(led);
  return useMemo(
    () => (athleteId === undefined ? null : foundKilograms(person, movement, level, dose)),
    [athleteId, person, movement, level, dose],
  );
}

/** What to have at hand when the break is over. */
function Fetch({ run, event }: { run: Run; event: TimelineEvent }) {
  const things = thingsAfterBreak(run.sequence, event.blockIndex, movementById);
  return <p className="font-semibold text-ink">{things.length > 0 ? `Get: ${things.join(', ')}.` : 'No equipment needed.'}</p>;
}

/** What forbids loading, and the movement’s precautions for somebody with these restrictions. */
function CautionNotes({ movement, cautions }: { movement: Movement; cautions: Run['cautions'] }) {
  const own = movement.cautions.filter((note) => cautions.some(({ caution }) => note.concerns.includes(caution)));
  return [...cautions.filter(forbidsLoading).map(cautionAdvice), ...own.map(({ text }) => text)].map((text) => (
    <p key={readable(text)} className="mt-1 border-l-4 border-load-4 bg-white/70 px-2 py-0.5 text-small sm:text-body">
      {readable(text)}
    </p>
  ));
}

const SIGN: Record<WorkingSide, { text: string; className: string }> = {
  left: { text: 'L', className: 'bg-cobalt text-white' },
  right: { text: 'R', className: 'bg-ochre text-white hatch-right' },
  both: { text: 'L R', className: 'border-2 border-ink bg-white text-ink' },
};

function HandSign({ side }: { side: WorkingSide }) {
  const { text, className } = SIGN[side];
  return (
    <div
      className={`display grid size-12 shrink-0 place-items-center text-head font-extrabold sm:size-14 short:size-10! short:text-body! ${side === 'both' ? 'text-lead!' : 'sm:text-title'} ${className}`}
    >
      <span aria-hidden>{text}</span>
      <span className="sr-only">{capital(HAND_WORDS[side])}</span>
    </div>
  );
}

/** Digits of one width, so that a countdown does not jitter whatever the typeface. */
function Digits({ text }: { text: string }) {
  return (
    <>
      <span className="sr-only">{text}</span>
      {Array.from(text).map((digit, index) => (
        <span key={index} aria-hidden className={digit === ':' ? '' : 'inline-block w-[0.6em] text-center'}>
          {digit}
        </span>
      ))}
    </>
  );
}
