import { type DiscomfortTimes, HAND_WORDS, type WorkingSide } from '@clay-pot/core';
import { ScoreScale } from '../../ui/score-scale.js';
import { HandChoice } from './choices.js';
import { WhyPath } from './why-path.js';
import type { StepProps } from './step-props.js';
import { useState } from 'react';
import { SideMark } from '../../ui/marks.js';

const TIMES = [
  ['during', 'During training'],
  ['after', 'Right after'],
  ['nextMorning', 'The next morning'],
  ['atNight', 'At night'],
] as const;

/** How much it is felt at four times, hand by hand, and why it may hurt. */
export function TimesStep({ answers, change }: StepProps) {
  const sessions = answers.discomfort ?? [];
  const [hand, setHand] = useState<WorkingSide>(sessions[0]?.hand ?? firstFelt(answers.symptoms) ?? 'both');
  const times: DiscomfortTimes = sessions.find((entry) => entry.hand === hand) ?? { hand };
  const set = (next: DiscomfortTimes) =>
    // Of both hands together, or of each by itself: the one takes the place of the other.
    change({
      discomfort: [...sessions.filter((entry) => entry.hand !== hand && (entry.hand === 'both') === (hand === 'both')), next],
    });
  return (
    <div className="grid items-start gap-x-12 gap-y-6 lg:grid-cols-2">
      <div className="grid gap-4">
        <HandChoice label="Which hand" hand={hand} choose={setHand} />
        {TIMES.map(([name, words]) => (
          <div key={name}>
            <p className="mb-1 text-small font-semibold">{words}</p>
            <ScoreScale
              name={words}
              low="none"
              high="worst"
              chosen={times[name] ?? null}
              onChoose={(score) => set({ ...times, [name]: score })}
            />
          </div>
        ))}
        {sessions.length > 1 && (
          <p className="flex gap-2 text-small text-ink-soft">
            You answered for{' '}
            {sessions.map((entry) => (
              <SideMark key={entry.hand} side={entry.hand} />
            ))}{' '}
            Showing the {HAND_WORDS[hand]}.
          </p>
        )}
      </div>
      <WhyPath path={answers.path ?? []} change={(path) => change({ path })} />
    </div>
  );
}

const firstFelt = (symptoms: StepProps['answers']['symptoms']): WorkingSide | undefined => {
  const hands = new Set(symptoms?.map(({ hand }) => hand));
  return hands.size === 1 ? [...hands][0] : undefined;
};
