import {
  CLIMBS,
  effortWords,
  type HandDemand,
  isKnown,
  type Movement,
  type Person,
  rangeVerdict,
  type LevelDemand,
  levelDemands,
} from '@clay-pot/core';
import { useMemo } from 'react';
import { EffortBar } from '../../ui/effort-bar.js';

interface Props {
  person: Person;
  movement: Movement;
  /** The level on the bench, and what to do when another is chosen. */
  levelId?: string | undefined;
  choose?: ((levelId: string) => void) | undefined;
}

/** Every level of a ladder with what it asks of this person, the hardest on top as on a ladder. */
export function LadderTable({ person, movement, levelId, choose }: Props) {
  const levels = useMemo(() => {
    try {
      return { levels: levelDemands(person, movement), trouble: null };
    } catch (error) {
      return { levels: [], trouble: error instanceof Error ? error.message : String(error) };
    }
  }, [person, movement]);
  if (levels.trouble) return <p className="border-l-4 border-iron bg-iron-wash px-3 py-2">{levels.trouble}</p>;
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-small">
        <caption className="sr-only">
          Levels of {movement.name} and their demand, sorted by {movement.climbs}
        </caption>
        <thead className="text-left text-ink-soft">
          <tr className="border-b border-ink">
            <th className="py-1 pr-2 font-semibold">Level</th>
            <th className="py-1 pr-2 text-right font-semibold">
              {movement.climbs}, {CLIMBS[movement.climbs]}
            </th>
            <th className="py-1 pr-2 text-right font-semibold">Load, % of body weight</th>
            <th className="py-1 pr-2 text-right font-semibold">Wrist</th>
            <th className="py-1 pr-2 text-right font-semibold">Effort L</th>
            <th className="py-1 text-right font-semibold">Effort R</th>
          </tr>
        </thead>
        <tbody>
          {[...levels.levels].reverse().map((row, index) => (
            <LadderRow
              key={row.level.id}
              levelDemand={row}
              number={levels.levels.length - index}
              current={row.level.id === levelId}
              choose={choose}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function LadderRow({
  levelDemand,
  number,
  current,
  choose,
}: {
  levelDemand: LevelDemand;
  number: number;
  current: boolean;
  choose: Props['choose'];
}) {
  const { level, demand, climbed } = levelDemand;
  const { left, right } = demand;
  const angle = left.angle;
  return (
    <tr className={`border-b border-line align-top ${current ? 'bg-white' : ''}`} aria-current={current ? 'true' : undefined}>
      <td className={`border-l-4 py-1.5 pr-2 pl-2 ${current ? 'border-ink' : 'border-transparent'}`}>
        <span className="display mr-2 font-bold">{number}</span>
        {choose ? (
          <button type="button" className="text-left font-semibold underline underline-offset-2" onClick={() => choose(level.id)}>
            {level.name}
          </button>
        ) : (
          <b>{level.name}</b>
        )}
      </td>
      <td className="py-1.5 pr-2 text-right font-semibold figures">{climbed.toFixed(1)}</td>
      <td className="py-1.5 pr-2 text-right figures">{left.loadN > 0 ? left.loadPercentBW.toFixed(1) : '–'}</td>
      <td className="py-1.5 pr-2 text-right whitespace-nowrap figures">
        {angle ? `${angle.deg.toFixed(0)}°` : '–'}
        {angle && rangeVerdict(angle.deg, angle.rangeDeg) === 'past' && <b className="text-iron"> past range</b>}
      </td>
      <EffortCell demand={left} />
      <EffortCell demand={right} />
    </tr>
  );
}

function EffortCell({ demand: { efforts } }: { demand: HandDemand }) {
  const hardest = efforts[0];
  if (!hardest) return <td className="py-1.5 pr-2 text-right">–</td>;
  const { effortPercent: percent, interval } = hardest;
  return (
    <td className="py-1.5 pr-2 text-right whitespace-nowrap figures">
      {percent > 100 && isKnown(hardest) ? <b className="text-iron">{percent.toFixed(0)} % no</b> : effortWords(percent, interval)}
      <EffortBar percent={percent} interval={interval} className="mt-0.5 h-2 w-24 ml-auto" />
    </td>
  );
}
