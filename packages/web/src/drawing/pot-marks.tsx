import { type Coil, type Crack, isThrough, type Pot } from '@clay-pot/core';
import { memo } from 'react';
import { GUTTER, HALF, type Layer, round, SIGN } from './pot-profile.js';

/** A bracket beside each round, with its number. */
export function Rounds({ layers }: { layers: readonly Layer[] }) {
  const rounds: { round: number; top: number; bottom: number }[] = [];
  for (const { coil, top, bottom } of layers) {
    if (coil.rounds < 2) continue;
    const last = rounds.at(-1);
    if (last?.round === coil.round && last.top === bottom) last.top = top;
    else rounds.push({ round: coil.round, top, bottom });
  }
  const x = HALF + GUTTER - 14;
  return rounds.map(({ round, top, bottom }) => (
    <g key={`${round} ${bottom}`} aria-hidden>
      <path d={`M${x} ${top + 1}h4V${bottom - 1}h-4`} fill="none" stroke="var(--color-ink)" strokeWidth="1.2" />
      <text x={x + 7} y={(top + bottom) / 2 + 3} fill="var(--color-ink)">
        {round}
      </text>
    </g>
  ));
}

interface CoilProps {
  coil: Coil;
  top: number;
  bottom: number;
  marked: boolean;
  numbered: boolean;
  onSelect: ((blockId: string) => void) | undefined;
  onHover: ((blockId: string | null) => void) | undefined;
}

/** Coils flatter than this have no room for a number. */
const NUMBER_FROM_PX = 9;

/** The whole height of a coil takes the pointer, however thin its walls are; its number is beside it. */
export const CoilBand = memo(function CoilBand({ coil, top, bottom, marked, numbered, onSelect, onHover }: CoilProps) {
  const height = round(Math.max(0, bottom - top));
  return (
    <g
      data-coil={coil.blockId}
      transform={`translate(0 ${round(top)})`}
      style={onSelect && { cursor: 'pointer' }}
      onClick={() => onSelect?.(coil.blockId)}
      onPointerEnter={() => onHover?.(coil.blockId)}
    >
      <rect
        x={-HALF - GUTTER}
        width={2 * (HALF + GUTTER)}
        height={height}
        fill={marked ? 'var(--color-ink)' : 'transparent'}
        fillOpacity={marked ? 0.12 : 0}
      />
      {numbered && (marked || height >= NUMBER_FROM_PX) && (
        <text
          x={-HALF - GUTTER + 2}
          y={height / 2 + 3}
          fontWeight={marked ? 800 : 400}
          fill={marked ? 'var(--color-ink)' : 'var(--color-ash)'}
        >
          {coil.number}
        </text>
      )}
    </g>
  );
});

/** A crack runs in from the wall, in the stop colour on a light edge. */
export function CrackLine({ crack, pot, y }: { crack: Crack; pot: Pot; y: (ms: number) => number }) {
  const coil = pot.coils.find(({ blockId, startMs, endMs }) => blockId === crack.blockId && crack.atMs >= startMs && crack.atMs <= endMs);
  if (!coil) return null;
  const sign = SIGN[crack.hand];
  const through = isThrough(crack);
  const reach = Math.max(26, coil[crack.hand].width * HALF + 6);
  const at = y(crack.atMs);
  const points = CRACK.map(([share, offset]) => `${round(sign * reach * share)},${round(at + offset)}`).join(' ');
  return (
    <g pointerEvents="none" fill="none" strokeLinejoin="bevel">
      <polyline points={points} stroke="var(--color-white)" strokeWidth={through ? 5 : 3} />
      <polyline points={points} stroke="var(--color-iron)" strokeWidth={through ? 2.4 : 1} />
    </g>
  );
}
const CRACK = [
  [1, 0],
  [0.86, -5],
  [0.74, 3],
  [0.56, -7],
  [0.44, 2],
  [0.24, -4],
] as const;
