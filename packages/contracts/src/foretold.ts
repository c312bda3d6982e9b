export type { ForetoldAnswer } from '@clay-pot/core/answers';
