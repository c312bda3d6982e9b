import type { SessionRecord, StoredReading } from '@clay-pot/contracts';
import { changeOf, HANDS, type Hand, measuredAs, protocolName, type Reading, readingUnit, thingsIn } from '@clay-pot/core';
import { useReadings } from '../../api/queries.js';
import { readingText } from '../../domain/measuring/units.js';
import { useRepeats } from '../../domain/measuring/use-repeats.js';
import { SideMark } from '../../ui/marks.js';
import { Part } from '../../ui/page.js';

/** What was measured before the session and after it, each hand with whether it changed for more than the error; nothing where nothing was. */
export function BeforeAfter({ record }: { record: SessionRecord }) {
  const readings = useReadings(record.athleteId).data ?? NONE;
  const repeats = useRepeats(readings);
  const mine = readings.filter(({ sessionId }) => sessionId === record.id);
  if (mine.length === 0) return null;
  return (
    <Part title="Before and after" className="mt-8">
      <table className="w-full max-w-3xl text-small">
        <thead>
          <tr className="text-left text-ink-soft">
            <th className="py-1.5 font-normal">Test</th>
            <th className="py-1.5 font-normal">Hand</th>
            <th className="py-1.5 text-right font-normal">Before</th>
            <th className="py-1.5 text-right font-normal">After</th>
            <th className="py-1.5 pl-6 font-normal">Change</th>
          </tr>
        </thead>
        <tbody>
          {thingsIn(mine).flatMap((thing) =>
            HANDS.map((hand) => <Row key={`${thing.kind} ${thing.of} ${hand}`} {...{ thing, hand, mine, repeats }} />),
          )}
        </tbody>
      </table>
    </Part>
  );
}

const NONE: never[] = [];

interface RowProps {
  thing: Pick<Reading, 'kind' | 'of'>;
  hand: Hand;
  mine: readonly StoredReading[];
  repeats: ReturnType<typeof useRepeats>;
}

function Row({ thing, hand, mine, repeats }: RowProps) {
  const at = (moment: Reading['moment']) =>
    mine.find((each) => each.kind === thing.kind && each.of === thing.of && each.hand === hand && each.moment === moment)?.value;
  const [before, after] = [at('before'), at('after')];
  const unit = readingUnit(thing.kind, thing.of);
  if (!unit || (before === undefined && after === undefined)) return null;
  const change = before === undefined || after === undefined ? null : changeOf(measuredAs(thing), before, after, repeats(thing));
  const sign = (change?.by ?? 0) < 0 ? '−' : '+';
  return (
    <tr className="border-t border-line">
      <td className="py-1.5">{protocolName(thing)}</td>
      <td>
        <SideMark side={hand} />
      </td>
      <td className="text-right figures">{before === undefined ? '–' : readingText(unit, before)}</td>
      <td className="text-right font-semibold figures">{after === undefined ? '–' : readingText(unit, after)}</td>
      <td className="pl-6">
        {change && (
          <span className={change.isReal ? (change.by > 0 ? 'font-bold text-celadon' : 'font-bold text-amber') : 'text-ink-soft'}>
            {sign}
            {readingText(unit, Math.abs(change.by))}: {change.isReal ? 'a real change' : 'within the error'}
          </span>
        )}
      </td>
    </tr>
  );
}
