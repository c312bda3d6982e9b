import { readable } from '../../domain/measuring/units.js';
import type { Athlete } from '@clay-pot/contracts';
import {
  precautionText,
  capitalSentence,
  bodyOf,
  cautionLabel,
  dayWords,
  forbidsLoading,
  type Hand,
  HANDS,
  handSizeOf,
  type HandPlace,
  keyOfCaution,
  PLACE_SIDES,
  PLACES_ON,
  type RecordedCaution,
  skeletonOf,
  standingVerdict,
  unaskedIn,
  handsOf,
} from '@clay-pot/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useIntakes } from '../../api/queries.js';
import { CheckInDue } from '../../domain/athlete/check-in-due.js';
import { HandVerdicts } from '../../domain/athlete/screening-panel.js';
import { useStandingCautions } from '../../domain/athlete/standing-cautions.js';
import { SideMark } from '../../ui/marks.js';
import { Empty, Part } from '../../ui/page.js';
import { isoToday } from '../../ui/today.js';

/** The hand in space weighs more than the page: it comes where something is to be marked on it. */
const HandPlaces = lazy(() => import('../../drawing/hand/hand-places.js').then((module) => ({ default: module.HandPlaces })));

/** The status of each hand today, its restrictions and who cleared them, and where it hurts, on the hands. */
export function Clearance({ person, edit }: { person: Athlete; edit: () => void }) {
  const cautions = useStandingCautions(person);
  const intakes = useIntakes(person.id).data;
  const waits = cautions.some(forbidsLoading);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <CheckInDue athlete={person} />
      {intakes && (
        <HandVerdicts
          hands={{ left: standingVerdict(cautions, 'left'), right: standingVerdict(cautions, 'right') }}
          unasked={unaskedIn(intakes[0]?.answers)}
        />
      )}
      <div className="grid gap-x-10 gap-y-4 lg:flex lg:items-start">
        <Part
          title="Restrictions"
          className="min-w-0 flex-1"
          aside={
            waits && (
              <Link className="text-small underline underline-offset-2" to={`/people/${person.id}/letter`}>
                Letter
              </Link>
            )
          }
        >
          {cautions.length === 0 && <Empty>No restrictions.</Empty>}
          <ul>
            {cautions.map((entry) => (
              <Restriction key={keyOfCaution(entry)} entry={entry} until={untilOf(person, entry)} edit={edit} />
            ))}
          </ul>
        </Part>
        <HandMap person={person} cautions={cautions} />
      </div>
    </div>
  );
}

/** Until when an entry is cleared; today’s restrictions no longer say it. */
const untilOf = ({ cautions }: Athlete, entry: RecordedCaution) =>
  cautions.find((recorded) => keyOfCaution(recorded) === keyOfCaution(entry))?.clearedUntil;

interface RestrictionProps {
  entry: RecordedCaution;
  until: string | undefined;
  edit: () => void;
}

function Restriction({ entry, until, edit }: RestrictionProps) {
  const waits = forbidsLoading(entry);
  return (
    <li className="border-b border-line py-2">
      <b className={waits ? 'text-iron' : ''}>{cautionLabel(entry)}</b>
      {entry.since && !entry.stopped && <span className="text-ink-soft"> since {dayWords(entry.since)}</span>}
      {entry.note && <span>. {entry.note}</span>}
      <p className="text-small text-ink-soft">{readable(capitalSentence(precautionText(entry)))}</p>
      {until && (
        <p className="text-small">
          {until >= isoToday() ? 'Cleared until' : 'The clearance ended on'} {dayWords(until)}.
        </p>
      )}
      {waits && (
        <button type="button" className="text-small font-semibold underline underline-offset-2" onClick={edit}>
          Record clearance
        </button>
      )}
    </li>
  );
}

/** Places of the entries that have one, by hand. */
function placesOf(cautions: readonly RecordedCaution[], hand: Hand): HandPlace[] {
  return cautions.flatMap((entry) => (entry.place && handsOf(entry).includes(hand) ? [entry.place] : []));
}

const nothing = () => undefined;

/** The hands with what is felt of them marked; nothing where nothing is. */
function HandMap({ person, cautions }: { person: Athlete; cautions: readonly RecordedCaution[] }) {
  const [isOff, setOff] = useState(false);
  const { sex, statureCm, massKg } = person;
  const skeleton = useMemo(() => skeletonOf(handSizeOf(bodyOf({ sex, statureCm, massKg }).body)), [sex, statureCm, massKg]);
  const felt = HANDS.map((hand) => ({ hand, places: placesOf(cautions, hand) })).filter(({ places }) => places.length > 0);
  if (felt.length === 0 || isOff) return null;
  return (
    <Part title="Where they feel it">
      <div className="flex flex-wrap gap-4 py-2">
        {felt.map(({ hand, places }) => (
          <figure key={hand} className="w-44">
            <Suspense fallback={<div className="h-52" />}>
              <HandPlaces
                skeleton={skeleton}
                side={hand}
                on={PLACE_SIDES.find((side) => places.some((place) => PLACES_ON[side].includes(place))) ?? 'palm'}
                chosen={places}
                onPick={nothing}
                label={`Places on the ${hand} hand`}
                className="h-52 w-44 bg-white"
                onTrouble={() => setOff(true)}
              />
            </Suspense>
            <figcaption className="mt-1 flex items-center gap-2 text-small">
              <SideMark side={hand} />
              {places.length === 1 ? 'one place' : `${places.length} places`}
            </figcaption>
          </figure>
        ))}
      </div>
    </Part>
  );
}
