import { type Movement, parseDose } from '@clay-pot/core';

/** The hall’s own movement, made for the aerial straps: a studio’s movements are listed beside the shipped ones. */
export function strapHang(id: string): Movement {
  const place = {
    posture: 'hang',
    contact: 'handle',
    facing: 'free',
    loading: 'resisted',
    equipment: ['bar', 'chair'],
  } as const;
  const strap = { kind: 'hang', hands: 2, addedKg: 0, wristBendDeg: 15, on: 'bar', handleMm: 44 } as const;
  const at = (levelId: string, name: string, description: string, feetPercentBW: number, dose: string) => ({
    ...place,
    id: levelId,
    name,
    description,
    load: { ...strap, feetPercentBW },
    dosing: 'hangs' as const,
    dose: parseDose(dose),
  });
  return {
    id,
    name: 'Strap-wrapped wrist hang',
    family: 'hangs',
    purpose: 'Hang from two wrapped straps with the wrists slightly bent. The feet decide how much the straps carry.',
    howTo: [
      'Wrap each strap once around the wrist, tail in the palm.',
      'Bend the knees until the straps carry the share you want.',
      'Stand up before the fingers open.',
    ],
    cues: ['Shoulders on', 'Knuckles over the strap'],
    faults: ['The wrap slips onto the hand', 'Shoulders slack', 'Held breath'],
    cautions: [{ text: 'Not over split skin.', concerns: ['skin-splits'], avoid: true }],
    trains: ['wrist flexors', 'finger flexors', 'shoulder girdle'],
    motions: ['wrist flexion'],
    corners: ['fist, wrist flexed'],
    equipment: [],
    climbs: 'effort',
    sides: ['together'],
    directions: null,
    strokes: ['on', 'off'],
    work: ['time'],
    timed: 'hold',
    ladder: [
      at('feet-most', 'Feet carry three quarters', 'A quarter in the straps.', 75, '2x10s rest30'),
      at('feet-half', 'Feet carry half', 'Half in the straps.', 50, '2x10s rest45'),
      at('feet-quarter', 'Feet carry a third', 'Two thirds in the straps.', 33, '3x8s rest60'),
    ],
  };
}
