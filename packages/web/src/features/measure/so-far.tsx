import type { Athlete, StoredReading } from '@clay-pot/contracts';
import {
  ageOn,
  changeOf,
  dayWords,
  type Hand,
  HANDS,
  isOfEachHand,
  latestReading,
  lesserWords,
  meanOf,
  measuredAs,
  placeInNorm,
  type Protocol,
  type ReadingUnit,
  sidesOf,
} from '@clay-pot/core';
import { Term } from '../../domain/terms/term.js';
import { numberText, readingText } from '../../domain/measuring/units.js';
import { useRepeats } from '../../domain/measuring/use-repeats.js';
import { SideMark } from '../../ui/marks.js';
import { isoToday } from '../../ui/today.js';

interface Props {
  athlete: Athlete;
  protocol: Protocol;
  unit: ReadingUnit;
  trials: Readonly<Record<Hand, readonly number[]>>;
  before: readonly StoredReading[];
  detail: string | undefined;
}

/** The results of the trials: mean and spread, whether the change exceeds the error, the place among people, left beside right. */
export function SoFar({ athlete, protocol, unit, trials, before, detail }: Props) {
  const repeatsFor = useRepeats(before);
  const hands = isOfEachHand(protocol) ? HANDS : (['left'] as const);
  const handsDone = hands.filter((hand) => trials[hand].length > 0);
  if (handsDone.length === 0) return null;
  const measured = measuredAs(protocol);
  const repeats = repeatsFor({ ...protocol, ...(detail !== undefined && { detail }) });
  const { left, right } = trials;
  const sides =
    isOfEachHand(protocol) && left.length && right.length
      ? sidesOf(measured, { left: meanOf(left), right: meanOf(right) }, athlete.dominantHand, repeats)
      : null;
  return (
    <div aria-live="polite">
      <ul aria-label="Results" className="border-t-2 border-ink">
        {handsDone.map((hand) => (
          <HandSoFar key={hand} {...{ athlete, protocol, unit, hand, before, detail, repeats }} trials={trials[hand]} />
        ))}
      </ul>
      {sides && (
        <p className="border-b border-line py-1.5">
          {sides.isUneven && sides.lesser ? (
            <>
              <b>Uneven:</b> {lesserWords(measured, sides)}
              {sides.expected !== 0 && ', handedness taken into account'}.
            </>
          ) : (
            <>Left and right differ by no more than {sides.expected === 0 ? 'the error' : 'handedness and the error'}.</>
          )}
        </p>
      )}
    </div>
  );
}

interface HandProps extends Omit<Props, 'trials'> {
  hand: Hand;
  trials: readonly number[];
  repeats: readonly (readonly number[])[];
}

function HandSoFar({ athlete, protocol, unit, hand, trials, before, detail, repeats }: HandProps) {
  const value = meanOf(trials);
  const same = before.filter((reading) => (reading.detail ?? '') === (detail ?? ''));
  const last = latestReading(same, protocol.kind, protocol.of, hand);
  const change = last && { ...changeOf(measuredAs(protocol), last.value, value, repeats), since: last.onDay };
  const ageYears = athlete.birthDate ? ageOn(athlete.birthDate, isoToday()) : null;
  const place = placeInNorm(protocol.kind, protocol.of, hand, value, { sex: athlete.sex, ageYears });
  return (
    <li className="grid grid-cols-[2.5rem_minmax(0,1fr)] border-b border-line py-1.5">
      <span className="pt-1">
        <SideMark side={isOfEachHand(protocol) ? hand : 'both'} />
      </span>
      <span>
        <b className="text-lead figures">{readingText(unit, value)}</b>
        {trials.length > 1 && (
          <span className="text-ink-soft figures"> mean of {trials.map((trial) => numberText(unit, trial)).join(', ')}</span>
        )}
        {change && (
          <span className="block text-small">
            {change.isReal ? (
              <b className={change.by > 0 ? 'text-celadon' : 'text-amber'}>
                {change.by > 0 ? '+' : '−'}
                {readingText(unit, Math.abs(change.by))}: a real change
              </b>
            ) : (
              <>
                {change.by >= 0 ? '+' : '−'}
                {readingText(unit, Math.abs(change.by))}: within the error, no real change
              </>
            )}{' '}
            <span className="text-ink-soft">
              since {dayWords(change.since)};{' '}
              <Term term="detectableChange">changes of {readingText(unit, change.error.change)} or more are real</Term>
              {change.error.from === 'own repeats' && ', from your own repeat tests'}
            </span>
          </span>
        )}
        {place && (
          <span className="block text-small text-ink-soft">
            Higher than {place.percentile} of 100 {place.population}
          </span>
        )}
      </span>
    </li>
  );
}
