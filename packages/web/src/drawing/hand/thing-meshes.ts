import type { Look, Thing } from '@clay-pot/core';
import {
  type BufferGeometry,
  CatmullRomCurve3,
  type DataTexture,
  DoubleSide,
  ExtrudeGeometry,
  Group,
  Matrix4,
  Mesh,
  type MeshBasicMaterial,
  MeshToonMaterial,
  Shape,
  SphereGeometry,
  TubeGeometry,
  Vector2,
  Vector3,
  CylinderGeometry,
} from 'three';
import { RoundedBoxGeometry } from 'three/examples/jsm/geometries/RoundedBoxGeometry.js';

/** Colours of what things are made of; the floor is seen through. */
const COLOURS: Readonly<Record<Look, number>> = {
  wood: 0xb9c1c7,
  metal: 0x66717a,
  rubber: 0x8fbcab,
  cloth: 0xaab6d6,
  paper: 0xfbfcfd,
  floor: 0xcbd3d8,
  water: 0x9fc4d6,
};
/** How much of the floor covers what is under it. */
const FLOOR_OPACITY = 0.34;
/** Rounding of edges, of the least side; and the finest of it, metres. */
const ROUND = { ofSide: 0.2, mostM: 0.006 };

/** How many shapes are kept from one drawing to the next: things that change their size would fill the graphics card. */
const MOST_SHAPES = 48;

/** Draws things; shapes that come again are kept, the rest is let go after each drawing. */
export function thingMaker(gradientMap: DataTexture, outline: MeshBasicMaterial) {
  const materials = new Map<Look, MeshToonMaterial>();
  const material = (look: Look) => {
    const known = materials.get(look);
    if (known) return known;
    const glassy = look === 'floor' || look === 'water';
    const made = new MeshToonMaterial({
      color: COLOURS[look],
      gradientMap,
      transparent: glassy,
      opacity: glassy ? FLOOR_OPACITY : 1,
      depthWrite: !glassy,
      side: look === 'cloth' || look === 'paper' ? DoubleSide : 0,
    });
    materials.set(look, made);
    return made;
  };
  const shapes = new Map<string, BufferGeometry>();
  let spent: BufferGeometry[] = [];
  const geometry = (thing: Thing): BufferGeometry => {
    const key = keyOf(thing);
    const known = key && shapes.get(key);
    if (known) return known;
    const made = geometryOf(thing);
    if (key) shapes.set(key, made);
    else spent.push(made);
    return made;
  };
  const made = (thing: Thing): Group => {
    const shape = geometry(thing);
    const group = new Group();
    const { at, turn } = thing.placement;
    group.position.set(...at);
    group.quaternion.set(...turn);
    const body = new Mesh(shape, material(thing.look));
    group.add(body);
    if (thing.look === 'floor' || thing.look === 'water') body.renderOrder = 2;
    else group.add(new Mesh(shape, outline));
    return group;
  };
  /** After a drawing: what was made for it alone goes, and of the kept shapes the oldest beyond their number. */
  const tidied = () => {
    for (const shape of spent) shape.dispose();
    spent = [];
    for (const [key, shape] of shapes) {
      if (shapes.size <= MOST_SHAPES) break;
      shape.dispose();
      shapes.delete(key);
    }
  };
  return { made, tidied };
}

const micrometres = (...all: readonly number[]) => all.map((v) => Math.round(v * 1e5)).join();
/** Things with the same key have the same shape; bands are built each time. */
function keyOf(thing: Thing): string | null {
  switch (thing.shape) {
    case 'ball':
      return `ball ${micrometres(thing.radiusM)}`;
    case 'rod':
      return `rod ${micrometres(thing.radiusM, thing.lengthM)}`;
    case 'slab':
    case 'wedge':
      return `${thing.shape} ${micrometres(...thing.sizeM)}`;
    case 'band':
      return null;
  }
}

function geometryOf(thing: Thing): BufferGeometry {
  switch (thing.shape) {
    case 'ball':
      return new SphereGeometry(thing.radiusM, 40, 28);
    case 'rod':
      return new CylinderGeometry(thing.radiusM, thing.radiusM, thing.lengthM, 36);
    case 'slab': {
      const radius = Math.min(ROUND.mostM, Math.min(...thing.sizeM) * ROUND.ofSide);
      return new RoundedBoxGeometry(...thing.sizeM, 3, radius);
    }
    case 'wedge':
      return wedgeGeometry(thing.sizeM);
    case 'band': {
      const through = new CatmullRomCurve3(
        thing.through.map((at) => new Vector3(...at)),
        true,
        'centripetal',
      );
      return new TubeGeometry(through, 96, thing.radiusM, 8, true);
    }
  }
}

/** A three-sided bar along x: its upper edge at −y, its lower at +y. */
function wedgeGeometry([wide, long, high]: readonly [number, number, number]): BufferGeometry {
  const side = new Shape([new Vector2(-long / 2, -high / 2), new Vector2(long / 2, -high / 2), new Vector2(-long / 2, high / 2)]);
  const solid = new ExtrudeGeometry(side, { depth: wide, bevelEnabled: false });
  // Drawn in x and y and pulled along z: y and z come to stand where x and y were.
  solid.applyMatrix4(new Matrix4().set(0, 0, 1, -wide / 2, 1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1));
  return solid;
}
