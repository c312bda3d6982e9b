import { clock, type Coil, firstOf, type Hand, HANDS, lastOf, type Pot } from '@clay-pot/core';
import { LOAD_COLOURS, loadColour } from './load-colours.js';
import { type KeyboardEvent, useId } from 'react';
import { CoilBand, CrackLine, Rounds } from './pot-marks.js';
import { boxes, GUTTER, HALF, type Layer, profile, SIGN, type Stretch } from './pot-profile.js';

const TOP = 14;
const FOOT = 18;

/** A pot and what may be done with it. */
export interface PotProps {
  pot: Pot;
  /** Said to whoever does not see it. */
  description: string;
  nameOf: (blockId: string) => string;
  /** Milliseconds of the full height; several pots side by side share it. */
  scaleMs?: number;
  heightPx?: number;
  selectedId?: string | null;
  hoveredId?: string | null;
  onSelect?: (blockId: string) => void;
  onHover?: (blockId: string | null) => void;
  /** Only as much as has been done, milliseconds from the foot. */
  builtMs?: number;
  className?: string;
  bare?: boolean;
}

/**
 * A session as a pot: time from foot to rim, the left hand's load to the left, the right hand's to the right. Glaze fills the wall as far as
 * capacity is left; where work cannot be held the wall cracks.
 */
export function PotDrawing(props: PotProps) {
  const { pot, description, heightPx = 256, selectedId, hoveredId, onSelect, onHover, builtMs, className = '' } = props;
  const hatch = useId();
  const scaleMs = props.scaleMs ?? Math.max(pot.durationMs, pot.budgetMs);
  const plot = heightPx - TOP - FOOT;
  const y = (ms: number) => heightPx - FOOT - (plot * ms) / Math.max(1, scaleMs);
  const coils = builtMs === undefined ? pot.coils : pot.coils.filter(({ startMs }) => startMs < builtMs);
  const layers = coils.map((coil): Layer => ({
    coil,
    top: y(Math.min(coil.endMs, builtMs ?? coil.endMs)),
    bottom: y(coil.startMs),
  }));
  const firsts = firstCoils(coils);
  // Where coils can be chosen, one of them is the current one.
  const current = onSelect && (firsts.find(({ blockId }) => blockId === selectedId) ?? firsts[0]);

  const width = 2 * (HALF + GUTTER);
  return (
    <svg
      viewBox={`${-HALF - GUTTER} 0 ${width} ${heightPx}`}
      className={className}
      aria-label={description}
      {...(current ? sliderOf(current, firsts, props) : { role: 'img' })}
      onPointerLeave={() => onHover?.(null)}
      fontFamily="'Atkinson Hyperlegible Next Variable', system-ui, sans-serif"
      fontSize={9}
    >
      <defs>
        <pattern id={hatch} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="5" stroke="#000" strokeOpacity="0.16" strokeWidth="1.4" />
        </pattern>
      </defs>
      <Ground pot={pot} y={y} bare={props.bare ?? false} />
      {builtMs !== undefined && pot.coils.length > 0 && <Sketch pot={pot} y={y} />}
      {layers.length > 0 && HANDS.map((hand) => <Half key={hand} hand={hand} layers={layers} hatch={hatch} />)}
      {layers.length > 0 && <Over layers={layers} pot={pot} y={y} />}
      {!props.bare && <Rounds layers={layers} />}
      {layers.map(({ coil, top, bottom }) => (
        <CoilBand
          key={`${coil.blockId} ${coil.round}`}
          coil={coil}
          top={top}
          bottom={bottom}
          marked={coil.blockId === selectedId || coil.blockId === hoveredId}
          numbered={!props.bare}
          onSelect={onSelect}
          onHover={onHover}
        />
      ))}
      {builtMs === undefined &&
        pot.cracks.map((crack) => <CrackLine key={`${crack.key} ${crack.blockId}`} crack={crack} pot={pot} y={y} />)}
    </svg>
  );
}

/** One coil a block: taken in rounds it has several, and is chosen once. */
const firstCoils = (coils: readonly Coil[]) =>
  coils.filter(({ blockId }, index) => coils.findIndex((coil) => coil.blockId === blockId) === index);

/** The selected coil is marked on a scale from foot to rim. */
const sliderOf = (current: Coil, coils: readonly Coil[], { nameOf, onSelect }: PotProps) => ({
  role: 'slider',
  tabIndex: 0,
  'aria-orientation': 'vertical' as const,
  'aria-valuemin': 1,
  'aria-valuemax': coils.length,
  'aria-valuenow': current.number,
  'aria-valuetext': coilWords(current, nameOf),
  onKeyDown: (event: KeyboardEvent<SVGSVGElement>) => stepAlong(event, coils, current, onSelect),
});

/** Up and down from coil to coil; Enter goes to the block's row. */
function stepAlong(
  event: KeyboardEvent<SVGSVGElement>,
  coils: readonly Coil[],
  current: Coil | undefined,
  onSelect: PotProps['onSelect'],
): void {
  const step = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
  if (event.key === 'Enter' && current) {
    document.getElementById(`block-${current.blockId}`)?.focus();
    event.preventDefault();
    return;
  }
  if (!step || !current) return;
  event.preventDefault();
  event.stopPropagation();
  const next = coils[coils.indexOf(current) + step];
  if (next) onSelect?.(next.blockId);
}

