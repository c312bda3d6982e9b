import { useEffect, useState } from 'react';

/** Counts the rest before the same hand goes again; nothing keeps anybody from beginning sooner. */
export function RestTimer({ seconds }: { seconds: number }) {
  const [left, setLeft] = useState(seconds);
  useEffect(() => {
    if (left <= 0) return undefined;
    const timer = setTimeout(() => setLeft(left - 1), 1000);
    return () => clearTimeout(timer);
  }, [left]);
  if (seconds <= 0) return null;
  return (
    <p className="mt-2 flex items-center gap-3 text-small text-ink-soft">
      <span aria-hidden className="h-1.5 flex-1 bg-line">
        <span className="block h-full bg-celadon-fill" style={{ width: `${(100 * (seconds - left)) / seconds}%` }} />
      </span>
      <span className="w-28 text-right figures">{left > 0 ? `rest ${left} s` : 'rested'}</span>
    </p>
  );
}
