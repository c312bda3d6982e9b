import { Dialog as HeadlessDialog, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';

interface Props {
  title: string;
  onClose: () => void;
  /** How wide it is where there is room. */
  width?: keyof typeof WIDTHS;
  /** Something that hurts has the colour of a stop. */
  tone?: keyof typeof TONES;
  /** In the middle, or near the top where what it shows grows and shrinks. */
  place?: keyof typeof PLACES;
  children: ReactNode;
}

const WIDTHS = { narrow: 'max-w-md', usual: 'max-w-lg', wide: 'max-w-2xl' } as const;
const PLACES = { middle: 'place-items-center', top: 'content-start justify-items-center sm:pt-[10dvh]' } as const;
const TONES = { calm: ['border-ink', ''], stop: ['border-4 border-iron', 'text-iron'] } as const;

/** A question before something is done, or something to look up: it has the keyboard until it is closed. */
export function Dialog({ title, onClose, width = 'usual', tone = 'calm', place = 'middle', children }: Props) {
  const [frame, heading] = TONES[tone];
  return (
    <HeadlessDialog open onClose={onClose} className="relative z-50 outline-none">
      <div className="fixed inset-0 bg-ink/40" aria-hidden />
      <div className="fixed inset-0 overflow-y-auto">
        <div className={`grid min-h-full p-3 sm:p-4 ${PLACES[place]}`}>
          <DialogPanel className={`w-full border-2 bg-white p-4 sm:p-5 ${WIDTHS[width]} ${frame}`}>
            <DialogTitle className={`text-head ${heading}`}>{title}</DialogTitle>
            {children}
          </DialogPanel>
        </div>
      </div>
    </HeadlessDialog>
  );
}
