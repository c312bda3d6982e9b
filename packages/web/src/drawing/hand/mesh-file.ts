import { SKIN_BONES } from '@clay-pot/core';

/** Vertices follow four bones at most. */
export const SKINS = 4;
/** The file's lengths are hundredths of a millimetre. */
const FILE_UNIT_M = 1e-5;

/** The mesh as it is kept in the file: the measured right hand at rest, metres. */
export interface HandMesh {
  readonly positions: Float32Array;
  readonly bones: Uint8Array;
  readonly weights: Uint8Array;
  readonly faces: Uint16Array;
}

/** Reads what `scripts/hand-mesh.mjs` writes. @throws RangeError where the file is not whole */
export function readHandMesh(file: ArrayBuffer): HandMesh {
  const [vertices = 0, faces = 0] = new Uint32Array(file, 0, 2);
  let at = 8;
  const next = <T>(take: (from: number) => T, bytes: number): T => {
    const part = take(at);
    at += bytes;
    return part;
  };
  const raw = next((from) => new Int16Array(file, from, vertices * 3), vertices * 6);
  const bones = next((from) => new Uint8Array(file, from, vertices * SKINS), vertices * SKINS);
  const weights = next((from) => new Uint8Array(file, from, vertices * SKINS), vertices * SKINS);
  const index = next((from) => new Uint16Array(file, from, faces * 3), faces * 6);
  if (bones.some((bone) => bone >= SKIN_BONES.length)) throw new RangeError('The hand’s mesh names a bone that it does not have.');
  return { positions: Float32Array.from(raw, (v) => v * FILE_UNIT_M), bones, weights, faces: index };
}
