import type { CopyPreview } from '@clay-pot/contracts';
import { readable } from '../../domain/measuring/units.js';

/** What is other in somebody’s copy, and what the rules still find in it. */
export function Differences({ preview: { differences, findings } }: { preview: CopyPreview }) {
  return (
    <>
      {differences.length === 0 ? (
        <p className="text-small text-ink-soft">As it is: nothing has to be different.</p>
      ) : (
        <ul className="list-disc pl-5 text-small">
          {differences.map((each, index) => (
            <li key={index}>{readable(each)}</li>
          ))}
        </ul>
      )}
      {findings.length > 0 && (
        <ul className="mt-1 text-small">
          {findings.map(({ rule, day, week, title, text, severity }, index) => (
            <li key={`${rule} ${day} ${index}`} className={`border-l-4 pl-2 ${severity === 'look' ? 'border-amber' : 'border-iron'}`}>
              <b>
                Week {week}. {title}.
              </b>{' '}
              {readable(text)}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
