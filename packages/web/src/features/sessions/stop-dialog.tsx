import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { capital, HAND_WORDS, STOP_SIGN_IDS, STOP_SIGNS, WORKING_SIDES, type WorkingSide } from '@clay-pot/core';
import { useEffect, useState } from 'react';
import { endRun, setPaused } from '../../store/run.js';
import { Button } from '../../ui/button.js';

/**
 * What is wrong, and in which hand? Any of these ends the session; the clock stands while the question is open. The hand that works is the one
 * that is meant unless somebody says otherwise.
 */
export function StopDialog({ working, onClose }: { working: WorkingSide; onClose: () => void }) {
  const [hand, setHand] = useState(working);
  useEffect(() => setPaused(true), []);
  return (
    <Dialog open onClose={onClose} className="relative z-50 outline-none">
      <div className="fixed inset-0 bg-ink/40" aria-hidden />
      <div className="fixed inset-0 overflow-y-auto">
        <div className="grid min-h-full place-items-center p-4">
          <DialogPanel className="w-full max-w-md border-4 border-iron bg-white p-5">
            <DialogTitle className="text-head text-iron">What is it?</DialogTitle>
            <p className="mt-1">
              Any of these ends the session now, and nothing loads that hand before a licensed practitioner has looked
              at it.
            </p>
            <HandChoice hand={hand} choose={setHand} />
            <div className="mt-3 grid gap-2">
              {STOP_SIGN_IDS.map((sign) => (
                <button
                  key={sign}
                  type="button"
                  className="min-h-12 border-2 border-iron px-3 py-2 text-left font-semibold hover:bg-iron-wash"
                  onClick={() => {
                    endRun('stopped', { sign, hand });
                    onClose();
                  }}
                >
                  {STOP_SIGNS[sign]}
                </button>
              ))}
              <Button className="min-h-12" onClick={onClose}>
                None of these; stay paused
              </Button>
            </div>
          </DialogPanel>
        </div>
      </div>
    </Dialog>
  );
}

/** Which hand is meant. */
function HandChoice({ hand, choose }: { hand: WorkingSide; choose: (hand: WorkingSide) => void }) {
  return (
    <div role="group" aria-label="Which hand" className="mt-3 grid grid-cols-3">
      {WORKING_SIDES.map((side) => (
        <button
          key={side}
          type="button"
          aria-pressed={side === hand}
          className={`-ml-px min-h-11 border border-ink px-2 font-semibold ${side === hand ? 'bg-ink text-white' : 'bg-white'}`}
          onClick={() => choose(side)}
        >
          {capital(HAND_WORDS[side])}
        </button>
      ))}
    </div>
  );
}
