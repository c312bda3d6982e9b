import type { EndedStint } from '../../timeline/playhead.js';
import type { WorkingSide } from '../../vocabulary/hands.js';
import type { SorePlace } from '../../vocabulary/sore-places.js';
import type { StopSign } from '../../vocabulary/stop-signs.js';

/** Something that hurt somebody in a class. */
export interface ClassComplaint {
  readonly id: string;
  readonly blockId: string;
  readonly hand: WorkingSide;
  readonly place: SorePlace;
  readonly discomfort: number;
  readonly atMs: number;
}

/** A piece of the class’s work that somebody took part in, in which of their forms. */
export interface ClassPiece extends EndedStint {
  readonly form: number;
  readonly endedMs: number;
}

/** How somebody’s class goes. */
export interface MemberState {
  /** Whether they are in the room. */
  readonly here: boolean;
  /** When they first came in; null before. */
  readonly arrivedMs: number | null;
  /** When they last came in. */
  readonly sinceMs: number | null;
  /** When they last left, or were stopped. */
  readonly untilMs: number | null;
  readonly stopped: { readonly sign: StopSign; readonly hand: WorkingSide; readonly atMs: number } | null;
  /** The form of each block: an index, −1 to sit it out. */
  readonly forms: Readonly<Record<string, number>>;
  readonly complaints: readonly ClassComplaint[];
  readonly pieces: readonly ClassPiece[];
}
