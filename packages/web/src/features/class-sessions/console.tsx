import { capital, clock, isOver, itemAt, must, remainingMs } from '@clay-pot/core';
import { Pause, Play, SkipBack, SkipForward } from 'lucide-react';
import { type ReactNode, useMemo, useState } from 'react';
import { type ClassMoment, useClassMoment } from '../../domain/session/class-moment.js';
import { useClassKeys, useClassSpeech } from '../../domain/session/class-speech.js';
import { VoiceLog } from '../../domain/session/voice-log.js';
import { VoiceButton } from '../../domain/session/voice-button.js';
import { useWakeLock } from '../../domain/session/wake-lock.js';
import { type ClassRun, press } from '../../store/class-run.js';
import { type Command, useCommands } from '../../ui/commands.js';
import { useTitle } from '../../ui/page.js';
import { classNowOf } from './class-now.js';
import { FormDialog, NoteDialog } from './form-and-note.js';
import { HandMark } from './hand-mark.js';
import { HurtsDialog } from './hurts-dialog.js';
import { Ratings } from './ratings.js';
import { type Asking, Roster } from './roster.js';

interface Props {
  run: ClassRun;
  /** Beside the title: how other devices join, whether they are heard. */
  aside: ReactNode;
  /** After the class: where to go. */
  onDone: () => void;
}

/** The coach’s console: the clock, and everybody of the class with one press each. */
export function Console({ run, aside, onDone }: Props) {
  const moment = useClassMoment(run);
  const [asking, setAsking] = useState<Asking | null>(null);
  const { session, events } = run;
  const { state, timeline, lookup } = moment;
  const now = classNowOf(run, moment);
  useClassSpeech(run, moment);
  useClassKeys(run, moment);
  useTitle(`Class: ${session.sequence.title}`);
  useWakeLock(!state.paused && now !== null);
  const { event } = state.head;
  const commands = useMemo<Command[]>(
    () => [
      { keys: 'Space', label: 'Pause or continue', group: 'Class', run: () => void press({ kind: state.paused ? 'play' : 'pause' }) },
      { keys: 'ArrowRight', label: 'Skip ahead', group: 'Class', run: () => void press({ kind: 'skip', event }) },
      { keys: 'Shift+ArrowRight', label: 'Skip the block', group: 'Class', run: () => void press({ kind: 'skip block', event }) },
      { keys: 'ArrowLeft', label: 'Back', group: 'Class', run: () => void press({ kind: 'back', event }) },
      { keys: 'PageDown', label: 'Skip ahead (page turner)', group: 'Class', run: () => void press({ kind: 'skip', event }) },
      { keys: 'PageUp', label: 'Back (page turner)', group: 'Class', run: () => void press({ kind: 'back', event }) },
      { keys: 't', label: 'Ten seconds more', group: 'Class', run: () => void press({ kind: 'add time', event, seconds: 10 }) },
    ],
    [state.paused, event],
  );
  useCommands(commands);
  if (!now || isOver(timeline, state.head)) return <Ratings run={run} state={state} onDone={onDone} />;
  const member =
    asking &&
    must(
      session.members.find(({ id }) => id === asking.memberId),
      'a member who is asked about',
    );
  const close = () => setAsking(null);
  return (
    <main className="flex min-h-dvh flex-col bg-porcelain">
      <header className="flex items-center justify-between gap-3 border-b border-line px-4 py-2 sm:px-8">
        <h1 className="min-w-0 truncate font-text text-body font-semibold tracking-normal">{session.sequence.title}</h1>
        <div className="flex items-center gap-3">
          {aside}
          <VoiceButton className="grid size-11 shrink-0 place-items-center border border-ink/50 bg-white hover:bg-ground" />
        </div>
      </header>
      <Clock {...{ moment, now }} />
      <div className="flex-1 px-4 pb-24 sm:px-8">
        <Roster
          {...{ sequence: session.sequence, members: session.members, events, state, lookup, blockId: now.block.id }}
          ask={setAsking}
        />
      </div>
      <VoiceLog />
      {member && asking.what === 'hurts' && <HurtsDialog member={member} blockId={now.block.id} working={now.side} onClose={close} />}
      {member && asking.what === 'form' && <FormDialog member={member} block={now.block} lookup={lookup} onClose={close} />}
      {member && asking.what === 'note' && <NoteDialog member={member} onClose={close} />}
    </main>
  );
}

const TOUCH = 'grid h-14 place-items-center border border-ink/50 bg-white font-semibold hover:bg-ground disabled:opacity-40';

/** What everybody does now, and the clock under the thumb. It stays in sight while the list of people is scrolled. */
function Clock({ moment: { state, timeline }, now }: { moment: ClassMoment; now: NonNullable<ReturnType<typeof classNowOf>> }) {
  const { paused, head } = state;
  const { event } = head;
  const [isEnding, setEnding] = useState(false);
  const endsBySaying = itemAt(timeline.events, event).untilConfirmed || itemAt(timeline.events, event).open;
  return (
    <section aria-label="Clock" className="sticky top-0 z-10 border-b-2 border-ink bg-white px-4 py-2 sm:px-8">
      <div className="flex items-center gap-3">
        <HandMark side={now.side} className="size-12 text-lead" />
        <div className="min-w-0 flex-1">
          <h2 className="truncate text-lead leading-tight">{now.movement.name}</h2>
          <p className="truncate text-small text-ink-soft">
            {paused ? 'Paused' : capital(now.what)}
            {now.next && `. Next: ${now.next}`}
          </p>
        </div>
        <p className="shrink-0 text-right">
          <span data-testid="big-count" className="display text-figure font-extrabold">
            {now.number.text}
          </span>{' '}
          {now.number.of && <span className="text-small text-ink-soft">{now.number.of}</span>}
        </p>
        <p className="shrink-0 text-right text-small text-ink-soft figures max-sm:hidden">
          left
          <br />
          <b className="text-ink">{clock(remainingMs(timeline, head))}</b>
        </p>
      </div>
      <div role="group" aria-label="Controls" className="mt-2 grid grid-cols-[1fr_1.6fr_1fr_1fr_1fr] gap-1">
        <button type="button" className={TOUCH} aria-label="Back" onClick={() => press({ kind: 'back', event })}>
          <SkipBack />
        </button>
        <button
          type="button"
          className="flex h-14 items-center justify-center gap-1 bg-ink font-bold text-white hover:bg-ink-soft"
          onClick={() => press({ kind: paused ? 'play' : 'pause' })}
        >
          {paused ? <Play aria-hidden className="shrink-0" /> : <Pause aria-hidden className="shrink-0" />}
          {paused ? 'Continue' : 'Pause'}
        </button>
        {endsBySaying ? (
          <button type="button" className={`${TOUCH} border-2 border-ink`} onClick={() => press({ kind: 'finish', event })}>
            Done
          </button>
        ) : (
          <button type="button" className={TOUCH} onClick={() => press({ kind: 'add time', event, seconds: 10 })}>
            +10 s
          </button>
        )}
        <button type="button" className={TOUCH} aria-label="Skip" onClick={() => press({ kind: 'skip', event })}>
          <SkipForward />
        </button>
        {isEnding ? (
          <button type="button" className={`${TOUCH} border-2 border-iron text-iron`} onClick={() => press({ kind: 'end' })}>
            End now
          </button>
        ) : (
          <button type="button" className={TOUCH} onClick={() => setEnding(true)} onBlur={() => setEnding(false)}>
            End
          </button>
        )}
      </div>
    </section>
  );
}
