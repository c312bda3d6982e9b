import { ALL_OUT, allOutFrom, type Hand, READING_LIMITS, readNumber } from '@clay-pot/core';
import { useState } from 'react';
import { boundsText, shownUnit, storedValue, readable } from '../../domain/measuring/units.js';
import { Button } from '../../ui/button.js';
import { INPUT } from '../../ui/field.js';
import { AllOutResult } from './all-out.js';
import type { DeviceResult } from './device-trial.js';

/** The mean of each squeeze, read off any gauge and typed in a row; what it comes to is shown as it is typed. */
export function TypedAllOut({ hand, take }: { hand: Hand; take: (result: DeviceResult) => void }) {
  const [typed, setTyped] = useState('');
  const words = typed.split(/[\s;]+/).filter((word) => word !== '');
  const { min, max } = READING_LIMITS.N;
  const values = words.map((word) => storedValue('N', readNumber(word)));
  const wrong = values.findIndex((value) => !(value >= min && value <= max));
  const test = wrong < 0 && values.length > 0 ? allOutFrom(values.slice(0, ALL_OUT.contractions)) : null;
  const trouble = wrong >= 0 ? `Enter “${words[wrong] ?? ''}” as a number from ${boundsText('N')}.` : null;
  return (
    <div className="basis-full py-2">
      <label className="block text-small font-semibold">
        Each squeeze in {shownUnit('N')}, {hand}: the mean of its {ALL_OUT.workS} s. Enter {ALL_OUT.contractions} numbers with a space
        between them.
        <textarea
          className={`${INPUT} mt-1 h-20 w-full figures`}
          inputMode="decimal"
          aria-invalid={trouble !== null || undefined}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      {trouble && (
        <p role="alert" className="text-small font-semibold text-iron">
          {trouble}
        </p>
      )}
      {test && (
        <div className="text-small">
          <AllOutResult test={test} />
          {test.faults.map((text) => (
            <p key={readable(text)} className="mt-1 border-l-4 border-load-3 bg-amber-wash px-2 py-1">
              {readable(text)}
            </p>
          ))}
        </div>
      )}
      {test?.criticalForce && (
        <Button
          kind="primary"
          className="mt-2 min-h-11"
          onClick={() =>
            test.criticalForce &&
            take({ values: { [hand]: test.criticalForce.criticalForceN }, aboveNs: test.criticalForce.capacityAboveNs })
          }
        >
          Use
        </Button>
      )}
    </div>
  );
}
