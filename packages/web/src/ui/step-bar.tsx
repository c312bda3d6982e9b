import type { ReactNode } from 'react';

/** The bar under something that goes step by step: back, how it stands, onward. It stays in sight. */
export const StepBar = ({ children }: { children: ReactNode }) => (
  <footer className="sticky bottom-0 z-10 -mx-4 mt-auto border-t border-ink bg-porcelain px-4 sm:mx-0 sm:px-0">
    <div className="flex items-center gap-2 py-2">{children}</div>
  </footer>
);
/** The page that such a bar stands under: as high as the screen, so that the bar is at its foot. */
export const STEP_PAGE =
  'mx-auto flex min-h-[calc(100dvh-5.25rem)] w-full flex-col px-4 pt-4 sm:min-h-dvh sm:px-8 sm:pt-6';
