import { describePot, potOf, type Sequence, viewOf } from '@clay-pot/core';
import { memo, useMemo } from 'react';
import { PotDrawing } from '../../drawing/pot.js';
import { knownMovement, methodFor } from '../../store/library.js';
import { timelineOf } from '../../store/run.js';
import { useForWhom } from '../../domain/for-whom.js';
import { blockNames } from '../../domain/block-names.js';

interface Props {
  sequence: Sequence;
  athleteId: string;
  /** How far the session has come, whole seconds: the pot need not grow ten times in one. */
  seconds: number;
}

/** The session’s pot, built as far as it has gone. */
export const PlayerPot = memo(function PlayerPot({ sequence, athleteId, seconds }: Props) {
  const { person } = useForWhom(athleteId);
  const pot = useMemo(() => {
    const asked = { sequence, lookup: knownMovement, shelf: [], person, method: methodFor(sequence) };
    const now = `${person.today}T00:00:00.000Z`;
    return potOf(viewOf({ ...asked, athlete: null, past: [], now }, timelineOf(sequence)), 'effort');
  }, [sequence, person]);
  const nameOf = useMemo(() => blockNames(sequence), [sequence]);
  return (
    <PotDrawing
      pot={pot}
      nameOf={nameOf}
      description={`The pot of this session: ${describePot(pot, nameOf)}`}
      builtMs={seconds * 1000}
      scaleMs={Math.max(pot.durationMs, 1)}
      heightPx={190}
      bare
      className="mx-auto mt-3 block w-52"
    />
  );
});
