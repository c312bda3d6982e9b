import {
  type Block,
  capital,
  cautionAdvice,
  countdown,
  cuesFor,
  currentPart,
  forbidsLoading,
  HAND_WORDS,
  itemAt,
  type Level,
  type Movement,
  obeysEffort,
  resolveBlock,
  type Timeline,
  type TimelineEvent,
  type WorkingSide,
} from '@clay-pot/core';
import { knownMovement, methodFor } from '../../store/library.js';
import { askedNow, type Run } from '../../store/run.js';
import { PlayerPicture } from './player-picture.js';

/** What happens now, readable from across the room: hand, count or time, and what to do. */
export function Moment({ run, timeline, event }: { run: Run; timeline: Timeline; event: TimelineEvent }) {
  const block = itemAt(run.sequence.blocks, event.blockIndex);
  const { movement, level } = resolveBlock(block, knownMovement);
  const { part, leftMs } = currentPart(event, run.head);
  const stint = event.stint === null ? undefined : timeline.stints[event.stint];
  const counts = event.kind === 'repetition' || event.kind === 'breath';
  const seconds = Math.ceil(leftMs / 1000);
  return (
    <section
      aria-label="Now"
      className="grid min-h-0 flex-1 grid-rows-[auto_minmax(34dvh,1fr)_auto] px-4 pt-2 pb-2 sm:px-8 sm:pt-3 short:grid-cols-2 short:grid-rows-[auto_minmax(0,1fr)] short:gap-x-4"
    >
      <div className="flex items-center gap-3 short:col-start-2">
        <HandSign side={event.side} />
        <div className="min-w-0">
          <h2 className="text-lead leading-tight sm:text-head short:text-lead!">{movement.name}</h2>
          <p className="truncate text-small text-ink-soft sm:text-body short:text-small!">{level.name}</p>
        </div>
      </div>
      {/* The picture takes what is left of the screen, and never more: count and controls stay in sight. */}
      <div className="relative -mx-4 mt-2 min-h-0 border-y border-line bg-white [contain:size] sm:-mx-8 short:mx-0 short:row-span-2 short:row-start-1 short:mt-0 short:min-h-[62dvh]">
        <PlayerPicture
          run={run}
          event={event}
          movement={movement}
          level={level}
          className="absolute inset-0 size-full"
        />
      </div>
      <div className="grid grid-cols-[auto_minmax(0,1fr)] items-end gap-x-4 pt-2 sm:grid-cols-[auto_minmax(9rem,auto)_minmax(0,1fr)] sm:gap-x-6 short:col-start-2 short:grid-cols-[auto_minmax(0,1fr)]">
        <p
          className={`display leading-[0.82] font-extrabold ${event.stint === null ? 'text-ink-soft' : ''}`}
          style={{ fontSize: 'clamp(4rem, min(24vw, 13vh), 6.5rem)' }}
          data-testid="big-number"
        >
          <Digits text={counts ? String(event.repetition) : countdown(leftMs)} />
        </p>
        <div className="min-w-0">
          {counts && stint && (
            <p className="display text-lead leading-tight text-ink-soft figures sm:text-head">
              of {stint.plannedAmount}
            </p>
          )}
          <p className="display text-head leading-tight font-bold first-letter:uppercase" data-testid="what-now">
            {wordsFor(event, level, part.label)}
          </p>
          {counts && <p className="text-body text-ink-soft figures sm:text-lead">{seconds} s</p>}
        </div>
        <div className="col-span-2 mt-1 sm:col-span-1 sm:mt-0 short:col-span-2">
          {event.stint !== null && <p className="font-semibold sm:text-lead">{whichSet(block, level, event)}</p>}
          <div className="text-ink-soft sm:text-lead sm:leading-snug" data-testid="cue">
            {event.stint === null && askedNow(run) === undefined ? (
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
        {spoken(event, movement, level, part.label)}
      </p>
    </section>
  );
}

/** The faults to look for while it is done. */
export function WatchFor({ movement, className }: { movement: Movement; className: string }) {
  return (
    <div className={className}>
      <h3 className="border-b border-ink/40 pb-1 text-body">Watch for</h3>
      <ul className="mt-1 text-small">
        {movement.faults.map((fault) => (
          <li key={fault}>{fault}</li>
        ))}
      </ul>
    </div>
  );
}

/** Set, direction and effort of what is being done, as far as they are worth telling. */
function whichSet({ dose }: Block, level: Level, { set, direction }: TimelineEvent): string {
  const parts = [
    dose.sets > 1 && `Set ${set} of ${dose.sets}.`,
    direction && `${capital(direction)}.`,
    dose.effortPercent !== undefined && obeysEffort(level) && `${dose.effortPercent} % of your most.`,
  ];
  return parts.filter(Boolean).join(' ');
}

/** What forbids loading, and what the movement asks to be minded of somebody with these cautions. */
function CautionNotes({ movement, cautions }: { movement: Movement; cautions: Run['cautions'] }) {
  const own = movement.cautions.filter((note) => cautions.some(({ caution }) => note.concerns.includes(caution)));
  return [...cautions.filter(forbidsLoading).map(cautionAdvice), ...own.map(({ text }) => text)].map((text) => (
    <p key={text} className="mt-1 border-l-4 border-load-4 bg-white/70 px-2 py-0.5 text-small sm:text-body">
      {text}
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

/** Digits of one width, so that a countdown stands still whatever the typeface. */
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

function wordsFor(event: TimelineEvent, level: Level, partLabel: string): string {
  switch (event.kind) {
    case 'announce':
      return 'comes next';
    case 'position':
      return `get into place: ${level.posture}`;
    case 'change-sides':
      return `change to the ${HAND_WORDS[event.side]}`;
    case 'change-direction':
      return event.direction ?? 'other direction';
    case 'rest':
      return 'rest';
    case 'hold':
      return 'hold';
    case 'bout':
      return 'keep moving';
    case 'repetition':
    case 'breath':
      return partLabel;
  }
}

/** While getting ready: how to. While working: one thing to watch, changing from set to set. */
function cueFor(movement: Movement, cues: readonly string[], event: TimelineEvent): string {
  if (event.stint === null) return movement.howTo[0] ?? '';
  return cues[(event.set + (event.side === 'right' ? 1 : 0)) % cues.length] ?? '';
}

function spoken(event: TimelineEvent, movement: Movement, level: Level, partLabel: string): string {
  if (event.kind === 'announce') return `Next: ${movement.name}, ${level.name}`;
  if (event.kind === 'repetition') return `${HAND_WORDS[event.side]}, ${event.repetition}`;
  if (event.kind === 'breath') return partLabel;
  return `${wordsFor(event, level, partLabel)}, ${HAND_WORDS[event.side]}`;
}
