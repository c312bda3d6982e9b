import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { handPictureOf, partsIn, REFERENCE_BODIES, SKIN_BONES } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { readHandMesh, SKINS } from './mesh-file.js';

const file = readFileSync(new URL('./hand-mesh.bin', import.meta.url));
const bytes = file.buffer.slice(file.byteOffset, file.byteOffset + file.byteLength) as ArrayBuffer;
const mesh = readHandMesh(bytes);

describe('the mesh of the hand', () => {
  test('is one closed surface: every edge has a face on both sides, the other way round', () => {
    const edges = new Set<string>();
    for (let i = 0; i < mesh.faces.length; i += 3) {
      for (let k = 0; k < 3; k++) edges.add(`${mesh.faces[i + k]} ${mesh.faces[i + ((k + 1) % 3)]}`);
    }
    expect(edges.size).toBe(mesh.faces.length);
    for (const edge of edges) {
      const [from, to] = edge.split(' ');
      expect(edges.has(`${to} ${from}`)).toBe(true);
    }
  });

  test('follows bones that there are, with weights that come to the whole', () => {
    const vertices = mesh.positions.length / 3;
    for (let i = 0; i < vertices; i++) {
      const own = mesh.weights.slice(i * SKINS, (i + 1) * SKINS);
      expect(Math.abs(own.reduce((sum, weight) => sum + weight, 0) - 255)).toBeLessThanOrEqual(2);
    }
    expect(Math.max(...mesh.bones)).toBe(SKIN_BONES.length - 1);
    const hook = shippedMovement('glide.hook')!;
    const picture = handPictureOf(REFERENCE_BODIES.female, hook, hook.ladder[0]);
    const [hand] = picture.at(picture.still, 'right').hands;
    const parts = partsIn(picture.skeleton, hand!);
    expect(SKIN_BONES.every((part) => part in parts)).toBe(true);
  });

  test('is as large as a hand with its forearm, fingers ahead, the thumb on the side of −x', () => {
    const ends = (axis: number) => {
      const all = mesh.positions.filter((_, i) => i % 3 === axis);
      return [all.reduce((a, b) => Math.min(a, b)), all.reduce((a, b) => Math.max(a, b))] as const;
    };
    expect(ends(1)[1]).toBeCloseTo(0.189, 2);
    expect(ends(1)[0]).toBeLessThan(-0.25);
    expect(ends(0)[0]).toBeLessThan(-0.07);
  });

  test('a file that is cut off or names a bone that there is not is refused', () => {
    expect(() => readHandMesh(bytes.slice(0, 4000))).toThrow(RangeError);
    const spoilt = bytes.slice(0);
    const vertices = new Uint32Array(spoilt, 0, 1)[0]!;
    new Uint8Array(spoilt)[8 + vertices * 6] = 200;
    expect(() => readHandMesh(spoilt)).toThrow('names a bone');
  });
});
