import { memo } from 'react';
import { Link } from 'react-router';
import { changeSequence } from '../../store/editor.js';
import { methodOf } from '@clay-pot/core/library';
import { useStudioLibrary } from '../../store/library.js';

/** The method of the sequence: new blocks, wording and checks follow it. */
export const MethodChoice = memo(function MethodChoice({ methodId }: { methodId: string | undefined }) {
  const { methods, method: lookup } = useStudioLibrary();
  const method = methodOf({ methodId }, lookup);
  // A method that was taken off the list is still the sequence's own.
  const listed = methods.some(({ id }) => id === method.id) ? methods : [...methods, method];
  return (
    <div className="text-small">
      <label className="flex items-center gap-2">
        <span className="text-ink-soft">Method</span>
        <select
          aria-label="Method"
          className="min-w-0 flex-1 border border-ink/45 bg-white px-1.5 py-0.5 font-semibold"
          value={method.id}
          onChange={(event) => changeSequence({ methodId: event.target.value })}
        >
          {listed.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <Link className="underline underline-offset-2" to={`/methods/${method.id}`}>
          Show method
        </Link>
      </label>
    </div>
  );
});
