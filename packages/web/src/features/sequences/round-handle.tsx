import { Repeat } from 'lucide-react';
import { type PointerEvent, useRef } from 'react';
import { groupBlocks, groupWithNext, ungroup } from '../../store/editor.js';
import { IconButton } from '../../ui/button.js';

interface Props {
  blockId: string;
  name: string;
  inRounds: boolean;
}

/**
 * Takes a block in rounds: a press with the one that follows, a drag with all rows that it is drawn over. Where it is in rounds already, a press ends them.
 */
export function RoundHandle({ blockId, name, inRounds }: Props) {
  const over = useRef<string | null>(null);
  function onPointerMove(event: PointerEvent<HTMLButtonElement>) {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const row = document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[id^="block-"]');
    over.current = row?.id.slice('block-'.length) ?? over.current;
  }
  function settle(event: PointerEvent<HTMLButtonElement>) {
    event.currentTarget.releasePointerCapture(event.pointerId);
    const to = over.current;
    if (to !== null && to !== blockId) groupBlocks(blockId, to);
  }
  function press() {
    const dragged = over.current !== null && over.current !== blockId;
    over.current = null;
    if (dragged) return;
    if (inRounds) ungroup(blockId);
    else groupWithNext(blockId);
  }
  return (
    <IconButton
      name={inRounds ? `Once: ${name}` : `In rounds: ${name}`}
      aria-pressed={inRounds}
      className={`touch-none ${inRounds ? 'text-ink!' : ''}`}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={onPointerMove}
      onPointerUp={settle}
      onClick={press}
    >
      <Repeat size={15} />
    </IconButton>
  );
}
