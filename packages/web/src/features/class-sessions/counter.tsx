import { useClassMoment } from '../../domain/session/class-moment.js';
import { useWakeLock } from '../../domain/session/wake-lock.js';
import type { ClassRun } from '../../store/class-run.js';
import { useTitle } from '../../ui/page.js';
import { classNowOf } from './class-now.js';
import { HandMark } from './hand-mark.js';

/** The count alone, as large as the device. */
export function Counter({ run }: { run: ClassRun }) {
  const moment = useClassMoment(run);
  const now = classNowOf(run, moment);
  useTitle('Counter');
  useWakeLock(true);
  if (!now) return <p className="display grid h-dvh place-items-center text-title">Class over</p>;
  const isCounted = now.event.kind === 'repetition' || now.event.kind === 'breath';
  return (
    <main data-testid="counter" className="grid h-dvh grid-rows-[auto_1fr_auto] place-items-center p-4">
      <HandMark side={now.side} className="size-20 text-title" />
      <p data-testid="big-count" className="display text-[min(60vh,42vw)] leading-[0.75] font-extrabold">
        {now.number.text}
      </p>
      <p className="text-center text-head font-semibold first-letter:uppercase">
        {moment.state.paused ? 'Paused' : now.what}
        {isCounted && now.number.of ? `, ${now.number.of}` : ''}
      </p>
    </main>
  );
}
