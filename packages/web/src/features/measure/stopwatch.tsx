import { useEffect, useState } from 'react';
import { Button } from '../../ui/button.js';

/** A watch that is started and stopped with one button. @param take gets the seconds, to a tenth */
export function Stopwatch({ take }: { take: (seconds: number) => void }) {
  const [startedMs, setStartedMs] = useState<number | null>(null);
  const [nowMs, setNowMs] = useState(0);
  useEffect(() => {
    if (startedMs === null) return undefined;
    const timer = setInterval(() => setNowMs(performance.now()), 100);
    return () => clearInterval(timer);
  }, [startedMs]);
  const seconds = startedMs === null ? 0 : Math.max(0, nowMs - startedMs) / 1000;
  return (
    <p className="mt-2 flex items-center gap-3">
      <Button
        kind={startedMs === null ? 'plain' : 'primary'}
        className="min-h-11 min-w-28"
        onClick={() => {
          if (startedMs === null) {
            const now = performance.now();
            setNowMs(now);
            setStartedMs(now);
            return;
          }
          setStartedMs(null);
          take(Number(((performance.now() - startedMs) / 1000).toFixed(1)));
        }}
      >
        {startedMs === null ? 'Start stopwatch' : 'Stop'}
      </Button>
      <span className="display text-head figures" role="timer">
        {seconds.toFixed(0)} s
      </span>
    </p>
  );
}
