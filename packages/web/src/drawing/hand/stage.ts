import {
  type Frame3d,
  type Hand,
  type HandMoment3d,
  type HandSize,
  MOST_N_CM2,
  partsIn,
  type PlacedHand,
  type PressureSpot,
  type Skeleton,
  sized,
  SKIN_BONES,
} from '@clay-pot/core';
import {
  AmbientLight,
  Bone,
  type DataTexture,
  type BufferGeometry,
  DetachedBindMode,
  DirectionalLight,
  DoubleSide,
  Group,
  Matrix4,
  MeshBasicMaterial,
  type Object3D,
  OrthographicCamera,
  Quaternion,
  Scene,
  Skeleton as ThreeSkeleton,
  SkinnedMesh,
  SRGBColorSpace,
  Vector3,
  WebGLRenderer,
} from 'three';
import { fetchHandMesh, handGeometry } from './hand-mesh.js';
import type { HandMesh } from './mesh-file.js';
import {
  FADE_AFTER_MM,
  type FadeUniforms,
  fadeUniforms,
  type HandColours,
  lineUniforms,
  noPaint,
  outlineMaterial,
  paintPressure,
  type SkinPaint,
  skinMaterial,
  tones,
} from './materials.js';
import { thingMaker } from './thing-meshes.js';

/** What is drawn: hands and things, the eye, and what is painted on the skin of the hand that works. */
export interface Shot {
  readonly skeleton: Skeleton;
  readonly moment: HandMoment3d;
  readonly frame: Frame3d;
  /** Pressure on each hand’s skin, in the order of the moment’s hands. */
  readonly pressure?: readonly (readonly PressureSpot[])[];
}

/** Draws shots. One for the whole page: browsers allow few WebGL contexts. */
export interface Stage {
  /** Draws onto a canvas of the page, filling it, in its own pixels. @returns false where the graphics card has let go of the page */
  readonly draw: (shot: Shot, canvas: HTMLCanvasElement) => boolean;
  /** Milliseconds of the thread that the last drawing took. */
  readonly lastMs: () => number;
}

/** Outline’s width, of a picture’s own size: large hands have stronger lines, as in ink. */
const LINE_SHARE = 0.0034;
/** How far the eye stands off, metres: nothing is as large. */
const EYE_M = 2;

/** Sets up the page’s one WebGL drawing. @throws Error where there is no WebGL, or the hand’s mesh cannot be loaded */
export async function openStage(colours: HandColours, onRestored: () => void): Promise<Stage> {
  const mesh = await fetchHandMesh();
  const canvas = document.createElement('canvas');
  const renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
  renderer.outputColorSpace = SRGBColorSpace;
  let lost = false;
  canvas.addEventListener('webglcontextlost', (event) => {
    // Kept from being final: the browser gives the context back when it can.
    event.preventDefault();
    lost = true;
  });
  canvas.addEventListener('webglcontextrestored', () => {
    lost = false;
    onRestored();
  });

  const line = lineUniforms();
  const fade = fadeUniforms();
  const outline = outlineMaterial(line, fade);
  const gradient = tones();
  const things = thingMaker(gradient, outlineMaterial(line));
  const hands = handMaker(mesh, colours, { gradient, outline, fade });
  const scene = new Scene();
  const light = new DirectionalLight(0xffffff, 2.4);
  scene.add(new AmbientLight(0xffffff, 1), light, light.target);
  const camera = new OrthographicCamera();
  let lastMs = 0;

  function draw({ skeleton, moment, frame, pressure = [] }: Shot, onto: HTMLCanvasElement): boolean {
    const begun = performance.now();
    const { width, height } = onto;
    if (lost || width === 0 || height === 0) return false;
    if (canvas.width < width || canvas.height < height) {
      renderer.setSize(Math.max(canvas.width, width), Math.max(canvas.height, height), false);
    }
    renderer.setViewport(0, 0, width, height);
    line.uHalf.value.set(width / 2, height / 2);
    line.uLine.value = Math.max(1.5, Math.sqrt(width * height) * LINE_SHARE);
    fade.uFadeMm.value = (frame.forearmM * 1000) / skeleton.size.forearmTimes + FADE_AFTER_MM;
    aim(camera, light, frame, width / height);
    const ground = groundOf(moment);
    const under = ground !== undefined && !isOver(ground, frame.eye);
    const drawn: Object3D[] = [
      ...moment.hands.map((hand, i) => hands.posed(skeleton, hand, i, pressure[i] ?? [])),
      // From below, one looks through what hands stand on, whatever it is made of.
      ...moment.things.map((thing) => things.made(thing === ground && under ? { ...thing, look: 'floor' } : thing)),
    ];
    if (ground && !under) drawn.push(...moment.hands.map((hand, i) => hands.shadow(skeleton, hand, i, ground)));
    scene.add(...drawn);
    renderer.render(scene, camera);
    scene.remove(...drawn);
    things.tidied();
    const context = onto.getContext('2d');
    context?.clearRect(0, 0, width, height);
    context?.drawImage(canvas, 0, canvas.height - height, width, height, 0, 0, width, height);
    lastMs = performance.now() - begun;
    return true;
  }
  return { draw, lastMs: () => lastMs };
}

