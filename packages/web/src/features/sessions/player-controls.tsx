import { resolveBlock } from '@clay-pot/core';
import { Pause, Play, SkipBack, SkipForward, Volume2, VolumeX } from 'lucide-react';
import { movementById } from '../../store/library.js';
import { addTime, endRun, goBack, type Run, setPaused, skipStint } from '../../store/run.js';
import { useSound } from '../../domain/session/tone.js';
import { VoiceButton } from '../../domain/session/voice-button.js';
import { GaugeButton } from './player-gauge.js';

const TOUCH = 'grid place-items-center border border-ink/50 bg-white font-semibold hover:bg-ground disabled:opacity-40';

interface Props {
  run: Run;
  onStop: () => void;
  onEase: () => void;
}

/** What must be under the thumb at all times: pause, back and skip, and that something hurts. */
export function Controls({ run, onStop }: Omit<Props, 'onEase'>) {
  return (
    <div
      role="group"
      aria-label="Controls"
      className="grid grid-cols-[3rem_minmax(0,1.3fr)_3rem_minmax(0,1fr)] gap-2 px-4 py-2 sm:grid-cols-[1fr_1.8fr_1fr_1.4fr] sm:px-8 xl:pr-2"
    >
      <button type="button" className={`${TOUCH} h-14`} aria-label="Back" onClick={goBack}>
        <SkipBack />
      </button>
      <button
        type="button"
        className="flex h-14 items-center justify-center gap-2 bg-ink text-lead font-bold text-white hover:bg-ink-soft"
        onClick={() => setPaused(!run.paused)}
      >
        {run.paused ? <Play aria-hidden className="shrink-0" /> : <Pause aria-hidden className="shrink-0" />}
        {run.paused ? 'Continue' : 'Pause'}
      </button>
      <button type="button" className={`${TOUCH} h-14`} aria-label="Skip" onClick={skipStint}>
        <SkipForward />
      </button>
      <button
        type="button"
        className="grid h-14 place-items-center bg-iron px-1 text-small leading-tight font-bold text-white hover:bg-load-5 sm:text-body"
        onClick={onStop}
      >
        Something hurts
      </button>
    </div>
  );
}

/** What is wanted now and then: more time, an easier form, the end, sound. */
export function MoreControls({ run, onEase }: Pick<Props, 'run' | 'onEase'>) {
  const { on, toggle } = useSound();
  const isPressed = hasPress(run.sequence);
  return (
    <div
      role="group"
      aria-label="More controls"
      className={`grid gap-2 px-4 pb-2 text-small sm:px-8 xl:py-2 xl:pl-0 ${isPressed ? 'grid-cols-[1fr_1fr_1.2fr_auto_auto_auto] xl:grid-cols-[4rem_4.5rem_5.5rem_auto_auto_auto]' : 'grid-cols-[1fr_1fr_1.2fr_auto_auto] xl:grid-cols-[4rem_4.5rem_5.5rem_auto_auto]'}`}
    >
      <button type="button" className={`${TOUCH} h-11`} onClick={() => addTime(10)}>
        +10 s
      </button>
      <button type="button" className={`${TOUCH} h-11`} onClick={onEase}>
        Easier
      </button>
      <button type="button" className={`${TOUCH} h-11`} onClick={() => endRun('ended early')}>
        End early
      </button>
      {isPressed && <GaugeButton className={`${TOUCH} size-11`} />}
      <VoiceButton className={`${TOUCH} size-11`} />
      <button type="button" className={`${TOUCH} size-11`} aria-label="Sound" aria-pressed={on} onClick={toggle}>
        {on ? <Volume2 size={20} /> : <VolumeX size={20} />}
      </button>
    </div>
  );
}

/** Whether anything is pressed at an effort of one’s own, so that a gauge has something to say. */
const hasPress = ({ blocks }: Run['sequence']): boolean =>
  blocks.some((block) => resolveBlock(block, movementById).level.load.kind === 'press');
