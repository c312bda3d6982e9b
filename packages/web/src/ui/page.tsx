import { type ReactNode, useEffect } from 'react';
import { OfflineError, ProblemError } from '../api/request.js';

interface PageProps {
  title: string;
  /** A line under the title: what this is, or for whom. */
  lead?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}

/** A page: title, what can be done, content. */
export function Page({ title, lead, actions, children }: PageProps) {
  useTitle(title);
  return (
    <div className="mx-auto w-full max-w-6xl px-4 py-6 sm:px-8 sm:py-8">
      <header className="mb-6 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div>
          <h1 className="text-title">{title}</h1>
          {lead && <p className="mt-1 text-ink-soft">{lead}</p>}
        </div>
        {actions && <div className="flex flex-wrap items-center gap-2">{actions}</div>}
      </header>
      {children}
    </div>
  );
}

/** Names the window. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Clay Pot`;
  }, [title]);
}

/** A part of a page with its heading on a rule. */
export function Part({
  title,
  aside,
  children,
  className = '',
}: {
  title: string;
  aside?: ReactNode;
  children: ReactNode;
  className?: string;
}) {
  return (
    <section className={className}>
      <div className="mb-1 flex items-baseline justify-between gap-3 border-b-2 border-ink pb-1">
        <h2 className="text-lead">{title}</h2>
        {aside}
      </div>
      {children}
    </section>
  );
}

/** Where nothing is yet: what would be here and how to get it. */
export function Empty({ children }: { children: ReactNode }) {
  return <p className="border-b border-line py-6 text-ink-soft">{children}</p>;
}

/** What is being fetched. */
export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="px-4 py-10 text-ink-soft sm:px-8">
      Loading {what} …
    </p>
  );
}

/** Why something is not here, in words, with a way on. */
export function Trouble({ error, retry }: { error: unknown; retry?: () => void }) {
  const text = error instanceof ProblemError || error instanceof OfflineError ? error.message : 'Something went wrong on this page.';
  return (
    <div role="alert" className="m-4 border-l-4 border-iron bg-iron-wash px-4 py-3 sm:m-8">
      <p className="font-semibold">{text}</p>
      {retry && (
        <button type="button" className="mt-1 underline underline-offset-2" onClick={retry}>
          Try again
        </button>
      )}
    </div>
  );
}
