import { type Beat, handNow, inNamedPosition, REFERENCE_BODIES, withOwnLoad } from '@clay-pot/core';
import { Maximize, Moon, Sun } from 'lucide-react';
import { type ReactNode, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { MovingPicture } from '../../domain/movement/moving-picture.js';
import { type ClassMoment, useClassMoment } from '../../domain/session/class-moment.js';
import { useClassSpeech } from '../../domain/session/class-speech.js';
import { VoiceLog } from '../../domain/session/voice-log.js';
import { VoiceButton } from '../../domain/session/voice-button.js';
import { useWakeLock } from '../../domain/session/wake-lock.js';
import { classNow, type ClassRun } from '../../store/class-run.js';
import { useOwnName } from '../../store/library.js';
import { type Command, useCommands } from '../../ui/commands.js';
import { useTitle } from '../../ui/page.js';
import { type ClassNow, classNowOf, othersIn } from './class-now.js';
import { HandMark } from './hand-mark.js';

/** What is read from eight metres: hand, count, side, what comes next, and who does something else. Sizes follow the height of the screen. */
export function BigScreen({ run, children }: { run: ClassRun; children?: ReactNode }) {
  const moment = useClassMoment(run);
  const now = classNowOf(run, moment);
  useClassSpeech(run, moment);
  const [isDark, setDark] = useState(false);
  useTitle(`${run.session.sequence.title}: big screen`);
  useWakeLock(true);
  const commands = useMemo<Command[]>(
    () => [
      { keys: 'f', label: 'Full screen', group: 'Big screen', run: () => fill() },
      { keys: 'd', label: 'Light or dark', group: 'Big screen', run: () => setDark((dark) => !dark) },
    ],
    [],
  );
  useCommands(commands);
  return (
    <main
      data-testid="big-screen"
      className={`relative grid h-dvh grid-rows-[auto_minmax(0,1fr)_auto_auto] gap-[1.4vh] overflow-hidden p-[2vh] ${isDark ? 'bg-ink text-white' : 'bg-white text-ink'}`}
    >
      {now ? <InProgress {...{ run, moment, now, isDark }} /> : <Over />}
      <VoiceLog />
      <Tools isDark={isDark} setDark={setDark}>
        {children}
      </Tools>
    </main>
  );
}

const fill = (): void => void document.documentElement.requestFullscreen().catch(() => undefined);

interface Shown {
  run: ClassRun;
  moment: ClassMoment;
  now: ClassNow;
  isDark: boolean;
}

function InProgress({ run, moment, now, isDark }: Shown) {
  const { movement, level, side, what, cue, next, block } = now;
  const called = useOwnName(movement.id) ?? movement.name;
  const { state, lookup } = moment;
  const others = othersIn(run.session.members, state, block, lookup);
  return (
    <>
      <header className="flex items-center gap-[2vh]">
        <HandMark side={side} className="size-[13vh] text-[7vh]" />
        <div className="min-w-0">
          <h1 data-testid="name" className="line-clamp-2 text-[7.4vh] leading-[0.98]">
            {called}
          </h1>
          <p className="truncate text-[5vh] leading-tight">{level.name}</p>
        </div>
      </header>
      <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_auto] gap-[2vh]">
        <Picture {...{ run, moment, now }} />
        <div className="grid min-w-[62vh] grid-rows-2">
          <Slot name="Repetition" number={isCounted(now) ? now.number : null}>
            {isCounted(now) ? null : <SetOf now={now} />}
          </Slot>
          <Slot
            name="Seconds"
            number={isCounted(now) ? null : { ...now.number, text: inSeconds(now.number.text) }}
            isQuiet={now.event.stint === null}
          >
            {isCounted(now) ? <Words>{state.paused ? 'Paused' : what}</Words> : null}
          </Slot>
        </div>
      </div>
      {!isCounted(now) && <p className="sr-only">{what}</p>}
      <div className="flex items-baseline justify-between gap-[4vh]">
        <p data-testid="cue" className="line-clamp-2 min-w-0 text-[5.4vh] leading-[1.05] font-semibold first-letter:uppercase">
          {isCounted(now) ? cue : state.paused ? 'Paused' : what === 'hold' || what === 'keep moving' ? cue : what}
        </p>
        {next && <p className="max-w-[45%] shrink-0 truncate text-[5vh] leading-tight">Next: {next}</p>}
      </div>
      <Others others={others} isDark={isDark} />
    </>
  );
}

/** Repetitions and breaths are counted, everything else is timed: each has a place of its own. */
const isCounted = ({ event }: ClassNow): boolean => event.kind === 'repetition' || event.kind === 'breath';

/** A minute and more in seconds: fewer signs are larger. @example inSeconds('1:05') → '65' */
function inSeconds(text: string): string {
  const [minutes, seconds] = text.split(':');
  return seconds === undefined ? text : String(Number(minutes) * 60 + Number(seconds));
}

interface SlotProps {
  name: string;
  number: ClassNow['number'] | null;
  isQuiet?: boolean;
  children: ReactNode;
}