/** Where the eye is, and the light over its left shoulder. */
function aim(camera: OrthographicCamera, light: DirectionalLight, frame: Frame3d, aspect: number): void {
  const { halfWidthM, halfHeightM } = frame;
  // The whole frame fits, whichever side is short.
  const half = Math.max(halfHeightM, halfWidthM / aspect);
  camera.left = -half * aspect;
  camera.right = half * aspect;
  camera.top = half;
  camera.bottom = -half;
  camera.near = 0.01;
  camera.far = EYE_M * 2;
  const [middle, eye, up, right] = [frame.middle, frame.eye, frame.up, frame.right].map((v) => new Vector3(...v)) as [
    Vector3,
    Vector3,
    Vector3,
    Vector3,
  ];
  camera.up.copy(up);
  camera.position.copy(middle).addScaledVector(eye, EYE_M);
  camera.lookAt(middle);
  camera.updateProjectionMatrix();
  light.position.copy(middle).addScaledVector(eye, 1).addScaledVector(up, 1.1).addScaledVector(right, -0.7);
  light.target.position.copy(middle);
}

/** Shadows are a tone of the floor. */
const SHADE_COLOUR = 0xc4ccd2;

const MIRROR = new Matrix4().makeScale(-1, 1, 1);

/** The floor, table or wall that hands stand on: what their shadows fall on. It is larger than what hands hold or lie beside. */
const groundOf = ({ things }: HandMoment3d): Ground | undefined =>
  things.find((thing): thing is Ground => thing.shape === 'slab' && Math.min(thing.sizeM[0], thing.sizeM[1]) > LARGE_M);
const LARGE_M = 0.4;
type Ground = Extract<HandMoment3d['things'][number], { shape: 'slab' }>;

/** Whether the eye is on the side of a floor or a wall that hands stand on. */
const isOver = ({ placement }: Ground, eye: Frame3d['eye']): boolean =>
  new Vector3(0, 0, 1).applyQuaternion(new Quaternion(...placement.turn)).dot(new Vector3(...eye)) > 0;

/** Where light comes from over a floor, as far as shadows go: aside and ahead for each of up. */
const SHADE = { aside: 0.22, ahead: -0.18, liftM: 0.0006 };
/** Flattens what is over a floor onto it. */
function shadeOn({ placement, sizeM }: Ground): Matrix4 {
  const floor = matrixOf(placement).multiply(new Matrix4().makeTranslation(0, 0, sizeM[2] / 2));
  const flat = new Matrix4().set(1, 0, SHADE.aside, 0, 0, 1, SHADE.ahead, 0, 0, 0, 0, SHADE.liftM, 0, 0, 0, 1);
  return floor.clone().multiply(flat).multiply(floor.invert());
}

