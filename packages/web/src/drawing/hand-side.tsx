import { fingerLine, type HandMoment, type HandView, itemAt, type Point, RAD } from '@clay-pot/core';
import { Layer, SKIN } from './body-drawing.js';
import { taperPath } from './path.js';
import { Arrow, INK, up } from './strokes.js';

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
      d: taperPath(at(itemAt(points, index)), at(to), itemAt(widths, index) * size, itemAt(widths, index + 1) * size),
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

function HeldBehind({ view, line, size }: { view: HandView; line: readonly Point[]; size: number }) {
  const { x, y } = up(grasp(line), size);
  switch (view.held) {
    case 'ball':
      return <circle cx={x - size * 0.1} cy={y + size * 0.12} r={size * 0.52} fill="#8fbcab" {...INK} />;
    case 'weight':
      return <rect x={x - size * 0.46} y={y - size * 0.66} width={size * 0.92} height={size * 1.32} rx={4} fill="#66717a" {...INK} />;
    case 'block':
      return <rect x={x - size * 0.1} y={y - size * 0.3} width={size * 1.3} height={size * 0.42} fill="#66717a" {...INK} />;
    case 'edge': {
      const tip = up(itemAt(line, 3), size);
      return <rect x={tip.x - size * 0.5} y={tip.y - size * 0.52} width={size * 0.8} height={size * 0.5} fill="#8a7350" {...INK} />;
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
      return <rect x={x - size * 0.1} y={y - size * 1.4} width={size * 0.2} height={size * 2} fill="#8a7350" {...INK} />;
    case 'band': {
      const tip = up(itemAt(line, 2), size);
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
