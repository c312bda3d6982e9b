import { trendOf } from '@clay-pot/core';
import { expose } from 'comlink';

/** What takes long enough to be felt is computed beside the page. */
const measureWork = { trendOf };
/** What the worker answers. */
export type MeasureWork = typeof measureWork;

expose(measureWork);
