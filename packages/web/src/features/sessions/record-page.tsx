import { clock, HAND_WORDS, percent, STOP_SIGNS, type TermId, termOf } from '@clay-pot/core';
import type { SessionRecord } from '@clay-pot/contracts';
import { Link, useParams } from 'react-router';
import { useSession } from '../../api/queries.js';
import { useOutbox } from '../../store/outbox.js';
import { ButtonLink } from '../../ui/button-link.js';
import { dayText, scoreText, timeText } from '../../ui/format.js';
import { Loading, Page, Part, Trouble } from '../../ui/page.js';
import { Term } from '../../domain/terms/term.js';
import { BeforeAfter } from './before-after.js';
import { BlockResult } from './block-result.js';
import { WhatNow } from './what-now.js';

/** One session: what was planned beside what was done, hand by hand, and how it felt. */
export default function RecordPage() {
  const { id } = useParams();
  const waiting = useOutbox((state) => state.messages.filter((message) => message.path.startsWith(`/sessions/${id}`)).length);
  const session = useSession(id);
  if (session.isPending) return <Loading what="the record" />;
  if (!session.data) {
    if (waiting) return <OnItsWay waiting={waiting} />;
    return <Trouble error={session.error} retry={() => void session.refetch()} />;
  }
  const record = session.data;
  const doneMs = record.endedAt ? Date.parse(record.endedAt) - Date.parse(record.startedAt) : null;
  return (
    <Page
      title={record.title}
      lead={
        <>
          <Link to={`/people/${record.athleteId}`} className="font-semibold text-ink underline underline-offset-2">
            {record.athleteName}
          </Link>
          , {dayText(record.onDay)} at {timeText(record.startedAt)}
        </>
      }
      actions={
        <>
          <ButtonLink to={`/sequences/${record.sequenceId}/compare?athlete=${record.athleteId}&with=done:${record.id}`}>
            Compare as pots
          </ButtonLink>
          <ButtonLink to={`/sequences/${record.sequenceId}/lead?athlete=${record.athleteId}`}>Repeat session</ButtonLink>
        </>
      }
    >
      {waiting > 0 && (
        <p role="status" className="mb-4 border-l-4 border-load-3 bg-amber-wash px-3 py-2">
          {waiting} entries of this session are still waiting to sync.
        </p>
      )}
      {record.ending === 'stopped' && record.stopSign && (
        <p role="alert" className="mb-4 border-2 border-iron bg-iron-wash px-4 py-2">
          <b className="text-iron">
            Stopped: {STOP_SIGNS[record.stopSign].toLowerCase()}, {HAND_WORDS[record.stopHand ?? 'both']}.
          </b>{' '}
          Have it seen by a doctor or hand therapist before loading again.{' '}
          <Link to={`/people/${record.athleteId}`} className="font-semibold underline">
            Record clearance
          </Link>{' '}
          on {record.athleteName}’s page.
        </p>
      )}
      {record.begunAgainst.length > 0 && (
        <div role="alert" className="mb-4 border-2 border-iron bg-iron-wash px-4 py-2">
          <b className="text-iron">Started despite a safety rule.</b>
          {record.begunAgainst.map((text) => (
            <p key={text}>{text}</p>
          ))}
        </div>
      )}
      <Overview record={record} doneMs={doneMs} />
      <Part title="Planned vs. done" className="mt-8">
        <table className="w-full border-collapse">
          <thead>
            <tr className="text-left text-small text-ink-soft">
              <th className="py-1.5 pr-3 font-normal">Movement</th>
              <th className="py-1.5 pr-3 font-normal max-lg:hidden">Planned</th>
              <th className="py-1.5 pr-3 font-normal">Done, each hand</th>
              <th className="py-1.5 pr-3 font-normal">Discomfort</th>
              <th className="py-1.5 text-right font-normal max-lg:hidden">Effort (RPE)</th>
            </tr>
          </thead>
          <tbody>
            {record.plan.blocks.map((block) => (
              <BlockResult key={block.id} block={block} record={record} />
            ))}
          </tbody>
        </table>
      </Part>
      <BeforeAfter record={record} />
      {record.note && (
        <Part title="Note" className="mt-8 max-w-prose">
          <p className="py-2 whitespace-pre-line">{record.note}</p>
        </Part>
      )}
      <WhatNow record={record} />
    </Page>
  );
}

function OnItsWay({ waiting }: { waiting: number }) {
  return (
    <Page title="Waiting to sync" lead={`${waiting} entries of this session are saved on this device and will sync.`}>
      <p>They sync as soon as the server responds. You can close this page.</p>
    </Page>
  );
}

function Overview({ record, doneMs }: { record: SessionRecord; doneMs: number | null }) {
  const percentDone = 100 * record.completion;
  const figures: { term: TermId; value: number | null; text: string; note: string }[] = [
    {
      term: 'completion',
      value: percentDone,
      text: percent(record.completion),
      note: record.ending === 'completed' ? 'of the plan' : (record.ending ?? 'still open'),
    },
    {
      term: 'length',
      value: null,
      text: doneMs === null ? '–' : clock(doneMs),
      note: `planned ${clock(record.plannedMs)}`,
    },
    { term: 'discomfort', value: record.maxDiscomfort, text: scoreText(record.maxDiscomfort), note: 'of 10, peak' },
    { term: 'exertion', value: record.exertion, text: scoreText(record.exertion), note: 'of 10' },
  ];
  return (
    <dl className="flex flex-wrap gap-x-12 gap-y-4">
      {figures.map(({ term, value, text, note }) => (
        <div key={term}>
          <dt className="text-small text-ink-soft">
            <Term term={term} value={value ?? undefined}>
              {termOf(term).plain}
            </Term>
          </dt>
          <dd className="display text-title font-bold">{text}</dd>
          <dd className="text-small text-ink-soft">{note}</dd>
        </div>
      ))}
    </dl>
  );
}
