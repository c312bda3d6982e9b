import { itemAt, neighbourLevel, resolveBlock, type TimelineEvent } from '@clay-pot/core';
import { knownMovement } from '../../store/library.js';
import { Pause, Play, SkipBack, SkipForward, Volume2, VolumeX } from 'lucide-react';
import { addTime, easeLevel, endRun, goBack, type Run, setPaused, skipStint } from '../../store/run.js';
import { useSound } from './sound.js';

const TOUCH =
  'grid h-14 place-items-center border border-ink/50 bg-white font-semibold hover:bg-ground disabled:opacity-40';

/** Everything under the thumb: pause, back, skip, more time, easier, end, stop. */
export function Controls({ run, event, onStop }: { run: Run; event: TimelineEvent; onStop: () => void }) {
  const { on, toggle } = useSound();
  const block = itemAt(run.sequence.blocks, event.blockIndex);
  const canEase = neighbourLevel(resolveBlock(block, knownMovement).movement, block.levelId, -1) !== undefined;
  return (
    <div className="px-4 pt-2 pb-4 sm:px-8 sm:pb-6" role="group" aria-label="Controls">
      <div className="grid grid-cols-[1fr_1.8fr_1fr_1fr] gap-2">
        <button type="button" className={TOUCH} aria-label="Back" onClick={goBack}>
          <SkipBack />
        </button>
        <button
          type="button"
          className="flex h-14 items-center justify-center gap-2 bg-ink text-lead font-bold text-white hover:bg-ink-soft"
          onClick={() => setPaused(!run.paused)}
        >
          {run.paused ? <Play aria-hidden /> : <Pause aria-hidden />}
          {run.paused ? 'Go on' : 'Pause'}
        </button>
        <button type="button" className={TOUCH} aria-label="Skip" onClick={skipStint}>
          <SkipForward />
        </button>
        <button type="button" className={TOUCH} onClick={() => addTime(10)}>
          +10 s
        </button>
      </div>
      <div className="mt-2 grid grid-cols-[1fr_1fr_1fr_auto] gap-2 text-small">
        <button type="button" className={`${TOUCH} h-11!`} disabled={!canEase} onClick={easeLevel}>
          Easier
        </button>
        <button type="button" className={`${TOUCH} h-11!`} onClick={() => endRun('ended early')}>
          End early
        </button>
        <button
          type="button"
          className="grid h-11 place-items-center bg-iron font-bold text-white hover:bg-load-5"
          onClick={onStop}
        >
          Something hurts
        </button>
        <button type="button" className={`${TOUCH} h-11! w-11`} aria-label="Sound" aria-pressed={on} onClick={toggle}>
          {on ? <Volume2 size={20} /> : <VolumeX size={20} />}
        </button>
      </div>
    </div>
  );
}
