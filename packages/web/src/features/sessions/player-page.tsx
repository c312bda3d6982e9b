import { clock, isOver, momentMs, remainingMs, untilNextChangeMs } from '@clay-pot/core';
import { useEffect, useMemo, useState } from 'react';
import { countTime, stopCounting, takeElapsedMs } from '../../store/elapsed.js';
import { useLead } from '../../store/lead.js';
import { keepPlayhead, usePlayhead } from '../../store/playhead.js';
import { type Command, useCommands } from '../../ui/commands.js';
import { OutboxState } from '../../domain/session/outbox-state.js';
import {
  addTime,
  ratingDueNow,
  endRun,
  finishNow,
  goBack,
  leadHere,
  type Run,
  setPaused,
  skipStint,
  skipWholeBlock,
  tick,
  ledTimeline,
  useRun,
} from '../../store/run.js';
import { Button } from '../../ui/button.js';
import { ButtonLink } from '../../ui/button-link.js';
import { Page, useTitle } from '../../ui/page.js';
import { EndScreen } from './end-screen.js';
import { Controls, MoreControls } from './player-controls.js';
import { PlayerGauge, toggleGauge } from './player-gauge.js';
import { Moment } from './player-moment.js';
import { WatchFor } from './watch-for.js';
import { PlayerPlan } from './player-plan.js';
import { useMomentNow } from '../../store/session-tests.js';
import { AskBar, RatePanel } from './rate-panel.js';
import { TestScreen } from './test-screen.js';
import { LookAgain } from './recheck.js';
import { EaseDialog, StopDialog } from './stop-dialog.js';
import { useSound } from '../../domain/session/tone.js';
import { useAudibleCues } from './sound.js';
import { useMediaKeys } from '../../domain/session/media-keys.js';
import { useSpeech } from '../../domain/session/use-speech.js';
import { VoiceLog } from '../../domain/session/voice-log.js';
import { useVoice } from '../../domain/session/voice.js';
import { methodFor, movementById } from '../../store/library.js';
import { useWakeLock } from '../../domain/session/wake-lock.js';

/** Leads the session by its timeline. */
export default function PlayerPage() {
  const run = useRun((state) => state.run);
  const elsewhere = useLead((state) => state.elsewhere);
  if (run && elsewhere) return <LedElsewhere run={run} />;
  if (!run) {
    return (
      <main>
        <Page title="No session in progress" lead="Start one from Today, from a person’s page or from a sequence.">
          <ButtonLink to="/" kind="primary">
            Go to Today
          </ButtonLink>
        </Page>
      </main>
    );
  }
  return <Led run={run} />;
}

/** Only one tab moves the clock, so that each set is recorded once. */
function LedElsewhere({ run }: { run: Run }) {
  return (
    <main>
      <Page title="Running in another tab" lead={`${run.athleteName}: ${run.sequence.title}. The clock runs in another tab or window.`}>
        <Button kind="primary" onClick={leadHere}>
          Continue here
        </Button>
      </Page>
    </main>
  );
}

/** Tested first where the sequence asks for it, led, tested again, rated. */
function Led({ run }: { run: Run }) {
  const moment = useMomentNow(run);
  if (moment) return <TestScreen key={moment} run={run} moment={moment} />;
  return run.ended ? <EndScreen run={run} ended={run.ended} /> : <Player run={run} />;
}

function Player({ run }: { run: Run }) {
  const timeline = ledTimeline(run.sequence);
  const { head, paused } = run;
  const [asking, setAsking] = useState<'what hurts' | 'easier' | null>(null);
  const event = timeline.events[head.event];
  useTitle(`${run.athleteName}: ${run.sequence.title}`);
  useClock(run, !paused && !isOver(timeline, head));
  useWakeLock(!paused);
  useAudibleCues(timeline, head.event, paused);
  useSpeech({
    sequence: run.sequence,
    lookup: movementById,
    method: methodFor(run.sequence),
    paused: paused || isOver(timeline, head),
    event: head.event,
    addedMs: head.addedMs,
    headNow,
  });
  useMediaKeys({ title: run.sequence.title, paused, play: goOn, pause: stand, next: skipStint, previous: goBack });
  const commands = useMemo<Command[]>(
    () => [
      { keys: 'Space', label: 'Pause or continue', group: 'Session', run: () => togglePause() },
      { keys: 'ArrowRight', label: 'Skip ahead', group: 'Session', run: () => skipStint() },
      { keys: 'Shift+ArrowRight', label: 'Skip the block', group: 'Session', run: () => skipWholeBlock() },
      { keys: 'ArrowLeft', label: 'Back', group: 'Session', run: () => goBack() },
      { keys: 'PageDown', label: 'Skip ahead (page turner)', group: 'Session', run: () => skipStint() },
      { keys: 'PageUp', label: 'Back (page turner)', group: 'Session', run: () => goBack() },
      { keys: 'v', label: 'Voice on or off', group: 'Session', run: () => useVoice.getState().set({ on: !useVoice.getState().on }) },
      { keys: 'd', label: 'Done: finish an open set, a distance or a recheck', group: 'Session', run: () => finishIfOpen() },
      { keys: 't', label: 'Ten seconds more', group: 'Session', run: () => addTime(10) },
      { keys: ']', label: 'Harder from here', group: 'Session', run: () => setAsking('easier') },
      { keys: '[', label: 'Easier from here', group: 'Session', run: () => setAsking('easier') },
      { keys: 'm', label: 'Sound on or off', group: 'Session', run: () => useSound.getState().toggle() },
      { keys: 'g', label: 'Force gauge on or off', group: 'Session', run: toggleGauge },
      { keys: 'x', label: 'End early', group: 'Session', run: () => endRun('ended early') },
      { keys: 'h', label: 'Something hurts', group: 'Session', run: () => setAsking('what hurts') },
    ],
    [],
  );
  useCommands(commands);
  if (!event) return null;
  const side = event.stint === null ? 'both' : event.side;
  return (
    <main className={`flex min-h-dvh flex-col ${WASH[side]}`}>
      <header className="px-4 pt-3 sm:px-8 short:pt-1.5">
        <div className="flex items-baseline justify-between gap-3">
          <h1 className="min-w-0 truncate font-text text-body font-semibold tracking-normal">
            {run.athleteName}
            <span className="font-normal text-ink-soft max-sm:hidden">, {run.sequence.title}</span>
          </h1>
          <OutboxState />
          <p className="shrink-0 figures">
            <span className="text-ink-soft">left</span> <TimeLeft run={run} />
          </p>
        </div>
        <SessionProgress run={run} />
      </header>
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)] max-lg:grid-rows-[auto_1fr_auto] lg:grid-cols-[minmax(0,1fr)_21rem]">
        <div className="flex min-h-[calc(100dvh-4.6rem)] flex-col lg:min-h-0">
          <Moment run={run} timeline={timeline} event={event} />
          {event.look && <LookAgain key={head.event} run={run} event={event} />}
          <PlayerGauge run={run} timeline={timeline} event={event} />
          <div className="hidden short:block">
            <MoreControls run={run} onEase={() => setAsking('easier')} />
          </div>
          <footer className={`sticky bottom-0 z-10 mt-auto border-t border-line ${WASH[side]}`}>
            <Question run={run} />
            <div className="xl:grid xl:grid-cols-[minmax(0,1fr)_auto] xl:items-center">
              <Controls run={run} onStop={() => setAsking('what hurts')} />
              <div className="short:hidden">
                <MoreControls run={run} onEase={() => setAsking('easier')} />
              </div>
            </div>
          </footer>
        </div>
        <PlayerPlan run={run} timeline={timeline} event={event} />
        {/* Below the first screen of a phone, which belongs to the picture, the count and the controls. */}
        <WatchFor run={run} event={event} className="px-4 py-4 sm:px-8 lg:hidden" />
      </div>
      <VoiceLog />
      {asking === 'what hurts' && <StopDialog run={run} working={event.side} onClose={() => setAsking(null)} />}
      {asking === 'easier' && <EaseDialog run={run} onClose={() => setAsking(null)} />}
    </main>
  );
}

