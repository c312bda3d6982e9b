import { type PathEnd, whyItHurts } from '@clay-pot/core';
import { Link } from 'react-router';
import { useStudioLibrary } from '../../store/library.js';
import { Part } from '../../ui/page.js';

/** Where hands hurt in training: a short path of questions to what is tried first. */
export function WhyPath({ path, change }: { path: readonly string[]; change: (path: readonly string[]) => void }) {
  const { said, next, remedy } = whyItHurts(path);
  return (
    <Part title="Why it hurts in training">
      <ol className="text-small">
        {said.map(({ question, answer }, index) => (
          <li key={question} className="flex items-baseline justify-between gap-3 border-b border-line py-1.5">
            <span>
              {question} <b>{answer}</b>
            </span>
            <button type="button" className="min-h-8 underline underline-offset-2" onClick={() => change(path.slice(0, index))}>
              Change
            </button>
          </li>
        ))}
      </ol>
      {next && (
        <div className="py-2">
          <p className="mb-1.5 font-semibold">{next.question.asks}</p>
          <div className="grid gap-1">
            {Object.entries(next.question.answers).map(([id, { says }]) => (
              <button
                key={id}
                type="button"
                className="min-h-11 border border-ink/50 bg-white px-3 text-left font-semibold hover:bg-ground"
                onClick={() => change([...path, id])}
              >
                {says}
              </button>
            ))}
          </div>
        </div>
      )}
      {remedy && <TryFirst remedy={remedy} />}
    </Part>
  );
}

/** What to try first, with what of the shelf it is. */
export function TryFirst({ remedy }: { remedy: NonNullable<PathEnd['remedy']> }) {
  const { movement } = useStudioLibrary();
  return (
    <div className="mt-2 border-l-4 border-celadon bg-celadon-wash px-3 py-2">
      <p className="font-semibold">Try first: {remedy.title.toLowerCase()}</p>
      <p>{remedy.text}</p>
      {remedy.movementIds.length > 0 && (
        <p className="mt-1 flex flex-wrap gap-x-4 text-small">
          {remedy.movementIds.map((id) => (
            <Link key={id} className="underline underline-offset-2" to={`/movements/${id}`}>
              {movement(id)?.name}
            </Link>
          ))}
        </p>
      )}
    </div>
  );
}
