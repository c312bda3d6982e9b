export type { PredictionsAnswer } from '@clay-pot/core/answers';
