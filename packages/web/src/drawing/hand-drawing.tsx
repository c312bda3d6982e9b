import {
  fingerLine,
  type Facing,
  HEEL_MARKS,
  type HandMoment,
  type HandView,
  KNUCKLE_MARKS,
  PALM,
  type Point,
  RAD,
  topFingers,
} from '@clay-pot/core';
import { Layer, SKIN } from './body-drawing.js';
import { linePath, smoothPath, taperPath } from './path.js';

/** Pressure on the parts of a hand, 0–1 of what is shown as the most. */
export interface HandTint {
  readonly heel: number;
  readonly knuckles: number;
  readonly pads: number;
}

const STEPS = ['#c3cbd0', '#8fbcab', '#d0a136', '#b96d1c', '#7e2a1c'];
const tintOf = (share: number) => STEPS[Math.min(4, Math.max(0, Math.ceil(share * 5) - 1))]!;

const up = ({ x, y }: Point, size: number): Point => ({ x: x * size, y: -y * size });

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
  /** A lever in the fist, and the side on which it stands out. */
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
          <path key={`edge ${index}`} d={d} {...edge} strokeWidth={fingers[index]!.width * size + 2.4} />
        ))}
        <path d={smoothPath(PALM.map((at) => up(at, size)))} {...edge} strokeWidth={2.4} />
        {lines.map((d, index) => (
          <path key={index} d={d} {...edge} stroke={SKIN.near} strokeWidth={fingers[index]!.width * size} />
        ))}
        <path d={smoothPath(PALM.map((at) => up(at, size)))} fill={SKIN.near} />
        {tint && <Marks tint={tint} size={size} fingers={fingers} />}
        {!seenPalm &&
          fingers.map(({ name, joint, tip, width }) => {
            const at = up(tip, size);
            const turn = (Math.atan2(tip.x - joint.x, tip.y - joint.y) * 180) / Math.PI;
            const bent = Math.hypot(tip.x - joint.x, tip.y - joint.y) < 0.2;
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
            <path
              d={linePath([
                up({ x: -0.42, y: 0.7 }, size),
                up({ x: -0.12, y: 0.55 }, size),
                up({ x: -0.08, y: 0.1 }, size),
              ])}
            />
            <path
              d={linePath([
                up({ x: -0.35, y: 0.8 }, size),
                up({ x: 0.1, y: 0.62 }, size),
                up({ x: 0.42, y: 0.66 }, size),
              ])}
            />
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
    return (
      <ellipse
        key={key}
        cx={x}
        cy={y}
        rx={rx * size}
        ry={ry * size}
        fill={tintOf(share)}
        stroke="#16191c"
        strokeWidth={0.6}
      />
    );
  };
  return (
    <>
      {HEEL_MARKS.map((at, index) => mark(at, tint.heel, 0.19, 0.24, `heel ${index}`))}
      {KNUCKLE_MARKS.map((at, index) => mark(at, tint.knuckles, 0.105, 0.12, `knuckle ${index}`))}
      {fingers.map(({ name, tip }) =>
        mark(tip, tint.pads, name === 'thumb' ? 0.11 : 0.09, name === 'thumb' ? 0.12 : 0.11, name),
      )}
    </>
  );
}

/** How far a planted hand is turned for its facing, seen from above with the body below. */
export function facingTurnDeg(facing: Facing, hand: 'left' | 'right'): number {
  const out = hand === 'left' ? -90 : 90;
  return { free: 0, forward: 0, outward: out, inward: -out, backward: 180 }[facing];
}

/** A forearm and hand from the side, pointing right, with what the hand has hold of. */
export function HandFromSide({ view, moment, size }: { view: HandView; moment: HandMoment; size: number }) {
  const sense = view.palm === 'up' ? 1 : -1;
  const wristRad = moment.wristDeg * RAD * -sense;
  const wrist: Point = { x: 0, y: 0 };
  const knuckle: Point = { x: Math.cos(wristRad), y: Math.sin(wristRad) };
  const line = fingerLine(knuckle, wristRad, 1.18, moment.shape, sense);
  const back = fingerLine(
    { x: knuckle.x - 0.06, y: knuckle.y + 0.05 },
    wristRad,
    1.02,
    { ...moment.shape, knuckleDeg: moment.shape.knuckleDeg + moment.shape.spreadDeg * 0.8 },
    sense,
  );
  const at = (point: Point) => up(point, size);
  const pieces = (points: readonly Point[], fill: string, widths: readonly number[]) =>
    points.slice(1).map((to, index) => ({
      d: taperPath(at(points[index]!), at(to), widths[index]! * size, widths[index + 1]! * size),
      fill,
    }));
  const thumbRad = wristRad + sense * (0.75 - moment.shape.thumb * 0.25);
  const root: Point = { x: Math.cos(wristRad) * 0.3, y: Math.sin(wristRad) * 0.3 + sense * 0.12 };
  const joint: Point = { x: root.x + Math.cos(thumbRad) * 0.42, y: root.y + Math.sin(thumbRad) * 0.42 };
  const bend = moment.shape.thumb < 0 ? -sense * 0.7 : -sense * 0.35;
  const tip: Point = { x: joint.x + Math.cos(thumbRad + bend) * 0.42, y: joint.y + Math.sin(thumbRad + bend) * 0.42 };
  return (
    <g>
      <Layer pieces={pieces(back, SKIN.far, [0.24, 0.21, 0.18, 0.15])} />
      <HeldBehind view={view} line={line} size={size} />
      <Layer
        pieces={[
          { d: taperPath(at({ x: -1.15, y: 0 }), at({ x: -0.1, y: 0 }), size * 0.66, size * 0.48), fill: SKIN.near },
          { d: taperPath(at(wrist), at(knuckle), size * 0.5, size * 0.4), fill: SKIN.near },
          ...pieces(line, SKIN.near, [0.27, 0.23, 0.2, 0.16]),
        ]}
      />
      <Layer pieces={pieces([root, joint, tip], SKIN.near, [0.3, 0.22, 0.18])} />
      <BarInHand view={view} line={line} size={size} />
      <HelpingHand view={view} knuckle={knuckle} wristRad={wristRad} sense={sense} size={size} />
    </g>
  );
}

/** The middle of the fingers' curl: what is held sits there. */
function grasp(line: readonly Point[]): Point {
  const [knuckle, middle, end, tip] = line as [Point, Point, Point, Point];
  return { x: (knuckle.x + middle.x + end.x + tip.x) / 4, y: (knuckle.y + middle.y + end.y + tip.y) / 4 };
}

const INK = { stroke: '#16191c', strokeWidth: 1.3, vectorEffect: 'non-scaling-stroke' } as const;

function HeldBehind({ view, line, size }: { view: HandView; line: readonly Point[]; size: number }) {
  const { x, y } = up(grasp(line), size);
  switch (view.held) {
    case 'ball':
      return <circle cx={x - size * 0.1} cy={y + size * 0.12} r={size * 0.52} fill="#8fbcab" {...INK} />;
    case 'weight':
      return (
        <rect
          x={x - size * 0.46}
          y={y - size * 0.66}
          width={size * 0.92}
          height={size * 1.32}
          rx={4}
          fill="#66717a"
          {...INK}
        />
      );
    case 'block':
      return (
        <rect x={x - size * 0.1} y={y - size * 0.3} width={size * 1.3} height={size * 0.42} fill="#66717a" {...INK} />
      );
    case 'edge': {
      const tip = up(line[3]!, size);
      return (
        <rect
          x={tip.x - size * 0.5}
          y={tip.y - size * 0.52}
          width={size * 0.8}
          height={size * 0.5}
          fill="#8a7350"
          {...INK}
        />
      );
    }
    case 'cloth':
      return (
        <path
          d={`M${x - size} ${y + size * 0.5}q${size * 0.3} ${-size * 0.5} ${size * 0.6} ${-size * 0.1}t${size * 0.6} 0t${size * 0.6} ${-size * 0.05}l${size * 0.1} ${size * 0.3}h${-size * 1.9}z`}
          fill="#e2e9fa"
          {...INK}
        />
      );
    case 'lever':
      return (
        <rect x={x - size * 0.1} y={y - size * 1.4} width={size * 0.2} height={size * 2} fill="#8a7350" {...INK} />
      );
    case 'band': {
      const tip = up(line[2]!, size);
      return (
        <ellipse
          cx={tip.x}
          cy={tip.y + size * 0.12}
          rx={size * 0.14}
          ry={size * 0.46}
          fill="none"
          stroke="#8a5300"
          strokeWidth={3}
          vectorEffect="non-scaling-stroke"
        />
      );
    }
    default:
      return null;
  }
}

/** A bar seen from its end, inside the curl of the fingers. */
function BarInHand({ view, line, size }: { view: HandView; line: readonly Point[]; size: number }) {
  if (view.held !== 'bar' && view.held !== 'weight') return null;
  const { x, y } = up(grasp(line), size);
  return <circle cx={x} cy={y} r={size * 0.17} fill="#454e56" {...INK} />;
}

function Arrow({ from, to }: { from: Point; to: Point }) {
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  const wing = (off: number): Point => ({ x: to.x - Math.cos(angle + off) * 6, y: to.y - Math.sin(angle + off) * 6 });
  return (
    <path
      d={linePath([from, to]) + linePath([wing(0.55), to, wing(-0.55)])}
      fill="none"
      stroke="#1f45a8"
      strokeWidth={2.6}
      strokeLinecap="round"
      strokeLinejoin="round"
      vectorEffect="non-scaling-stroke"
    />
  );
}

interface HelpProps {
  view: HandView;
  knuckle: Point;
  wristRad: number;
  sense: 1 | -1;
  size: number;
}

/** The other hand where it helps or holds against, and an arrow for the way of a push that moves nothing. */
function HelpingHand({ view, knuckle, wristRad, sense, size }: HelpProps) {
  const at = (point: Point) => up(point, size);
  const ahead = { x: Math.cos(wristRad), y: Math.sin(wristRad) };
  const place = (along: number, off: number): Point => ({
    x: knuckle.x * 0.8 + ahead.x * along - ahead.y * off,
    y: knuckle.y * 0.8 + ahead.y * along + ahead.x * off,
  });
  const pushes = view.push === 'extension' ? 1 : view.push === 'flexion' ? -1 : 0;
  // Held against on the side that pushes; helped from the side that the wrist bends away from.
  const bends = Math.sign(Math.round(wristRad * 20));
  const side = pushes || -bends || -sense;
  const helps = view.held === 'other hand' && view.push !== 'closing';
  return (
    <>
      {helps && (
        <Layer
          pieces={[
            {
              d: taperPath(at(place(-0.75, side * 1.1)), at(place(-0.1, side * 0.46)), size * 0.5, size * 0.36),
              fill: SKIN.far,
            },
            {
              d: taperPath(at(place(-0.15, side * 0.4)), at(place(0.6, side * 0.38)), size * 0.28, size * 0.2),
              fill: SKIN.far,
            },
          ]}
        />
      )}
      {pushes !== 0 && <Arrow from={at({ x: 1.65, y: -pushes * 0.5 })} to={at({ x: 1.65, y: pushes * 0.5 })} />}
      {view.push === 'closing' && view.held === 'other hand' && (
        <>
          <Layer
            pieces={[
              {
                d: taperPath(at({ x: 2.2, y: -0.3 }), at({ x: 1.45, y: -0.25 }), size * 0.5, size * 0.42),
                fill: SKIN.far,
              },
            ]}
          />
          <Arrow from={at({ x: -0.2, y: 0.7 })} to={at({ x: -1, y: 0.7 })} />
          <Arrow from={at({ x: 1.4, y: 0.7 })} to={at({ x: 2.1, y: 0.7 })} />
        </>
      )}
    </>
  );
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
          d={`M${-rx} ${end.y}A${rx} ${ry} 0 0 0 ${end.x} ${end.y}m${-6} ${1}l6 -1l0 7`}
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
