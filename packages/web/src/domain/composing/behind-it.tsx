import { readable } from '../measuring/units.js';
import type { ComposeAnswer } from '@clay-pot/contracts';
import { counted } from '@clay-pot/core';
import { useState } from 'react';
import { INPUT } from '../../ui/field.js';
import { Disclosure } from '../../ui/disclosure.js';

/** What keeps it from being better, and what is left out with the reason. */
export function BehindIt({ answer }: { answer: Pick<ComposeAnswer, 'binding' | 'excluded' | 'findings'> }) {
  const [sought, setSought] = useState('');
  const { binding, excluded, findings } = answer;
  const shown = excluded.filter(({ why }) => readable(why).toLowerCase().includes(sought.toLowerCase()));
  return (
    <div className="grid gap-3 text-small">
      {findings.length > 0 && (
        <ul className="border-l-4 border-load-3 bg-amber-wash px-2 py-1">
          {findings.map(({ check, text }) => (
            <li key={check + readable(text)}>{readable(text)}</li>
          ))}
        </ul>
      )}
      {binding.length > 0 && (
        <section aria-label="What limits it">
          <h3 className="font-bold">What limits it</h3>
          <ul>
            {binding.map(({ text }) => (
              <li key={readable(text)}>{readable(text)}</li>
            ))}
          </ul>
        </section>
      )}
      {excluded.length > 0 && (
        <Disclosure title={<>{counted(excluded.length, 'movement')} left out, and why</>} buttonClassName="font-bold">
          <input
            type="search"
            aria-label="Search what was left out"
            placeholder="Search for a movement or a reason"
            className={`${INPUT} my-1 text-small!`}
            value={sought}
            onChange={(event) => setSought(event.target.value)}
          />
          <ul className="max-h-64 overflow-y-auto" tabIndex={0} aria-label="Left out">
            {shown.map(({ movementId, why }) => (
              <li key={movementId} className="border-b border-line py-0.5">
                {readable(why)}
              </li>
            ))}
          </ul>
        </Disclosure>
      )}
    </div>
  );
}

/** What is to be known before anything else, and what would have to give way where nothing could be composed. */
export function BeforeIt({ answer: { notes, giveUp, sequence, excluded } }: { answer: ComposeAnswer }) {
  return (
    <>
      {notes.map((note) => (
        <p key={readable(note)} className="border-l-4 border-iron bg-iron-wash px-3 py-1.5 text-small font-semibold">
          {readable(note)}
        </p>
      ))}
      {!sequence && (
        <div role="alert" className="border-l-4 border-load-3 bg-amber-wash px-3 py-2">
          <p className="font-semibold">
            {giveUp.length > 0
              ? 'These settings don’t fit together. The smallest change that would work:'
              : `No movement is possible: ${counted(excluded.length, 'movement')} are left out, each for the reason shown.`}
          </p>
          <ul className="list-disc pl-5">
            {giveUp.map(({ text }) => (
              <li key={readable(text)}>{readable(text)}</li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}
