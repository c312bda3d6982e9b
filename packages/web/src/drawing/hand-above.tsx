import {
  type Facing,
  type HandMoment,
  type HandView,
  HEEL_MARKS,
  itemAt,
  KNUCKLE_MARKS,
  PALM,
  type Point,
  RAD,
  topFingers,
} from '@clay-pot/core';
import { Layer, SKIN } from './body-drawing.js';
import { linePath, smoothPath, taperPath } from './path.js';
import { loadColour } from './load-colours.js';
import { Arrow, INK, up } from './strokes.js';

/** Pressure on the parts of a hand, 0–1 of what is shown as the most. */
export interface HandTint {
  readonly heel: number;
  readonly knuckles: number;
  readonly pads: number;
}

const tintOf = (share: number) => loadColour(share * 100);

/** A hand from above, fingers up; the right hand's thumb on the left, mirrored for the other. Its wrist lies at the origin. */
export function HandFromAbove({
  moment,
  size,
  mirrored = false,
  palmSeen = false,
  tint,
  forearm = false,
  lever = null,
}: {
  moment: HandMoment;
  size: number;
  mirrored?: boolean;
  palmSeen?: boolean;
  tint?: HandTint;
  forearm?: boolean;
  /** A lever in the fist, and the side that it points to. */
  lever?: 'thumb' | 'little' | null;
}) {
  const fingers = topFingers(moment.shape);
  const thin = Math.max(0.34, Math.abs(Math.cos(moment.turnDeg * RAD)));
  const flipped = Math.cos(moment.turnDeg * RAD) < 0;
  const seenPalm = palmSeen !== flipped;
  const edge = { fill: 'none', stroke: '#16191c', strokeLinecap: 'round', strokeLinejoin: 'round' } as const;
  const lines = fingers.map(({ base, joint, tip }) => linePath([base, joint, tip].map((at) => up(at, size))));
  const mirror = mirrored !== flipped ? -1 : 1;
  return (
    <g>
      {forearm && (
        <Layer
          pieces={[
            {
              d: taperPath({ x: 0, y: size * 0.95 }, { x: 0, y: size * 0.02 }, size * 0.66, size * 0.54),
              fill: SKIN.near,
            },
          ]}
        />
      )}
      <g transform={`rotate(${(mirrored ? 1 : -1) * moment.sideDeg}) scale(${mirror * thin} 1)`}>
        {lever && (
          <g>
            <rect
              x={lever === 'thumb' ? -size * 1.75 : -size * 0.6}
              y={-size * 1.28}
              width={size * 2.35}
              height={size * 0.2}
              fill="#8a7350"
              {...INK}
            />
            <rect
              x={(lever === 'thumb' ? -1.9 : 1.6) * size}
              y={-size * 1.4}
              width={size * 0.3}
              height={size * 0.44}
              fill="#66717a"
              {...INK}
            />
          </g>
        )}
        {lines.map((d, index) => (
          <path key={`edge ${index}`} d={d} {...edge} strokeWidth={itemAt(fingers, index).width * size + 2.4} />
        ))}
        <path d={smoothPath(PALM.map((at) => up(at, size)))} {...edge} strokeWidth={2.4} />
        {lines.map((d, index) => (
          <path key={index} d={d} {...edge} stroke={SKIN.near} strokeWidth={itemAt(fingers, index).width * size} />
        ))}
        <path d={smoothPath(PALM.map((at) => up(at, size)))} fill={SKIN.near} />
        {tint && <Marks tint={tint} size={size} fingers={fingers} />}
        {!seenPalm &&
          fingers.map(({ name, joint, tip, width }) => {
            const at = up(tip, size);
            const turn = (Math.atan2(tip.x - joint.x, tip.y - joint.y) * 180) / Math.PI;
            const bent = Math.hypot(tip.x - joint.x, tip.y - joint.y) < 0.34;
            if (bent || tint) return null;
            return (
              <ellipse
                key={name}
                cx={at.x}
                cy={at.y}
                rx={width * size * 0.28}
                ry={width * size * 0.38}
                transform={`rotate(${turn} ${at.x} ${at.y})`}
                fill="#eef2f4"
                stroke="#66717a"
                strokeWidth={0.7}
              />
            );
          })}
        {seenPalm && (
          <g fill="none" stroke="#66717a" strokeWidth={1}>
            <path d={linePath([up({ x: -0.42, y: 0.7 }, size), up({ x: -0.12, y: 0.55 }, size), up({ x: -0.08, y: 0.1 }, size)])} />
            <path d={linePath([up({ x: -0.35, y: 0.8 }, size), up({ x: 0.1, y: 0.62 }, size), up({ x: 0.42, y: 0.66 }, size)])} />
          </g>
        )}
      </g>
    </g>
  );
}

