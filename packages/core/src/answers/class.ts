import { viewOf } from '../effort/session-view.js';
import type { ClassMember } from '../model/class-session.js';
import { type ClassBlockPlan, classPlan, soreBlocks } from '../rules/class/class-plan.js';
import type { EffortWork } from './effort.js';
import { shelfOf } from './own-shelf.js';

/** What one person does in a class, block by block. */
export interface ClassPlanAnswer {
  blocks: ClassBlockPlan[];
  sore: ClassMember['sore'];
}

/** Plans a class for one person, away from the event loop. */
export function answerClassPlan({ own, removedIds, estimated: _estimated, ...question }: EffortWork): ClassPlanAnswer {
  const view = viewOf({ ...question, ...shelfOf({ own, removedIds }) });
  return { blocks: classPlan(view), sore: soreBlocks(view) };
}
