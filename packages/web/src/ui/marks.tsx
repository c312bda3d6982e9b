import {
  discomfortAdviceText,
  type DiscomfortLevel,
  discomfortLevel,
  type DiscomfortPolicy,
  HANDS,
  loadStepOf,
  type SidePlan,
  type WorkingSide,
} from '@clay-pot/core';

const LOOK: Record<WorkingSide, { letter: string; name: string; className: string }> = {
  left: { letter: 'L', name: 'left', className: 'bg-cobalt text-white' },
  right: { letter: 'R', name: 'right', className: 'bg-ochre text-white hatch-right' },
  both: { letter: 'L R', name: 'both hands', className: 'bg-ground text-ink' },
};

/** A hand, by letter and colour; the right one carries a hatch as well. */
export function SideMark({ side, className = '' }: { side: WorkingSide; className?: string }) {
  const { letter, name, className: look } = LOOK[side];
  return (
    <span className={`display inline-grid min-w-5 place-items-center px-1 text-fine font-bold ${look} ${className}`} title={name}>
      <span aria-hidden>{letter}</span>
      <span className="sr-only">{name}</span>
    </span>
  );
}

/** Heads of a column for each hand. */
export function HandHeads() {
  return HANDS.map((hand) => (
    <th key={hand} className="pb-0.5 text-right">
      <SideMark side={hand} />
    </th>
  ));
}

const ORDER: Record<SidePlan, { sides: WorkingSide[]; joint: string }> = {
  together: { sides: ['both'], joint: '' },
  left: { sides: ['left'], joint: '' },
  right: { sides: ['right'], joint: '' },
  'left-then-right': { sides: ['left', 'right'], joint: '' },
  'right-then-left': { sides: ['right', 'left'], joint: '' },
  alternating: { sides: ['left', 'right'], joint: '/' },
};

/** Which hands a dose asks for, in order. */
export function SidePlanMark({ plan }: { plan: SidePlan }) {
  const { sides, joint } = ORDER[plan];
  return (
    <span className="inline-flex items-center gap-0.5" title={plan.replaceAll('-', ' ')}>
      {sides.map((side, index) => (
        <span key={side} className="inline-flex items-center gap-0.5">
          {index > 0 && joint && <span aria-hidden>{joint}</span>}
          <SideMark side={side} />
        </span>
      ))}
    </span>
  );
}

/** Written out, for the style sheet is made from the names that stand in the code. */
const STEPS = { 1: 'bg-load-1', 2: 'bg-load-2', 3: 'bg-load-3', 4: 'bg-load-4', 5: 'bg-load-5' } as const;

/** The step of the load scale for 0–100 %: the same wherever load is shown. */
export const loadClass = (percent: number) => STEPS[loadStepOf(percent)];

/** Effort on the load scale: a filled bar and the number. */
export function EffortMark({ percent }: { percent: number }) {
  return (
    <span className="inline-flex items-center gap-1.5 text-small figures" title={`${percent} % of maximum`}>
      <span className="inline-block h-2.5 w-8 border border-ink/40 bg-white" aria-hidden>
        <span className={`block h-full ${loadClass(percent)}`} style={{ width: `${percent}%` }} />
      </span>
      {percent} %
    </span>
  );
}

const LEVEL_LOOK: Record<DiscomfortLevel, string> = {
  none: 'bg-celadon-wash text-celadon',
  mild: 'bg-celadon-wash text-celadon',
  moderate: 'bg-amber-wash text-amber',
  strong: 'bg-iron-wash text-iron',
};

interface DiscomfortProps {
  score: number | null;
  /** What the method of the session allowed: it decides what the score asks for. */
  policy: DiscomfortPolicy;
}

/** Discomfort 0–10 by one scale, with its word so that colour is not needed; beside it what it asks for, and why. */
export function DiscomfortMark({ score, policy }: DiscomfortProps) {
  if (score === null) return <span className="text-ash">–</span>;
  const level = discomfortLevel(score);
  const asks = discomfortAdviceText(score, policy);
  return (
    <span className="text-small">
      <span className={`px-1.5 py-0.5 whitespace-nowrap figures ${LEVEL_LOOK[level]}`}>
        <b>{score}</b> {level}
      </span>
      {asks && <span className="text-fine text-ink-soft"> {asks}</span>}
    </span>
  );
}
