import { type Frame3d, shown, shownAt, type Vec3, type WristArc } from '@clay-pot/core';

/** What a frame's shares are in pixels of a canvas. */
function toPixels(frame: Frame3d, { width, height }: HTMLCanvasElement): (at: Vec3) => readonly [number, number] {
  const half = Math.max(frame.halfHeightM, (frame.halfWidthM * height) / width);
  const scale = height / 2 / half;
  return (at) => {
    const [x, y] = shownAt(frame, at);
    return [width / 2 + x * frame.halfWidthM * scale, height / 2 - y * frame.halfHeightM * scale];
  };
}

/** The colour that ways and pushes are drawn in: the ink of annotations. */
const WAY = '#1f45a8';

/** Draws a way with an arrow at its end. */
export function drawTrail(canvas: HTMLCanvasElement, frame: Frame3d, trail: readonly Vec3[], round: boolean): void {
  const context = canvas.getContext('2d');
  if (!context || trail.length < 3) return;
  const points = trail.map(toPixels(frame, canvas));
  const unit = Math.min(canvas.width, canvas.height);
  const line = Math.max(1.5, unit / 130);
  context.save();
  context.strokeStyle = context.fillStyle = WAY;
  context.lineWidth = line;
  context.lineCap = context.lineJoin = 'round';
  context.setLineDash([line * 0.1, line * 2.6]);
  context.beginPath();
  points.forEach(([x, y], i) => (i === 0 ? context.moveTo(x, y) : context.lineTo(x, y)));
  context.stroke();
  context.setLineDash([]);
  // A round way shows its turn half way, where nothing else is drawn.
  arrowHead(context, round ? points.slice(0, Math.ceil(points.length / 3)) : points, line * 4.2);
  context.restore();
}

/** Draws a press: a solid arrow from the skin the way it goes. */
export function drawPush(canvas: HTMLCanvasElement, frame: Frame3d, arrow: readonly [Vec3, Vec3]): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const [from, to] = arrow.map(toPixels(frame, canvas)) as [readonly [number, number], readonly [number, number]];
  const size = Math.min(canvas.width, canvas.height) / 13;
  context.save();
  context.strokeStyle = context.fillStyle = WAY;
  context.lineWidth = size * 0.34;
  context.lineCap = 'round';
  context.beginPath();
  context.moveTo(...from);
  context.lineTo(...to);
  context.stroke();
  arrowHead(context, [from, to], size);
  context.restore();
}

function arrowHead(context: CanvasRenderingContext2D, points: readonly (readonly [number, number])[], size: number): void {
  const tip = points.at(-1);
  // From far enough back that the last steps' trembling does not turn it.
  const from = points.findLast((at) => tip && Math.hypot(at[0] - tip[0], at[1] - tip[1]) > size);
  if (!tip || !from) return;
  const angle = Math.atan2(tip[1] - from[1], tip[0] - from[0]);
  context.save();
  context.translate(...tip);
  context.rotate(angle);
  context.beginPath();
  context.moveTo(size * 0.5, 0);
  context.lineTo(-size * 0.6, size * 0.48);
  context.lineTo(-size * 0.6, -size * 0.48);
  context.closePath();
  context.fill();
  context.restore();
}

/** A range that is passed has the colour of too much, one that is kept that of fine. */
const ARC = { within: '#2c6a57', beyond: '#9b2418', reach: '#66717a' };

/** Draws how far a wrist is bent, from straight, and how far it can go. */
export function drawWristArc(canvas: HTMLCanvasElement, frame: Frame3d, arc: WristArc, deg: number, rangeDeg: number): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const pixel = toPixels(frame, canvas);
  const unit = Math.min(canvas.width, canvas.height);
  const line = Math.max(2, unit / 150);
  const path = (points: readonly Vec3[]) => {
    context.beginPath();
    points.map(pixel).forEach(([x, y], i) => (i === 0 ? context.moveTo(x, y) : context.lineTo(x, y)));
    context.stroke();
  };
  const colour = Math.abs(deg) > rangeDeg ? ARC.beyond : ARC.within;
  context.save();
  context.lineCap = context.lineJoin = 'round';
  context.lineWidth = line * 0.7;
  context.strokeStyle = ARC.reach;
  context.setLineDash([line, line * 2.2]);
  path([arc.wrist, arc.straight]);
  path(arc.reach);
  context.setLineDash([]);
  context.lineWidth = line * 1.5;
  context.strokeStyle = colour;
  path(arc.bend);
  path([arc.wrist, arc.hand]);
  const middle = arc.bend[Math.floor(arc.bend.length / 2)];
  if (middle) {
    const [wx, wy] = pixel(arc.wrist);
    const [x, y] = pixel(middle);
    context.font = `700 ${unit / 13}px Bricolage Grotesque Variable, sans-serif`;
    context.textAlign = 'center';
    context.textBaseline = 'middle';
    const at = [x + (x - wx) * 0.42, y + (y - wy) * 0.42] as const;
    context.lineWidth = unit / 60;
    context.strokeStyle = 'white';
    context.strokeText(`${shown(deg, 1)}°`, ...at);
    context.fillStyle = colour;
    context.fillText(`${shown(deg, 1)}°`, ...at);
  }
  context.restore();
}