function Marks({ tint, size, fingers }: { tint: HandTint; size: number; fingers: ReturnType<typeof topFingers> }) {
  const mark = (at: Point, share: number, rx: number, ry: number, key: string) => {
    if (share < 0.005) return null;
    const { x, y } = up(at, size);
    return <ellipse key={key} cx={x} cy={y} rx={rx * size} ry={ry * size} fill={tintOf(share)} stroke="#16191c" strokeWidth={0.6} />;
  };
  return (
    <>
      {HEEL_MARKS.map((at, index) => mark(at, tint.heel, 0.19, 0.24, `heel ${index}`))}
      {KNUCKLE_MARKS.map((at, index) => mark(at, tint.knuckles, 0.105, 0.12, `knuckle ${index}`))}
      {fingers.map(({ name, tip }) => mark(tip, tint.pads, name === 'thumb' ? 0.11 : 0.09, name === 'thumb' ? 0.12 : 0.11, name))}
    </>
  );
}

/** How far a planted hand is turned for its facing, seen from above with the body below. */
export function facingTurnDeg(facing: Facing, hand: 'left' | 'right'): number {
  const out = hand === 'left' ? -90 : 90;
  return { free: 0, forward: 0, outward: out, inward: -out, backward: 180 }[facing];
}

/** Pushes that show from above: to a side, apart, or a turn. */
export function PushFromAbove({ view, size }: { view: HandView; size: number }) {
  const at = (point: Point) => up(point, size);
  switch (view.push) {
    case 'thumb side':
    case 'little side': {
      const side = view.push === 'thumb side' ? -1 : 1;
      return (
        <>
          {view.held === 'other hand' && (
            <Layer
              pieces={[
                {
                  d: taperPath(at({ x: side * 1.4, y: 0.2 }), at({ x: side * 0.72, y: 0.8 }), size * 0.5, size * 0.42),
                  fill: SKIN.far,
                },
              ]}
            />
          )}
          <Arrow from={at({ x: -side * 0.45, y: 1.75 })} to={at({ x: side * 0.45, y: 1.75 })} />
        </>
      );
    }
    case 'opening':
      return (
        <>
          <Arrow from={at({ x: -0.75, y: 1.9 })} to={at({ x: -1.3, y: 1.6 })} />
          <Arrow from={at({ x: 0.75, y: 1.9 })} to={at({ x: 1.3, y: 1.6 })} />
        </>
      );
    case 'turning': {
      const [rx, ry] = [size * 0.75, size * 0.22];
      const end: Point = { x: rx, y: size * 0.35 };
      return (
        <path
          d={`M${-rx} ${end.y}A${rx} ${ry} 0 0 0 ${end.x} ${end.y}m${-6} 1l6 -1l0 7`}
          fill="none"
          stroke="#1f45a8"
          strokeWidth={2.6}
          strokeLinecap="round"
          strokeLinejoin="round"
          vectorEffect="non-scaling-stroke"
        />
      );
    }
    default:
      return null;
  }
}
