import type { Band, ForceSample } from '@clay-pot/core';
import { numberText, readingText } from '../measuring/units.js';
import { LiveTrace } from './live-trace.js';
import type { BandNow } from './use-band.js';

const WORDS = { below: 'harder', in: 'on target', above: 'lighter' } as const;
const COLOUR = { below: 'text-amber', in: 'text-celadon', above: 'text-iron' } as const;

interface Props {
  band: Band;
  line: { readonly current: readonly ForceSample[] };
  now: BandNow;
  isOn: boolean;
  trouble: string | null;
  className?: string;
}

/** A force against its band: the trace with the band behind it, what to do about it in one word, and how well it was kept so far. */
export function BandView({ band, line, now: { nowN, place, score }, isOn, trouble, className = 'h-40' }: Props) {
  return (
    <div className="border border-line bg-white">
      <LiveTrace line={line} isRunning={isOn} trace={null} band={band} className={className} />
      <div className="flex flex-wrap items-center gap-x-4 border-t border-line px-2 py-1">
        <span className="display text-head figures" role="timer" aria-label="Force now">
          {readingText('N', nowN)}
        </span>
        <b className={`text-lead ${place ? COLOUR[place] : ''}`} aria-live="polite">
          {isOn && place ? WORDS[place] : ''}
        </b>
        <span className="ml-auto text-small text-ink-soft">
          {numberText('N', band.lowN)}–{readingText('N', band.highN)}
          {score.triedS >= 1 && (
            <>
              {' '}
              · kept{' '}
              <b className="text-ink figures">
                {score.insideS.toFixed(0)} of {score.triedS.toFixed(0)} s, {score.scorePercent.toFixed(0)} %
              </b>
            </>
          )}
        </span>
      </div>
      {trouble && (
        <p role="alert" className="border-t border-line bg-iron-wash px-2 py-1.5 text-small font-semibold text-iron">
          {trouble}
        </p>
      )}
    </div>
  );
}
