import type { PostureLoad } from './hand-load.js';
import type { PostureField, SupportPosture } from '../model/posture.js';

/** From this hip angle on the body counts as held straight, and keeps it while something else is moved. */
const STRAIGHT_DEG = 165;

/**
 * The posture with one field set, and everything else that ties the chain kept as a body would keep it: a straight body stays straight
 * and walks its hands; a bent one keeps its knees or feet where they are, or, when these are moved, its shoulders.
 * `load` is the posture as computed: it knows what follows from the two that were given.
 */
export function withField(
  posture: SupportPosture,
  load: Pick<PostureLoad, 'hipAngleDeg' | 'distanceM' | 'leanDeg'>,
  field: PostureField,
  value: number,
): SupportPosture {
  if (posture.support === 'none') return { ...posture, [field]: value };
  const { leanDeg, hipAngleDeg, distanceM, ...rest } = posture;
  if (leanDeg !== undefined && hipAngleDeg !== undefined && distanceM !== undefined) return { ...posture, [field]: value };
  const straight = load.hipAngleDeg >= STRAIGHT_DEG;
  const lean = leanDeg === 'square' ? leanDeg : (leanDeg ?? load.leanDeg);
  switch (field) {
    case 'distanceM':
      return { ...rest, leanDeg: lean, distanceM: value };
    case 'hipAngleDeg':
      return { ...rest, leanDeg: lean, hipAngleDeg: value };
    case 'leanDeg':
      return straight ? { ...rest, leanDeg: value, hipAngleDeg: load.hipAngleDeg } : { ...rest, leanDeg: value, distanceM: load.distanceM };
    case 'elbowBendDeg':
      // Hands and feet stand where they stand: bending the elbows lowers the shoulders and brings them forward.
      return straight
        ? { ...rest, hipAngleDeg: load.hipAngleDeg, distanceM: load.distanceM, elbowBendDeg: value }
        : { ...rest, leanDeg: load.leanDeg, distanceM: load.distanceM, elbowBendDeg: value };
    default:
      return { ...posture, [field]: value };
  }
}

/** The fields that can be moved for a posture, in the order in which a coach would think of them. */
export function movableFields(posture: SupportPosture): PostureField[] {
  const { support, surface, contact } = posture;
  const fields: PostureField[] = [];
  if (support !== 'none') fields.push('distanceM');
  fields.push('leanDeg');
  if (support !== 'none' && support !== 'feet on wall') fields.push('handHeightM', 'supportHeightM');
  fields.push('hipAngleDeg');
  if (contact !== 'none') fields.push('elbowBendDeg', 'leftShare');
  if (contact === 'open palm' || contact === 'raised palm' || contact === 'back of hand' || contact === 'ball') fields.push('padPressure');
  if (contact === 'raised palm') fields.push('heelLiftDeg');
  if (contact === 'open palm' || contact === 'back of hand') fields.push('wedgeDeg');
  return surface === 'wall' ? fields.filter((field) => field !== 'supportHeightM') : fields;
}

/** The value of a field, given or computed. */
export function fieldValue(posture: SupportPosture, load: PostureLoad, field: PostureField): number {
  if (field === 'leanDeg' || field === 'hipAngleDeg' || field === 'distanceM' || field === 'handHeightM') return load[field];
  return posture[field] ?? 0;
}
