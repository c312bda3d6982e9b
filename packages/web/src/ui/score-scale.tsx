import { SESSION_LIMITS } from '@clay-pot/core';

const SCORES = Array.from({ length: SESSION_LIMITS.score.max + 1 }, (_, score) => score);

interface Props {
  name: string;
  low: string;
  high: string;
  /** The one that was chosen, where the choice stays to be seen. */
  chosen?: number | null;
  onChoose: (score: number) => void;
}

/** Nought to ten, one tap. */
export function ScoreScale({ name, low, high, chosen = null, onChoose }: Props) {
  return (
    <fieldset className="min-w-0">
      <legend className="sr-only">
        {name}, 0 {low} to 10 {high}
      </legend>
      <div className="grid grid-cols-6 gap-1 sm:grid-cols-11">
        {SCORES.map((score) => (
          <button
            key={score}
            type="button"
            aria-label={`${name} ${score}`}
            aria-pressed={chosen === null ? undefined : chosen === score}
            className={`display h-11 border border-ink/40 font-bold ${chosen === score ? 'bg-ink text-white' : 'bg-porcelain hover:bg-ground'}`}
            onClick={() => onChoose(score)}
          >
            {score}
            {score === 0 && <span className="font-text text-fine font-normal"> {low}</span>}
            {score === 10 && <span className="font-text text-fine font-normal max-sm:hidden"> {high}</span>}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
