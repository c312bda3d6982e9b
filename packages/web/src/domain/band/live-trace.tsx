import type { Band, ForceSample, Trace } from '@clay-pot/core';
import { useEffect, useRef } from 'react';
import { shownValue, storedValue } from '../measuring/units.js';

interface Props {
  /** Newtons, or degrees; read with each frame. */
  line: { readonly current: readonly ForceSample[] };
  isAngle?: boolean;
  /** A band to be kept, newtons. */
  band?: Pick<Band, 'lowN' | 'highN'> | null;
  isRunning: boolean;
  /** Marks of what was found, once it is over. */
  trace: Trace | null;
  className?: string;
}

/** So much of the past is seen while it runs. */
const SEEN_S = 8;
/** The scale’s least top, so that noise does not fill the picture. */
const LEAST_TOP_N = 60;
const HEADROOM = 1.15;
const GRID = { force: 10, angle: 20 };
/** More lines than this are coarser ones. */
const MOST_LINES = 6;

/** A force as it comes, drawn with every frame of the screen; afterwards the whole of it with what was found. */
export function LiveTrace({ line, isAngle = false, band = null, isRunning, trace, className = '' }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let frame = 0;
    let topN = Math.max(LEAST_TOP_N, band ? band.highN * HEADROOM : 0);
    const paint = () => {
      const element = canvas.current;
      const context = element?.getContext('2d');
      if (element && context) topN = draw(context, element, { samples: line.current, isAngle, band, isRunning, trace, topN });
      if (isRunning) frame = requestAnimationFrame(paint);
    };
    paint();
    return () => cancelAnimationFrame(frame);
  }, [line, isAngle, band, isRunning, trace]);
  return <canvas ref={canvas} aria-hidden className={`block w-full bg-white ${className}`} />;
}

interface Drawn {
  readonly samples: readonly ForceSample[];
  readonly isAngle: boolean;
  readonly band: Pick<Band, 'lowN' | 'highN'> | null;
  readonly isRunning: boolean;
  readonly trace: Trace | null;
  readonly topN: number;
}

/** Where an instant and a force lie on the picture, and how its colours are called. */
interface Paper {
  readonly context: CanvasRenderingContext2D;
  readonly width: number;
  readonly height: number;
  readonly ratio: number;
  readonly topN: number;
  readonly x: (tS: number) => number;
  readonly y: (valueN: number) => number;
  readonly colour: (name: string) => string;
}

/** @returns the top of the scale, which only grows while a trial runs */
function draw(context: CanvasRenderingContext2D, element: HTMLCanvasElement, drawn: Drawn): number {
  const { samples, isAngle, band, isRunning, trace } = drawn;
  const ratio = window.devicePixelRatio || 1;
  const [width, height] = fitted(element, ratio);
  const [firstS, lastS] = [samples[0]?.tS ?? 0, samples.at(-1)?.tS ?? 0];
  const fromS = isRunning ? Math.max(firstS, lastS - SEEN_S) : firstS;
  const spanS = Math.max(isRunning ? SEEN_S : 1, lastS - fromS);
  const seen = since(samples, fromS);
  const highest = seen.reduce((most, { valueN }) => Math.max(most, valueN), 0);
  const topN = Math.max(drawn.topN, highest * HEADROOM);
  const style = getComputedStyle(element);
  const paper: Paper = {
    ...{ context, width, height, ratio, topN },
    x: (tS) => ((tS - fromS) / spanS) * width,
    y: (valueN) => height - (Math.max(0, valueN) / topN) * height,
    colour: (name) => style.getPropertyValue(`--color-${name}`),
  };
  context.clearRect(0, 0, width, height);
  if (band) drawBand(paper, band);
  drawScale(paper, isAngle);
  if (trace) drawPlateau(paper, trace);
  drawLine(paper, seen);
  if (trace) drawOnset(paper, trace);
  return topN;
}

/** The samples from an instant on, found from the end: a long signal is not gone through with every frame. */
function since(samples: readonly ForceSample[], fromS: number): readonly ForceSample[] {
  let start = samples.length;
  while (start > 0 && (samples[start - 1]?.tS ?? fromS) >= fromS) start--;
  return samples.slice(start);
}

/** Gives the picture as many points as the screen has. */
function fitted(element: HTMLCanvasElement, ratio: number): [width: number, height: number] {
  const [width, height] = [Math.round(element.clientWidth * ratio), Math.round(element.clientHeight * ratio)];
  if (element.width !== width) element.width = width;
  if (element.height !== height) element.height = height;
  return [width, height];
}

function drawScale({ context, width, ratio, topN, y, colour }: Paper, isAngle: boolean): void {
  const unit = isAngle ? '°' : 'N';
  context.lineWidth = ratio;
  context.strokeStyle = colour('line');
  context.fillStyle = colour('ink-soft');
  context.font = `${11 * ratio}px sans-serif`;
  const fine = isAngle ? GRID.angle : GRID.force;
  const step = fine * Math.ceil(shownValue(unit, topN) / fine / MOST_LINES);
  for (let mark = step; mark < shownValue(unit, topN); mark += step) {
    const at = y(storedValue(unit, mark));
    context.beginPath();
    context.moveTo(0, at);
    context.lineTo(width, at);
    context.stroke();
    context.fillText(String(mark), 3 * ratio, at - 2 * ratio);
  }
}

function drawBand({ context, width, y, colour }: Paper, { lowN, highN }: Pick<Band, 'lowN' | 'highN'>): void {
  context.fillStyle = colour('celadon-wash');
  context.fillRect(0, y(highN), width, y(lowN) - y(highN));
}

function drawPlateau({ context, ratio, x, y, colour }: Paper, { plateauN, plateauFromS, plateauToS, restN }: Trace): void {
  if (plateauN === null || plateauFromS === null || plateauToS === null) return;
  context.fillStyle = colour('celadon-fill');
  context.fillRect(x(plateauFromS), y(plateauN + restN) - 2 * ratio, x(plateauToS) - x(plateauFromS), 4 * ratio);
}

function drawLine({ context, width, ratio, x, y, colour }: Paper, seen: readonly ForceSample[]): void {
  context.strokeStyle = colour('ink');
  context.lineWidth = 2 * ratio;
  context.lineJoin = 'round';
  context.beginPath();
  // More points than pixels are no picture: one a pixel is drawn.
  const step = Math.max(1, Math.floor(seen.length / width));
  for (let index = 0; index < seen.length; index += step) {
    const sample = seen[index];
    if (sample) context.lineTo(x(sample.tS), y(sample.valueN));
  }
  context.stroke();
}

function drawOnset({ context, height, ratio, x, colour }: Paper, { onsetS }: Trace): void {
  if (onsetS === null) return;
  context.strokeStyle = colour('cobalt');
  context.setLineDash([4 * ratio, 4 * ratio]);
  context.beginPath();
  context.moveTo(x(onsetS), 0);
  context.lineTo(x(onsetS), height);
  context.stroke();
  context.setLineDash([]);
}
