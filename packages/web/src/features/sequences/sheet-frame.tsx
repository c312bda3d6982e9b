import type { Athlete } from '@clay-pot/contracts';
import {
  AFTER_CARE,
  capitalSentence,
  cautionAdvice,
  CAUTIONS,
  DISCOMFORT_RULE,
  type Finding,
  findingsOf,
  joinSentences,
  minutesText,
  precautionText,
  type RecordedCaution,
  type SessionView,
  STOP_RULES,
  testsWords,
} from '@clay-pot/core';
import { useState } from 'react';
import { useMe } from '../../api/queries.js';
import { readable } from '../../domain/measuring/units.js';
import { dayText } from '../../ui/format.js';
import { isoToday } from '../../ui/today.js';

/** Whose copy it is: the client does it at home, the coach sees findings and risks too. */
export const COPIES = { client: 'Client copy', coach: 'Coach copy' } as const;
/** Whose copy. */
export type Copy = keyof typeof COPIES;

/** In place of a client’s sheet: what breaks a rule of safety, to be changed first. */
export function NotToHandOut({ stops, width }: { stops: readonly Finding[]; width: string }) {
  return (
    <div role="alert" className="mx-auto grid max-w-full gap-2 border-l-8 border-iron bg-white p-4" style={{ width }}>
      <p className="font-semibold">Don’t hand this out: it breaks a safety rule. Change the sequence first.</p>
      {stops.map((stop) => (
        <p key={readable(stop.text)} className="font-semibold text-iron">
          {readable(stop.text)}
        </p>
      ))}
    </div>
  );
}

/** Title, whose it is and when; for the coach also what the checks say. */
export function Head({ copy, view, athlete }: { copy: Copy; view: SessionView; athlete: Athlete | undefined }) {
  const me = useMe();
  const [today] = useState(isoToday);
  const { sequence, timeline } = view;
  return (
    <>
      <header className="flex items-end justify-between gap-4 border-b-2 border-ink pb-1">
        <div>
          <h1 className="leading-tight" style={{ fontSize: '20pt' }}>
            {sequence.title}
          </h1>
          <p>{sequence.purpose}</p>
          {sequence.tests?.length ? <p>Test before and after: {testsWords(sequence.tests)}.</p> : null}
        </div>
        <div className="shrink-0 text-right">
          <b>{athlete?.name}</b>
          <br />
          {minutesText(timeline.durationMs)}, {dayText(today)}
          <br />
          {me.data?.studio.name}
        </div>
      </header>
      {copy === 'coach' && <Findings view={view} />}
    </>
  );
}

/** What the checks say, for the coach: stops in a frame, faults in a line each. */
function Findings({ view }: { view: SessionView }) {
  const found = findingsOf(view).filter(({ check, muted }) => check.severity !== 'look' && muted === null);
  return found.map(({ check, text }) => (
    <p
      key={readable(text)}
      className={
        check.severity === 'stop' ? 'mt-2 border-2 border-iron px-2 py-1 font-bold text-iron' : 'mt-1 border-l-4 border-load-3 px-2'
      }
    >
      {readable(text)}
    </p>
  ));
}

interface FootProps {
  copy: Copy;
  view: SessionView;
  cautions: readonly RecordedCaution[];
  athlete: Athlete | undefined;
}

/** What concerns doing it, and the stop rules. */
export function Foot({ copy, view: { method }, cautions, athlete }: FootProps) {
  const shown = copy === 'coach' ? cautions : cautions.filter(concernsHome).slice(0, MOST_PRECAUTIONS);
  return (
    <footer className="border-t-2 border-ink pt-1.5">
      {shown.length > 0 && (
        <p className="mb-1">
          <b>For {athlete?.name}: </b>
          {readable(joinSentences(shown.map(copy === 'coach' ? cautionAdvice : homeAdvice)))}
        </p>
      )}
      <p>
        {DISCOMFORT_RULE[method.discomfort]} {AFTER_CARE[method.afterCare]}
      </p>
      <p className="font-bold">{STOP_RULES.join(' ')}</p>
    </footer>
  );
}

/** A client reads a few precautions, not a file. */
const MOST_PRECAUTIONS = 3;
/** What changes how it is done at home: what adapts, and the limits of a clearance. */
const concernsHome = (entry: RecordedCaution) => CAUTIONS[entry.caution].rule === 'adapt' || entry.within !== undefined;
const homeAdvice = (entry: RecordedCaution) => capitalSentence(precautionText(entry));
