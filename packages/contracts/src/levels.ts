export type { LevelDone, LevelItem } from '@clay-pot/core/answers';
