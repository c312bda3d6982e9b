import { type TermId, termOf } from '@clay-pot/core';
import { Link } from 'react-router';
import { readable } from '../measuring/units.js';

/** What a number is, from what, and whether it is much. */
export default function Answer({ term: id, value }: { term: TermId; value: number | undefined }) {
  const { plain, term, what, from, scale, judge } = termOf(id);
  return (
    <>
      <p className="text-body font-bold">{plain}</p>
      <p className="text-fine text-ink-soft">{term}</p>
      <p className="mt-1.5">{readable(what)}</p>
      <dl className="mt-1.5 grid gap-1.5">
        <div>
          <dt className="font-semibold">Where it comes from</dt>
          <dd>{readable(from)}</dd>
        </div>
        <div>
          <dt className="font-semibold">Is it a lot?</dt>
          <dd>
            {value !== undefined && judge && <b>{readable(judge(value))} </b>}
            {readable(scale)}
          </dd>
        </div>
      </dl>
      <p className="mt-2">
        <Link className="underline" to="/help">
          Glossary
        </Link>
      </p>
    </>
  );
}
