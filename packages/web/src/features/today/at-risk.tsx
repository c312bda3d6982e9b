import type { TodayChange, TodayRisk } from '@clay-pot/contracts';
import { capitalSentence, counted, firstOf } from '@clay-pot/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { readable } from '../../domain/measuring/units.js';
import { Button } from '../../ui/button.js';
import { Empty, Part } from '../../ui/page.js';

/** The most urgent are shown; everyone is in the class overview. */
const RISKS_SHOWN = 6;
const CHANGES_SHOWN = 5;

/** Who may be hurt by training as planned, with the weightiest reason. */
export function AtRisk({ risks }: { risks: readonly TodayRisk[] }) {
  if (risks.length === 0) return null;
  return (
    <section aria-label="At risk" className="@container border-l-8 border-iron bg-iron-wash px-4 py-2.5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-lead">At risk</h2>
        <Link to="/people/class" className="text-small underline underline-offset-2">
          {risks.length > RISKS_SHOWN ? `${counted(risks.length - RISKS_SHOWN, 'more athlete')} in the class overview` : 'Class overview'}
        </Link>
      </div>
      <ul className="mt-1 grid gap-x-8 gap-y-1 @3xl:grid-cols-3">
        {risks.slice(0, RISKS_SHOWN).map(({ athleteId, athleteName, reasons }) => (
          <li key={athleteId} className="text-small">
            <Link to={`/people/${athleteId}`} className="text-body font-semibold hover:underline">
              {athleteName}
            </Link>
            <span className="block">{readable(capitalSentence(firstOf(reasons)))}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What happened since yesterday morning: what may hurt first. */
export function SinceYesterday({ changes }: { changes: readonly TodayChange[] }) {
  const [all, setAll] = useState(false);
  return (
    <Part title="Since yesterday">
      {changes.length === 0 && <Empty>No sessions or check-ins since yesterday.</Empty>}
      <ul aria-label="Since yesterday">
        {(all ? changes : changes.slice(0, CHANGES_SHOWN)).map(({ of, sessionId, athleteId, athleteName, isGrave, text }) => (
          <li key={`${of} ${sessionId ?? athleteId} ${readable(text)}`} className="border-b border-line py-1.5 text-small">
            <Link
              to={sessionId ? `/records/${sessionId}` : `/people/${athleteId}/screening`}
              className="font-semibold underline-offset-2 hover:underline"
            >
              {athleteName}
            </Link>
            <span className={`block ${isGrave ? 'font-semibold text-iron' : ''}`}>{readable(capitalSentence(text))}</span>
          </li>
        ))}
      </ul>
      {!all && changes.length > CHANGES_SHOWN && (
        <Button className="mt-2" kind="quiet" onClick={() => setAll(true)}>
          {counted(changes.length - CHANGES_SHOWN, 'more change')}
        </Button>
      )}
    </Part>
  );
}