/** The pot that it will be, as a line: what has been done is built into it. */
function Sketch({ pot, y }: { pot: Pot; y: (ms: number) => number }) {
  return HANDS.map((hand) => {
    const wall = pot.coils.map((coil): Stretch => {
      const { width } = coil[hand];
      return { top: y(coil.endMs), bottom: y(coil.startMs), low: width, high: width };
    });
    return <path key={hand} d={profile(SIGN[hand], wall)} fill="none" stroke="var(--color-ash)" strokeDasharray="2 3" strokeWidth="1.2" />;
  });
}

/** What rises above the rim, in the stop colour. */
function Over({ layers, pot, y }: { layers: readonly Layer[]; pot: Pot; y: (ms: number) => number }) {
  const rim = y(pot.budgetMs);
  const top = lastOf(layers).top;
  if (top >= rim - 0.5) return null;
  return <rect x={-HALF - 4} width={2 * HALF + 8} y={top} height={rim - top} fill="var(--color-iron)" fillOpacity="0.22" />;
}

/** The base line, the rim that the minutes set, and the hands' letters. */
function Ground({ pot, y, bare }: { pot: Pot; y: (ms: number) => number; bare: boolean }) {
  const rim = y(pot.budgetMs);
  return (
    <>
      <path d={`M-18,${y(0)}L-22,${y(0) + 4}H22L18,${y(0)}Z`} fill="var(--color-ink-soft)" />
      <line x1={-HALF} x2={HALF} y1={y(0) + 4.5} y2={y(0) + 4.5} stroke="var(--color-ink)" strokeWidth="1.5" />
      {rim >= 0 && (
        <line x1={-HALF - 4} x2={HALF + 4} y1={rim} y2={rim} stroke="var(--color-ink-soft)" strokeDasharray="3 3" strokeWidth="1" />
      )}
      {!bare && rim >= 10 && (
        <text x={HALF + GUTTER - 2} y={rim - 3} textAnchor="end" fill="var(--color-ink-soft)">
          time available: {Math.round(pot.budgetMs / 60_000)} min
        </text>
      )}
      <text x={-HALF / 2} y={y(0) + 14} textAnchor="middle" fontWeight="700" fill="var(--color-cobalt)">
        L
      </text>
      <text x={HALF / 2} y={y(0) + 14} textAnchor="middle" fontWeight="700" fill="var(--color-ochre)">
        R
      </text>
    </>
  );
}

const WALL: Record<Hand, string> = { left: 'var(--color-cobalt)', right: 'var(--color-ochre-fill)' };
/** One hand's half: bare clay, glaze as far as capacity reaches in the colours of effort, the wall in the hand's own colour. */
function Half({ hand, layers, hatch }: { hand: Hand; layers: readonly Layer[]; hatch: string }) {
  const clip = useId();
  const sign = SIGN[hand];
  const walls = layers.map(({ coil, top, bottom }) => ({ top, bottom, low: coil[hand].width, high: coil[hand].width }));
  const glaze = layers.map(({ coil, top, bottom }) => {
    const { width, glaze: left } = coil[hand];
    return { top, bottom, low: width * firstOf(left), high: width * lastOf(left) };
  });
  const x = sign < 0 ? -HALF : 0;
  return (
    <>
      <path d={`${profile(sign, walls)}H0Z`} fill="var(--color-ground)" />
      <clipPath id={clip}>
        <path d={`${profile(sign, glaze)}H0Z`} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        {LOAD_COLOURS.map((colour) => (
          <path
            key={colour}
            d={boxes(x, layers, (coil) => loadColour(coil[hand].effortPercent) === colour)}
            fill={colour}
            stroke="var(--color-white)"
            strokeOpacity="0.7"
            strokeWidth="0.8"
          />
        ))}
        {hand === 'right' && (
          <rect x={0} width={HALF} y={lastOf(layers).top} height={firstOf(layers).bottom - lastOf(layers).top} fill={`url(#${hatch})`} />
        )}
      </g>
      <Band sign={sign} layers={layers} hand={hand} />
      <path d={profile(sign, walls)} fill="none" stroke={WALL[hand]} strokeWidth="2.6" strokeLinejoin="round" />
    </>
  );
}

/** The range of the wall for four fifths of people like this: between two thin lines. */
function Band({ sign, layers, hand }: { sign: 1 | -1; layers: readonly Layer[]; hand: Hand }) {
  const edge = (index: 0 | 1) =>
    layers.map(({ coil, top, bottom }): Stretch => {
      const width = coil[hand].band?.[index] ?? coil[hand].width;
      return { top, bottom, low: width, high: width };
    });
  if (layers.every(({ coil }) => coil[hand].band === null)) return null;
  const [inner, outer] = [profile(sign, edge(0)), profile(sign, edge(1))];
  return (
    <>
      <path d={`${outer}H0Z${inner}H0Z`} fillRule="evenodd" fill={WALL[hand]} fillOpacity="0.2" />
      <path d={outer} fill="none" stroke={WALL[hand]} strokeWidth="0.8" strokeDasharray="2 2" />
    </>
  );
}

/** A coil in words, for those who do not see it. */
export function coilWords(coil: Coil, nameOf: (blockId: string) => string): string {
  const of = (hand: Hand) => `${hand} ${coil[hand].value < 10 ? coil[hand].value.toFixed(1) : Math.round(coil[hand].value)}`;
  return `Block ${coil.number}: ${nameOf(coil.blockId)}, ${clock(coil.endMs - coil.startMs)}, ${of('left')}, ${of('right')}`;
}
