import { chanceOfHaving, type Demand, effortWords, type Hand, HANDS, hardestOf, isKnown, peopleWords } from '@clay-pot/core';
import { Fragment } from 'react';
import { Term } from '../terms/term.js';
import { loadClass } from '../../ui/marks.js';

/** Load, angle and effort of a level in one line, of the hands that do it; what is not available is said. */
export function DemandLine({ demand, hands = HANDS }: { demand: Demand; hands?: readonly Hand[] }) {
  const { left } = demand;
  const hardest = hardestOf(demand, hands);
  const effort = hardest?.effortPercent ?? 0;
  const parts = [
    left.loadN > 0 && (
      <Term key="load" term="handLoad" value={left.loadPercentBW}>
        {left.loadPercentBW.toFixed(0)} % of body weight a hand
      </Term>
    ),
    left.angle && (
      <Term key="angle" term="wristAngle">
        {left.angle.deg.toFixed(0)}°
      </Term>
    ),
    left.stretchNm > 0 && left.loadN === 0 && `${left.stretchNm.toFixed(1)} N·m pull`,
  ].filter(Boolean);
  return (
    <p className="text-small leading-6 figures">
      {parts.map((part, index) => (
        <Fragment key={index}>
          {index > 0 && ' · '}
          {part}
        </Fragment>
      ))}
      {parts.length > 0 && effort > 0 && ' · '}
      {hardest && (
        <span className={effort > 100 ? 'font-bold text-iron' : ''}>
          <Term term="effort" value={effort}>
            <span className={`mr-1 inline-block size-2.5 border border-ink/40 ${loadClass(effort)}`} aria-hidden />
            {effortWords(effort, hardest.interval)} effort
            {effort > 100 && (isKnown(hardest) ? ', not possible' : `, not for ${peopleWords(1 - chanceOfHaving(hardest))}`)}
          </Term>
        </span>
      )}
    </p>
  );
}
