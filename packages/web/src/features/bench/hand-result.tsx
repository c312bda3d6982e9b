import {
  type ActionEffort,
  chanceOfHaving,
  type Demand,
  type Hand,
  type HandDemand,
  isKnown,
  peopleWords,
  rangeVerdict,
} from '@clay-pot/core';
import type { ReactNode } from 'react';
import { readingText } from '../../domain/measuring/units.js';
import { Term } from '../../domain/terms/term.js';
import { EffortBar } from '../../ui/effort-bar.js';
import { SideMark } from '../../ui/marks.js';

/** The load and capacity of each hand, left beside right. */
export function HandResults({ demand }: { demand: Demand }) {
  return (
    <div className="grid grid-cols-2 gap-x-5">
      {(['left', 'right'] as const).map((hand) => (
        <HandResult key={hand} hand={hand} result={demand[hand]} momentNm={demand.posture?.[hand].wristMomentNm ?? null} />
      ))}
    </div>
  );
}

function HandResult({ hand, result, momentNm }: { hand: Hand; result: HandDemand; momentNm: number | null }) {
  const { loadN, loadPercentBW, angle, efforts, stretchNm } = result;
  return (
    <section aria-label={`${hand} hand`} className="border-t-4 border-ink pt-2">
      <h2 className="flex items-center gap-2 text-body">
        <SideMark side={hand} /> {hand === 'left' ? 'Left hand' : 'Right hand'}
      </h2>
      <p className="display mt-1 text-figure leading-none font-extrabold" data-testid={`load-${hand}`}>
        {loadPercentBW.toFixed(1)}
        <span className="text-body font-semibold">
          {' '}
          <Term term="handLoad" value={loadPercentBW}>
            % of body weight
          </Term>
        </span>
      </p>
      <p className="text-small text-ink-soft figures">
        {loadN.toFixed(0)} N · {readingText('N', loadN)}
      </p>
      <dl className="mt-2 grid gap-1.5 text-small">
        {angle && <AngleRow label={angle.motion} deg={angle.deg} rangeDeg={angle.rangeDeg} source={angle.rangeSource} />}
        {momentNm !== null && momentNm > 0 && (
          <Row
            label={
              <Term term="wristMoment" value={momentNm}>
                wrist torque
              </Term>
            }
            value={`${momentNm.toFixed(1)} N·m`}
          />
        )}
        {stretchNm > 0 && <Row label="passive tension" value={`${stretchNm.toFixed(1)} N·m`} />}
      </dl>
      <ul className="mt-2 grid gap-2">
        {efforts.map((effort) => (
          <EffortRow key={effort.action} effort={effort} />
        ))}
        {efforts.length === 0 && <li className="text-small text-ink-soft">No wrist torque.</li>}
      </ul>
    </section>
  );
}

const Row = ({ label, value }: { label: ReactNode; value: string }) => (
  <div className="flex justify-between gap-2 border-b border-line pb-0.5">
    <dt className="text-ink-soft">{label}</dt>
    <dd className="figures">{value}</dd>
  </div>
);

/** The angle asked for beside the available range; past it words say so. */
function AngleRow({ label, deg, rangeDeg, source }: { label: string; deg: number; rangeDeg: number; source: string }) {
  const verdict = rangeVerdict(deg, rangeDeg);
  const by = Math.abs(deg - rangeDeg).toFixed(0);
  const words = {
    within: `${by}° left`,
    'at the end': 'at the end of range',
    past: `${by}° past passive range`,
  }[verdict];
  const look = { within: 'text-ink-soft', 'at the end': 'font-semibold text-amber', past: 'font-semibold text-iron' }[verdict];
  return (
    <div className="flex flex-wrap justify-between gap-x-2 border-b border-line pb-1">
      <dt className="text-ink-soft">
        <Term term="wristAngle">{label}</Term>
      </dt>
      <dd className="figures">
        <b>{deg.toFixed(0)}°</b> of {rangeDeg.toFixed(0)}°
      </dd>
      <dd className={`w-full text-fine ${look}`}>
        {words}, range {source}
      </dd>
    </div>
  );
}

function EffortRow({ effort }: { effort: ActionEffort }) {
  const { action, demand, capacity, effortPercent: percent, interval } = effort;
  const over = percent > 100;
  return (
    <li>
      <div className="flex items-baseline justify-between gap-2 text-small">
        <Term term="effort" value={percent}>
          {action}
        </Term>
        <b className={`display text-lead whitespace-nowrap figures ${over ? 'text-iron' : ''}`}>{percent.toFixed(0)} %</b>
      </div>
      <EffortBar percent={percent} interval={interval} />
      <p className={`text-fine ${over ? 'font-semibold text-iron' : 'text-ink-soft'}`}>
        {over && (isKnown(effort) ? 'Not possible: ' : `Not possible for ${peopleWords(1 - chanceOfHaving(effort))}: `)}
        {demand.toFixed(capacity.unit === 'N' ? 0 : 1)} of {capacity.value.toFixed(capacity.unit === 'N' ? 0 : 1)} {capacity.unit},{' '}
        {capacity.source}
        {interval[1] - interval[0] >= 1 && (
          <span className="whitespace-nowrap">
            : {interval[0].toFixed(0)}–{interval[1].toFixed(0)} %
          </span>
        )}
      </p>
    </li>
  );
}
