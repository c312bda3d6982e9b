import { type Figure as FigureData, type HandLoad, type HandShape, MOST_N_CM2, type PostureLoad, zonePressure } from '@clay-pot/core';
import { facingTurnDeg, HandFromAbove, type HandTint, PushFromAbove } from './hand-above.js';
import { HandFromSide } from './hand-side.js';

/** A hand's tint from its load and how it is spread. */
export function tintFor(hand: Pick<HandLoad, 'loadN'>, load: Pick<PostureLoad, 'pressure'>): HandTint {
  const on = zonePressure(hand, load);
  const share = (part: keyof HandTint) => Math.min(1, on[part] / MOST_N_CM2);
  return { heel: share('heel'), knuckles: share('knuckles'), pads: share('pads') };
}

/** The hand by itself: planted hands from above with their pressure, free ones from the side or above. Centred on the origin. */
export function HandCloseUp({ figure, share, size }: { figure: FigureData; share: number; size: number }) {
  const { hand, load } = figure;
  const moment = hand.at(share);
  if (hand.kind === 'planted' && load) {
    const { contact, facing } = figure.poseAt(1).hand;
    const sideways = facing === 'inward' || facing === 'outward';
    const unit = size * (sideways ? 0.165 : 0.19);
    return (
      <g>
        {(['left', 'right'] as const).map((which) => (
          <g
            key={which}
            transform={`translate(${(which === 'left' ? -1 : 1) * size * (facing === 'inward' ? 0.3 : facing === 'outward' ? 0.16 : 0.26)} ${size * 0.08})`}
          >
            <g transform={`rotate(${facingTurnDeg(facing, which)}) translate(0 ${unit * 0.8})`}>
              {load[which].loadN > 0 && (
                <HandFromAbove
                  moment={{ ...moment, shape: plantedTop(contact, moment.shape) }}
                  size={unit}
                  mirrored={which === 'left'}
                  palmSeen={contact === 'back of hand'}
                  tint={tintFor(load[which], load)}
                />
              )}
            </g>
            <text
              y={size * 0.42}
              textAnchor="middle"
              fontSize={size * 0.1}
              fontWeight={700}
              fill={which === 'left' ? 'var(--color-cobalt)' : 'var(--color-ochre)'}
              fontFamily="var(--font-display)"
            >
              {which === 'left' ? 'L' : 'R'}
            </text>
          </g>
        ))}
      </g>
    );
  }
  if (hand.kind === 'above') {
    return (
      <g transform={`translate(0 ${size * 0.2})`}>
        <HandFromAbove
          moment={moment}
          size={size * 0.3}
          forearm
          lever={hand.held !== 'lever' ? null : moment.sideDeg < 0 ? 'little' : 'thumb'}
        />
        <PushFromAbove view={hand} size={size * 0.3} />
      </g>
    );
  }
  return (
    <g transform={`rotate(${{ ahead: 0, up: -90, down: 90 }[hand.pointing]}) translate(${-size * 0.2} 0)`}>
      <HandFromSide view={hand} moment={moment} size={size * 0.3} />
    </g>
  );
}

/** What is seen of a planted hand from above. */
function plantedTop(contact: string, shape: HandShape): HandShape {
  if (contact === 'fist' || contact === 'handle') return { ...shape, knuckleDeg: 80, middleDeg: 100, endDeg: 60, spreadDeg: 0, thumb: -1 };
  if (contact === 'fingertips') return { ...shape, knuckleDeg: 45, middleDeg: 20, endDeg: 10, spreadDeg: 16, thumb: 0.9 };
  return { ...shape, knuckleDeg: 0, middleDeg: 0, endDeg: 0, spreadDeg: 14, thumb: 0.9 };
}