function Slot({ name, number, isQuiet = false, children }: SlotProps) {
  return (
    <div role="group" aria-label={name} className="flex items-center justify-center gap-[2vh]">
      {number ? (
        <>
          <span data-testid="big-count" className={`display text-[37vh] leading-[0.72] font-extrabold ${isQuiet ? 'opacity-60' : ''}`}>
            {number.text}
          </span>
          {number.of && <span className="display text-[6vh] leading-none font-bold">{number.of}</span>}
        </>
      ) : (
        children
      )}
    </div>
  );
}

function Words({ children }: { children: ReactNode }) {
  return <p className="display text-center text-[9vh] leading-none font-bold first-letter:uppercase">{children}</p>;
}

function SetOf({ now: { event, block } }: { now: ClassNow }) {
  const { sets } = block.dose;
  return event.stint !== null && sets > 1 ? (
    <p className="display text-center text-[9vh] leading-none font-bold">
      Set {event.set} of {sets}
    </p>
  ) : null;
}

/** So many stand side by side; more take turns. */
const AT_ONCE = 4;
const TURN_MS = 5000;

function Others({ others, isDark }: { others: ReturnType<typeof othersIn>; isDark: boolean }) {
  const [page, turn] = useState(0);
  const pages = Math.max(1, Math.ceil(others.length / AT_ONCE));
  useEffect(() => {
    if (pages < 2) return;
    const timer = setInterval(() => turn((now) => now + 1), TURN_MS);
    return () => clearInterval(timer);
  }, [pages]);
  if (others.length === 0) return <div />;
  const first = (page % pages) * AT_ONCE;
  return (
    <ul aria-label="Different for" className={`grid grid-cols-2 gap-x-[4vh] border-t-4 pt-[1vh] ${isDark ? 'border-white' : 'border-ink'}`}>
      {others.slice(first, first + AT_ONCE).map(({ id, name, does }) => (
        <li key={id} className="truncate text-[5vh] leading-[1.1]">
          <b dir="auto">{name}</b> {does}
        </li>
      ))}
    </ul>
  );
}

/** The hand does what the count says: between two looks at the clock it goes on by itself. */
function Picture({ run, moment, now }: Omit<Shown, 'isDark'>) {
  const { event, movement, level, block } = now;
  const { head, paused, nowMs } = moment.state;
  const drawn = useMemo(
    () => inNamedPosition(withOwnLoad(level, block.dose.load), movement, event.direction),
    [level, block, movement, event.direction],
  );
  const seen = useRef({ event, head, paused, nowMs, run });
  useEffect(() => {
    seen.current = { event, head, paused, nowMs, run };
  });
  const beat = useCallback((): Beat => {
    const { event: on, head: at, paused: isPaused, nowMs: since, run: of } = seen.current;
    const elapsedMs = at.elapsedMs + (isPaused ? 0 : Math.max(0, classNow(of) - since));
    return handNow(movement, drawn, on, Math.min(on.durationMs, elapsedMs)).beat;
  }, [movement, drawn]);
  return (
    <div className="relative min-h-0 bg-white [contain:size]">
      <MovingPicture
        movement={movement}
        level={drawn}
        body={REFERENCE_BODIES['not stated']}
        side={event.side === 'right' ? 'right' : 'left'}
        moving={!paused}
        beat={beat}
        className="absolute inset-0 size-full"
      />
    </div>
  );
}

function Over() {
  return (
    <div className="row-span-4 grid place-items-center">
      <h1 className="text-[14vh] leading-none">Class over</h1>
    </div>
  );
}

const SHOWN_MS = 4000;

/** What the screen is set up with: seen while somebody moves the pointer, gone while the class looks. */
function Tools({ isDark, setDark, children }: { isDark: boolean; setDark: (dark: boolean) => void; children: ReactNode }) {
  const [isShown, show] = useState(true);
  useEffect(() => {
    let timer = setTimeout(() => show(false), SHOWN_MS);
    const wake = () => {
      show(true);
      clearTimeout(timer);
      timer = setTimeout(() => show(false), SHOWN_MS);
    };
    for (const what of ['pointermove', 'pointerdown', 'keydown', 'focusin']) window.addEventListener(what, wake);
    return () => {
      clearTimeout(timer);
      for (const what of ['pointermove', 'pointerdown', 'keydown', 'focusin']) window.removeEventListener(what, wake);
    };
  }, []);
  const button = 'flex min-h-14 items-center gap-2 border border-ink bg-white px-4 font-semibold text-ink hover:bg-ground';
  return (
    <div className={`absolute right-3 bottom-3 flex gap-2 transition-opacity ${isShown ? '' : 'pointer-events-none opacity-0'}`}>
      {children}
      <VoiceButton className={button} label />
      <button type="button" className={button} onClick={() => setDark(!isDark)}>
        {isDark ? <Sun aria-hidden size={20} /> : <Moon aria-hidden size={20} />} {isDark ? 'Light' : 'Dark'}
      </button>
      <button type="button" className={button} onClick={fill}>
        <Maximize aria-hidden size={20} /> Full screen
      </button>
    </div>
  );
}