function TimeLeft({ run }: { run: Run }) {
  const timeline = ledTimeline(run.sequence);
  return <b data-testid="remaining">{usePlayhead(({ head }) => clock(remainingMs(timeline, head)))}</b>;
}

/** How the finished block felt: a line that closes by itself, and the whole question once there is more to say. */
function Question({ run }: { run: Run }) {
  const [telling, setTelling] = useState<string | null>(null);
  const question = usePlayhead((playhead) => ratingDueNow(run, playhead));
  if (telling !== null && run.toRate.includes(telling)) {
    return (
      <div className="max-h-[60dvh] overflow-y-auto">
        <RatePanel key={telling} run={run} blockId={telling} onDone={() => setTelling(null)} />
      </div>
    );
  }
  return question === undefined ? null : <AskBar run={run} blockId={question} onTell={() => setTelling(question)} />;
}

/** Only what waits to be ended, or may end early by itself, is ended by this. */
function finishIfOpen(): void {
  const { run } = useRun.getState();
  const event = run && ledTimeline(run.sequence).events[run.head.event];
  if (event && (event.untilConfirmed || event.open)) finishNow();
}

const headNow = () => usePlayhead.getState().head;
const goOn = () => setPaused(false);
const stand = () => setPaused(true);

const WASH = { left: 'bg-cobalt-wash', right: 'bg-ochre-wash', both: 'bg-porcelain' } as const;

function togglePause(): void {
  setPaused(!useRun.getState().run?.paused);
}

/** Runs the session’s clock: it looks again whenever something that is shown changes. */
function useClock(run: Run, running: boolean): void {
  const { id, sequence } = run;
  useEffect(() => {
    if (!running) return;
    const timeline = ledTimeline(sequence);
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = () => tick(takeElapsedMs());
    const lookLater = () => {
      clearTimeout(timer);
      timer = setTimeout(look, Math.ceil(untilNextChangeMs(timeline, usePlayhead.getState().head)));
    };
    const keep = () => {
      look();
      keepPlayhead(id);
    };
    countTime();
    lookLater();
    const stopFollowing = usePlayhead.subscribe(lookLater);
    window.addEventListener('pagehide', keep);
    return () => {
      stopFollowing();
      clearTimeout(timer);
      stopCounting();
      window.removeEventListener('pagehide', keep);
    };
  }, [id, sequence, running]);
}

/** The whole session as a strip of its blocks, filled as far as it went. */
function SessionProgress({ run }: { run: Run }) {
  const timeline = ledTimeline(run.sequence);
  // Once a second is as fine as the strip can show.
  const atMs = 1000 * usePlayhead(({ head }) => Math.floor(momentMs(timeline, head) / 1000));
  return (
    <div
      className="mt-2 flex h-2.5 gap-0.5 short:mt-1"
      role="progressbar"
      aria-label="Session"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round((100 * atMs) / timeline.durationMs)}
    >
      {timeline.turns.map((turn, index) => {
        const lengthMs = turn.endMs - turn.startMs;
        const filled = Math.min(1, Math.max(0, (atMs - turn.startMs) / lengthMs));
        return (
          <div key={index} className="bg-ink/15" style={{ flexGrow: lengthMs, flexBasis: 0 }}>
            <div className="h-full bg-ink" style={{ width: `${100 * filled}%` }} />
          </div>
        );
      })}
    </div>
  );
}
