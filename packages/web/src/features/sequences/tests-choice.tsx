import { SEQUENCE_LIMITS, SESSION_TESTS, type SessionTest, testsWords } from '@clay-pot/core';
import { memo } from 'react';
import { changeSequence } from '../../store/editor.js';
import { Disclosure } from '../../ui/disclosure.js';

/** What is measured before the first block and after the last: test, train, test again. */
export const TestsChoice = memo(function TestsChoice({ tests = [] }: { tests: readonly SessionTest[] | undefined }) {
  const isFull = tests.length >= SEQUENCE_LIMITS.tests;
  return (
    <Disclosure
      className="text-small"
      title={
        <>
          <span className="text-ink-soft">Tested before and after: </span>
          <b>{testsWords(tests) || 'nothing'}</b>
        </>
      }
    >
      <ul className="mt-1 border-l-4 border-line pl-2">
        {SESSION_TESTS.map((id) => (
          <li key={id}>
            <label className="flex items-center gap-2 py-0.5">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                checked={tests.includes(id)}
                disabled={isFull && !tests.includes(id)}
                onChange={(event) =>
                  changeSequence({
                    tests: event.target.checked ? [...tests, id] : tests.filter((other) => other !== id),
                  })
                }
              />
              {testsWords([id])}
            </label>
          </li>
        ))}
      </ul>
      {isFull && <p className="text-ink-soft">At most {SEQUENCE_LIMITS.tests} tests in a session.</p>}
    </Disclosure>
  );
});
