import { describePot, potOf } from '@clay-pot/core';
import { memo, useMemo } from 'react';
import { PotDrawing } from '../../drawing/pot.js';
import { blockNames } from '../../domain/sequence/block-names.js';
import { type Led, useRunView } from './run-view.js';

interface Props extends Led {
  /** How far the session has come, whole seconds: the pot need not grow ten times in one. */
  seconds: number;
}

/** The session’s pot, built as far as it has gone. */
export const PlayerPot = memo(function PlayerPot({ seconds, ...led }: Props) {
  const { sequence } = led;
  const view = useRunView(led);
  const pot = useMemo(() => potOf(view, 'effort'), [view]);
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
