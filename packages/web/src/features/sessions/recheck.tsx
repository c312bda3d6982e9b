import {
  type Hand,
  type LookAnswer,
  HAND_WORDS,
  HANDS,
  handsWorking,
  LOOK_ANSWERS,
  LOOK_QUESTIONS,
  otherHand,
  type TimelineEvent,
} from '@clay-pot/core';
import { useCallback, useMemo, useState } from 'react';
import { type Command, useCommands } from '../../ui/commands.js';
import { finishNow, look, type Run } from '../../store/run.js';
import { Button } from '../../ui/button.js';
import { SideMark } from '../../ui/marks.js';
import { blockAt } from '../../domain/session/moment-words.js';

/** Asks what was seen of each hand at the recheck: one tap a hand. The clock waits until then. */
export function LookAgain({ run, event }: { run: Run; event: TimelineEvent }) {
  const [shownHands, setTold] = useState<readonly Hand[]>([]);
  const { look: stop } = event;
  const hands = handsToRecheck(run, event);
  const tell = useCallback(
    (hand: Hand, answer: LookAnswer) => {
      look(hand, answer);
      const now = [...shownHands, hand];
      setTold(now);
      if (hands.every((each) => now.includes(each))) finishNow();
    },
    [shownHands, hands],
  );
  const next = hands.find((hand) => !shownHands.includes(hand));
  const commands = useMemo<Command[]>(
    () =>
      LOOK_ANSWERS.map((answer, index) => ({
        keys: String(index + 1),
        label: `Recheck: ${answer}`,
        group: 'Session',
        run: () => next && tell(next, answer),
      })),
    [next, tell],
  );
  useCommands(commands);
  if (!stop) return null;
  return (
    <section aria-label="Recheck" className="mx-4 mb-2 border-2 border-ink bg-white p-3 sm:mx-8">
      <h3 className="text-body sm:text-lead">{LOOK_QUESTIONS[stop]}</h3>
      {hands.map((hand) => (
        <div key={hand} role="group" aria-label={HAND_WORDS[hand]} className="mt-2 flex items-center gap-2">
          <SideMark side={hand} className="w-7" />
          {LOOK_ANSWERS.map((answer) => (
            <Button key={answer} className="h-12 flex-1" disabled={shownHands.includes(hand)} onClick={() => tell(hand, answer)}>
              {answer}
            </Button>
          ))}
        </div>
      ))}
      <Button kind="quiet" className="mt-1 h-11" onClick={finishNow}>
        Continue without an answer
      </Button>
    </section>
  );
}

/** Before the hands change, the one that has worked; afterwards all that worked. */
function handsToRecheck(run: Run, event: TimelineEvent): readonly Hand[] {
  if (event.look === 'between hands') return HANDS.filter((hand) => event.side === otherHand(hand));
  return handsWorking(blockAt(run.sequence, event).dose.sides);
}