interface HandModel {
  readonly group: Group;
  readonly shade: SkinnedMesh;
  readonly bones: readonly Bone[];
  readonly paint: SkinPaint;
}

/** Poses hands: a model for each hand of a shot, kept from one drawing to the next. */
function handMaker(
  mesh: HandMesh,
  colours: HandColours,
  { gradient, outline, fade }: { gradient: DataTexture; outline: MeshBasicMaterial; fade: FadeUniforms },
) {
  const geometries = new WeakMap<HandSize, BufferGeometry>();
  const models = new WeakMap<HandSize, Map<string, HandModel>>();
  const shadeMaterial = new MeshBasicMaterial({ color: SHADE_COLOUR, side: DoubleSide });
  const build = (skeleton: Skeleton, side: Hand, helps: boolean): HandModel => {
    const { size } = skeleton;
    const geometry = geometries.get(size) ?? handGeometry(mesh, (atMm) => sized(size, atMm));
    geometries.set(size, geometry);
    const paint = noPaint();
    const bones = SKIN_BONES.map(() => new Bone());
    for (const bone of bones) bone.matrixAutoUpdate = false;
    const rest = SKIN_BONES.map((part) => matrixOf(skeleton.rest[part]).invert());
    const group = new Group();
    group.add(...bones);
    const skin = new ThreeSkeleton(bones, rest);
    for (const material of [skinMaterial(gradient, { ...paint, ...fade }, colours, side, helps), outline]) {
      const drawn = new SkinnedMesh(geometry, material);
      drawn.frustumCulled = false;
      drawn.bind(skin, new Matrix4());
      group.add(drawn);
    }
    if (side === 'left') {
      // A left hand is a right one in a mirror.
      group.matrixAutoUpdate = false;
      group.matrix.copy(MIRROR);
    }
    const shade = new SkinnedMesh(geometry, shadeMaterial);
    shade.bindMode = DetachedBindMode;
    shade.frustumCulled = false;
    shade.matrixAutoUpdate = false;
    shade.bind(skin, new Matrix4());
    return { group, bones, paint, shade };
  };
  const modelOf = (skeleton: Skeleton, { side, helps = false }: PlacedHand, index: number): HandModel => {
    const kept = models.get(skeleton.size) ?? new Map<string, HandModel>();
    models.set(skeleton.size, kept);
    const key = `${side} ${index} ${helps}`;
    const model = kept.get(key) ?? build(skeleton, side, helps);
    kept.set(key, model);
    return model;
  };
  /** A hand in its pose, with what is painted on its skin. */
  const posed = (skeleton: Skeleton, hand: PlacedHand, index: number, pressure: readonly PressureSpot[]): Group => {
    const model = modelOf(skeleton, hand, index);
    const parts = partsIn(skeleton, hand);
    SKIN_BONES.forEach((part, i) => {
      const matrix = matrixOf(parts[part]);
      // In the mirror: what belongs to the left hand, seen from the right one’s side.
      if (hand.side === 'left') matrix.premultiply(MIRROR).multiply(MIRROR);
      model.bones[i]?.matrix.copy(matrix);
    });
    paintPressure(model.paint, pressure, MOST_N_CM2);
    return model.group;
  };
  /** The shadow of a hand that has been posed. */
  const shadow = (skeleton: Skeleton, hand: PlacedHand, index: number, ground: Ground): SkinnedMesh => {
    const { shade } = modelOf(skeleton, hand, index);
    shade.matrix.copy(shadeOn(ground));
    return shade;
  };
  return { posed, shadow };
}

const ONE = new Vector3(1, 1, 1);
const matrixOf = ({ at, turn }: Skeleton['rest'][keyof Skeleton['rest']]) =>
  new Matrix4().compose(new Vector3(...at), new Quaternion(...turn), ONE);
