import type { PostureLoad } from '../mechanics/hand-load.js';
import type { Point } from '../mechanics/plane.js';
import type { HandView } from './figure-hand.js';
import type { BodyPose } from './pose.js';

/** Something that stands: a bench, a table, a chair; its lower left corner. */
export interface Standing {
  readonly kind: 'block';
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Something in the hand, and how far below the grip it ends; above it when negative. */
export interface InHand {
  readonly kind: 'in hand';
  readonly thing: 'weight' | 'lever' | 'block' | 'edge' | 'ball' | 'roller';
  readonly hang: number;
}

/** Things around the body, in the drawing's metres. */
export type Prop =
  | Standing
  | InHand
  /** What is laid under the heel of a hand: a triangle. */
  | { readonly kind: 'wedge'; readonly corners: readonly [Point, Point, Point] }
  | { readonly kind: 'wall'; readonly x: number; readonly side: 1 | -1 }
  | { readonly kind: 'bar'; readonly at: Point };

/** A movement at a level as a picture: the body at any moment between start (0) and end (1), what is around it, and the hand close up. */
export interface Figure {
  readonly poseAt: (share: number) => BodyPose;
  readonly props: readonly Prop[];
  readonly hand: HandView;
  /** The posture that the load is computed from, when the body rests on the hands. */
  readonly load: PostureLoad | null;
  readonly moves: boolean;
}
