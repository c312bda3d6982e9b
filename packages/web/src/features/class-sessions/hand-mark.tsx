import { capital, HAND_WORDS, type WorkingSide } from '@clay-pot/core';

const LOOK: Record<WorkingSide, { text: string; className: string }> = {
  left: { text: 'L', className: 'bg-cobalt text-white' },
  right: { text: 'R', className: 'bg-ochre text-white hatch-right' },
  both: { text: 'L R', className: 'border-2 border-current' },
};

/** Which hand works, by letter, colour and hatch. */
export function HandMark({ side, className = '' }: { side: WorkingSide; className?: string }) {
  const { text, className: look } = LOOK[side];
  return (
    <span className={`display grid shrink-0 place-items-center font-extrabold ${look} ${className}`}>
      <span aria-hidden>{text}</span>
      <span className="sr-only">{capital(HAND_WORDS[side])}</span>
    </span>
  );
}
