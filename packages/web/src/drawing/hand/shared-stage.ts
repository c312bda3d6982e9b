import { LOAD_STEPS } from '@clay-pot/core';
import type { Stage } from './stage.js';

/** Whether the browser draws in three dimensions at all; asked once. */
export const hasWebGl = (() => {
  let known: boolean | undefined;
  return (): boolean => (known ??= canDraw());
})();

function canDraw(): boolean {
  try {
    const context = document.createElement('canvas').getContext('webgl2');
    context?.getExtension('WEBGL_lose_context')?.loseContext();
    return context !== null;
  } catch {
    return false;
  }
}

let opening: Promise<Stage> | null = null;
const watchers = new Set<() => void>();

/** The page’s one stage, loaded when the first picture wants it. @throws as `openStage`; the next picture tries again */
export function sharedStage(): Promise<Stage> {
  opening ??= import('./stage.js')
    .then(({ openStage }) => openStage(themeColours(), () => watchers.forEach((tell) => tell())))
    .catch((error: unknown) => {
      opening = null;
      throw error;
    });
  return opening;
}

/** Calls back whenever pictures have to be redrawn, until it is called off. */
export function onStageRestored(tell: () => void): () => void {
  watchers.add(tell);
  return () => watchers.delete(tell);
}

/** Colours as the page’s theme has them. */
function themeColours() {
  const style = getComputedStyle(document.documentElement);
  const colour = (name: string) => style.getPropertyValue(`--color-${name}`).trim();
  return {
    load: LOAD_STEPS.map((step) => colour(`load-${step}`)),
    cuff: { left: colour('cobalt'), right: colour('ochre-fill') },
  };
}
