import type { Athlete } from '@clay-pot/contracts';
import { type Hand, type Protocol, RANGE_MOTIONS, trialSortOf } from '@clay-pot/core';
import { useMemo } from 'react';
import { deviceFor, type Source } from '../../domain/devices/sources.js';
import { DeviceTrial, type DeviceResult } from './device-trial.js';
import { PhotoGoniometer } from './photo-goniometer.js';
import { TypedAllOut } from './typed-all-out.js';

interface Props {
  athlete: Athlete;
  protocol: Protocol;
  hand: Hand;
  leverCm: number;
  source: Source;
  take: (result: DeviceResult) => void;
}

/** Where the numbers of a turn come from beside a typed one: a device, a picture, or the contractions of a whole test. */
export function TrialSource({ athlete, protocol, hand, leverCm, source, take }: Props) {
  // One for the turn: a re-rendered choice must not start another.
  const device = useMemo(
    () => deviceFor(source, { protocol, hand, athleteId: athlete.id, leverCm }),
    [source, protocol, hand, athlete.id, leverCm],
  );
  const sort = trialSortOf(protocol);
  const motion = RANGE_MOTIONS.find((each) => each === protocol.of);
  if (source.kind === 'typed') return sort === 'all-out' ? <TypedAllOut hand={hand} take={take} /> : null;
  if (source.kind === 'photo') {
    return motion ? (
      <PhotoGoniometer athlete={athlete} motion={motion} hand={hand} take={(deg) => take({ values: { [hand]: deg } })} />
    ) : null;
  }
  if (!device || !sort) return null;
  const key = source.kind === 'simulated' ? `${source.fault} ${source.speed}` : source.kind;
  return <DeviceTrial key={key} device={device} sort={sort} hand={hand} take={take} />;
}
