import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { STOP_SIGN_IDS, STOP_SIGNS } from '@clay-pot/core';
import { useEffect } from 'react';
import { endRun, setPaused } from '../../store/run.js';
import { Button } from '../../ui/button.js';

/** What is wrong? Any of these ends the session; the clock stands while the question is open. */
export function StopDialog({ onClose }: { onClose: () => void }) {
  useEffect(() => setPaused(true), []);
  return (
    <Dialog open onClose={onClose} className="relative z-50 outline-none">
      <div className="fixed inset-0 bg-ink/40" aria-hidden />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="w-full max-w-md border-4 border-iron bg-white p-5">
          <DialogTitle className="text-head text-iron">What is it?</DialogTitle>
          <p className="mt-1">Any of these ends the session now. Have it looked at before loading again.</p>
          <div className="mt-4 grid gap-2">
            {STOP_SIGN_IDS.map((sign) => (
              <button
                key={sign}
                type="button"
                className="min-h-12 border-2 border-iron px-3 py-2 text-left font-semibold hover:bg-iron-wash"
                onClick={() => {
                  endRun('stopped', sign);
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
    </Dialog>
  );
}
