import { readable } from '../../domain/measuring/units.js';
import type { Athlete } from '@clay-pot/contracts';
import {
  afterIntake,
  cautionsOn,
  type Intake,
  movementsOpen,
  type RecordedCaution,
  type Screening,
  whyItHurts,
  withPerson,
} from '@clay-pot/core';
import { useMemo } from 'react';
import { useSubject } from '../../domain/athlete/named-subject.js';
import { isoToday } from '../../ui/today.js';
import { HandVerdicts, OffList, ScreenReasons } from '../../domain/athlete/screening-panel.js';
import { useStudioLibrary } from '../../store/library.js';
import { Part } from '../../ui/page.js';
import { TryFirst } from './why-path.js';
import { Disclosure } from '../../ui/disclosure.js';

interface Props {
  athlete: Athlete;
  answers: Intake;
  screening: Screening;
}

/** What follows from the answers, before they are recorded. */
export function VerdictStep({ athlete, answers, screening }: Props) {
  const { remedy } = whyItHurts(answers.path ?? []);
  const kept = useMemo(() => afterIntake(athlete.cautions, screening.cautions), [athlete.cautions, screening]);
  const standing = useMemo(() => cautionsOn({ ...withPerson(athlete, answers), cautions: kept }, isoToday()), [athlete, answers, kept]);
  const before = kept.filter(({ intakeId, stopped }) => (intakeId ?? stopped?.intakeId) === undefined);
  return (
    <div className="grid gap-6">
      <HandVerdicts hands={screening.hands} unasked={screening.unasked} />
      {screening.verdict === 'stop now' && (
        <p className="border-2 border-iron px-3 py-2 font-semibold text-iron">
          Don’t use that hand today, not even for free motion. Have it seen by a doctor or hand therapist first. If in doubt, call the
          emergency number.
        </p>
      )}
      <ScreenReasons reasons={screening.reasons} />
      {remedy && <TryFirst remedy={remedy} />}
      <OffList off={screening.off} />
      <OnTheShelf athleteId={athlete.id} standing={standing} />
      {before.length > 0 && <p className="text-small text-ink-soft">Earlier restrictions stay until someone clears or removes them.</p>}
    </div>
  );
}

/** How much of the shelf is left. */
function OnTheShelf({ athleteId, standing }: { athleteId: string; standing: readonly RecordedCaution[] }) {
  const { shelf } = useStudioLibrary();
  const { person } = useSubject(athleteId);
  const open = useMemo(() => movementsOpen(person, shelf, standing), [person, shelf, standing]);
  const whole = open.filter(({ openLevels, ofLevels }) => openLevels.length === ofLevels).length;
  const off = open.filter(({ openLevels }) => openLevels.length === 0);
  return (
    <Part title="Movements that are left">
      <dl className="grid grid-cols-3 py-2">
        {[
          ['at every level', whole],
          ['at some levels', open.length - whole - off.length],
          ['off', off.length],
        ].map(([words, count]) => (
          <div key={words} className="flex flex-col-reverse">
            <dt className="text-small text-ink-soft">{words}</dt>
            <dd className="display text-head font-bold figures">{count}</dd>
          </div>
        ))}
      </dl>
      {off.length > 0 && (
        <Disclosure className="text-small" title="What is restricted, and why" buttonClassName="font-semibold">
          <ul className="mt-1">
            {off.map(({ movementId, name, why }) => (
              <li key={movementId} className="border-b border-line py-1">
                <b>{name}</b>: {readable(why ?? '')}
              </li>
            ))}
          </ul>
        </Disclosure>
      )}
    </Part>
  );
}
