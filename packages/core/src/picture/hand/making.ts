import type { PostureLoad } from '../../mechanics/hand-load.js';
import type { Body } from '../../model/body.js';
import type { Level, Movement } from '../../model/movement.js';
import type { OtherHandDoes } from '../../vocabulary/hand-settings.js';
import type { Beat, Course } from './course.js';
import type { HandMoment3d } from './moment.js';
import type { Skeleton } from './skeleton.js';

/** What of a level its hand is drawn from. */
export type DrawnLevel = Pick<Level, 'name' | 'posture' | 'contact' | 'facing' | 'load' | 'equipment'>;

/** What a hand’s picture is made from. */
export interface Making {
  readonly skeleton: Skeleton;
  readonly body: Body;
  readonly movement: Pick<Movement, 'equipment' | 'id'>;
  readonly level: DrawnLevel;
  readonly course: Course;
  /** What the other hand does, where both are drawn. */
  readonly other: OtherHandDoes;
  /** The posture's load a share of the way, where the body rests on its hands. */
  readonly loadAt: ((share: number) => PostureLoad) | null;
}

/** A hand's picture at any moment, made for a right hand. */
export type Maker = (beat: Beat) => HandMoment3d;

/** Whether something is at hand for a level. */
export const uses = ({ movement, level }: Making, thing: Level['equipment'][number]) =>
  movement.equipment.includes(thing) || level.equipment.includes(thing);
