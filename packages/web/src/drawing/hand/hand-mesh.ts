import { BufferAttribute, BufferGeometry } from 'three';
import meshUrl from './hand-mesh.bin?url';
import { type HandMesh, readHandMesh, SKINS } from './mesh-file.js';

/** Fetches the mesh of the hand. @throws Error where it cannot be loaded */
export async function fetchHandMesh(): Promise<HandMesh> {
  const answer = await fetch(meshUrl);
  if (!answer.ok) throw new Error(`Couldn’t load the shape of the hand (${answer.status}).`);
  return readHandMesh(await answer.arrayBuffer());
}

/** The mesh in one size: `resize` takes a measured point (millimetres) to its place at rest (metres). */
export function handGeometry(
  mesh: HandMesh,
  resize: (atMm: readonly [number, number, number]) => readonly [number, number, number],
): BufferGeometry {
  const { positions, bones, weights, faces } = mesh;
  const sized = new Float32Array(positions.length);
  for (let i = 0; i < positions.length; i += 3) {
    const at = [0, 1, 2].map((axis) => (positions[i + axis] ?? 0) * 1000) as [number, number, number];
    sized.set(resize(at), i);
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(sized, 3));
  // Paint on the skin is placed in millimetres of the measured hand.
  geometry.setAttribute('measured', new BufferAttribute(positions, 3));
  geometry.setAttribute('skinIndex', new BufferAttribute(bones, SKINS));
  geometry.setAttribute('skinWeight', new BufferAttribute(weights, SKINS, true));
  geometry.setIndex(new BufferAttribute(faces, 1));
  geometry.computeVertexNormals();
  return geometry;
}
