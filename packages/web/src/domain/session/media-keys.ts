import { useEffect, useRef } from 'react';

/** What the keys of a headset, a keyboard or a lock screen do. */
interface MediaKeys {
  readonly title: string;
  readonly paused: boolean;
  readonly play: () => void;
  readonly pause: () => void;
  readonly next: () => void;
  readonly previous: () => void;
}

const SILENCE = '/voice/silence.wav';

/** Has media keys and headset buttons control the clock. A browser gives them only to a page that plays something: it plays silence while the clock runs. */
export function useMediaKeys({ title, paused, play, pause, next, previous }: MediaKeys): void {
  const audio = useRef<HTMLAudioElement | null>(null);
  useEffect(() => {
    if (!('mediaSession' in navigator)) return;
    const { mediaSession } = navigator;
    const handlers = { play, pause, nexttrack: next, previoustrack: previous } as const;
    for (const [action, run] of Object.entries(handlers)) mediaSession.setActionHandler(action as MediaSessionAction, run);
    mediaSession.metadata = new MediaMetadata({ title, artist: 'Clay Pot' });
    return () => {
      for (const action of Object.keys(handlers)) mediaSession.setActionHandler(action as MediaSessionAction, null);
    };
  }, [title, play, pause, next, previous]);
  useEffect(() => {
    if (!('mediaSession' in navigator)) return;
    audio.current ??= Object.assign(new Audio(SILENCE), { loop: true });
    navigator.mediaSession.playbackState = paused ? 'paused' : 'playing';
    // Refused where nobody has touched the page yet: then there are no keys, and nothing else is missing.
    if (paused) audio.current.pause();
    else void audio.current.play().catch(() => undefined);
  }, [paused]);
  useEffect(() => () => audio.current?.pause(), []);
}
