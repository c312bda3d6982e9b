import { type Hand, MEASURED_BONES, type PressureSpot } from '@clay-pot/core';
import {
  BackSide,
  Color,
  DataTexture,
  MeshBasicMaterial,
  MeshToonMaterial,
  NearestFilter,
  RedFormat,
  Vector2,
  Vector3,
  Vector4,
  type WebGLProgramParametersWithUniforms,
} from 'three';

/** Two tones and a light one: as flat as the figure is drawn. */
const TONES = Uint8Array.of(168, 216, 255);
/** The line that everything is drawn with. */
export const INK = 0x16191c;
/** Skin as the figure has it, and the nails on it. */
const SKIN = { works: 0xe3e7ea, helps: 0xc3cbd2 };
const NAIL = 0xf6f8f9;
/** Most spots of pressure on a hand. */
const MOST_SPOTS = 12;

/** The tones that light is drawn in. */
export function tones(): DataTexture {
  const texture = new DataTexture(TONES, TONES.length, 1, RedFormat);
  texture.minFilter = texture.magFilter = NearestFilter;
  texture.needsUpdate = true;
  return texture;
}

/** Width of outlines in pixels of the drawing buffer, and its half size: shared by everything that has an outline. */
export interface LineUniforms {
  readonly uHalf: { value: Vector2 };
  readonly uLine: { value: number };
}
/** Uniforms for outlines. */
export const lineUniforms = (): LineUniforms => ({ uHalf: { value: new Vector2(100, 100) }, uLine: { value: 1.5 } });

/** From how far up the forearm it goes out of sight, millimetres of the measured hand: a forearm that nobody asks about. */
export interface FadeUniforms {
  readonly uFadeMm: { value: number };
}
/** Uniforms for forearms. */
export const fadeUniforms = (): FadeUniforms => ({ uFadeMm: { value: 135 } });
/** How far beyond the part that is in the picture a forearm begins to go, and over how much of it; millimetres. */
export const FADE_AFTER_MM = 50;
const FADE_OVER_MM = 80;

/** Tells the fragment where on the measured hand it is, in millimetres. */
const MEASURED_VERTEX = 'attribute vec3 measured;\nvarying vec3 vMeasured;\nvoid main() {\n  vMeasured = measured * 1000.0;';
const FADE = `gl_FragColor.a *= smoothstep(-uFadeMm - ${FADE_OVER_MM.toFixed(1)}, -uFadeMm, vMeasured.y);`;
const faded = (fragment: string, declared = false) =>
  `uniform float uFadeMm;\n${declared ? '' : 'varying vec3 vMeasured;\n'}${fragment.replace('#include <dithering_fragment>', `#include <dithering_fragment>\n  ${FADE}`)}`;

/** The back of a shape a line's width larger: what of it shows is its outline. */
export function outlineMaterial(line: LineUniforms, fade?: FadeUniforms): MeshBasicMaterial {
  const fades = fade !== undefined;
  const material = new MeshBasicMaterial({ color: INK, side: BackSide, transparent: fades });
  material.onBeforeCompile = (shader: WebGLProgramParametersWithUniforms) => {
    Object.assign(shader.uniforms, line, fade);
    shader.vertexShader = shader.vertexShader
      .replace('void main() {', `uniform vec2 uHalf;\nuniform float uLine;\n${fades ? MEASURED_VERTEX : 'void main() {'}`)
      // The normal is wanted although nothing is lit.
      .replace('#if defined ( USE_ENVMAP ) || defined ( USE_SKINNING )', '#if 1')
      .replace(
        '#include <project_vertex>',
        `#include <project_vertex>
        vec2 outward = (normalMatrix * objectNormal).xy;
        gl_Position.xy += outward / max(length(outward), 1e-4) * uLine * gl_Position.w / uHalf;`,
      );
    if (fades) shader.fragmentShader = faded(shader.fragmentShader);
  };
  return material;
}

/** What is painted on the skin: pressure. */
export interface SkinPaint {
  readonly uSpots: { value: Vector4[] };
  readonly uHard: { value: number[] };
}

/** Colours of a drawing, read from the page’s theme. */
export interface HandColours {
  readonly load: readonly string[];
  readonly cuff: Readonly<Record<Hand, string>>;
}

/** Paint with nothing on it. */
export const noPaint = (): SkinPaint => ({
  uSpots: { value: Array.from({ length: MOST_SPOTS }, () => new Vector4(0, 0, 0, 0)) },
  uHard: { value: Array.from({ length: MOST_SPOTS }, () => 0) },
});

/** Puts spots of pressure on the skin, as hard as they are of what is shown as the most. */
export function paintPressure(paint: SkinPaint, spots: readonly PressureSpot[], mostNCm2: number): void {
  paint.uSpots.value.forEach((spot, i) => {
    const on = spots[i];
    spot.set(on?.atMm[0] ?? 0, on?.atMm[1] ?? 0, on?.atMm[2] ?? 0, on?.radiusMm ?? 0);
    paint.uHard.value[i] = on ? Math.min(1, on.newtonsPerCm2 / mostNCm2) : 0;
  });
}

/** A nail: on the back of a last bone, toward its end. */
interface Nail {
  readonly at: Vector3;
  readonly along: Vector3;
  readonly across: Vector3;
  readonly size: Vector2;
}
const NAIL_BONES = ['thumb3', 'index3', 'middle3', 'ring3', 'little3'] as const;
const NAIL_MM: Record<(typeof NAIL_BONES)[number], readonly [number, number]> = {
  thumb3: [6.2, 7.4],
  index3: [4.9, 6],
  middle3: [5.1, 6.4],
  ring3: [4.9, 6.1],
  little3: [4.2, 5.2],
};
function nails(): Nail[] {
  return NAIL_BONES.map((bone) => {
    const { at, to, axis } = MEASURED_BONES[bone];
    const [from, end] = [new Vector3(...at), new Vector3(...to)];
    const along = end.clone().sub(from).normalize();
    const across = new Vector3(...axis);
    across.addScaledVector(along, -across.dot(along)).normalize();
    const out = across.clone().cross(along);
    return {
      at: end.clone().addScaledVector(along, 3).addScaledVector(out, 5.5),
      along,
      across,
      size: new Vector2(...NAIL_MM[bone]),
    };
  });
}

const PAINT = `
varying vec3 vMeasured;
uniform vec4 uSpots[${MOST_SPOTS}];
uniform float uHard[${MOST_SPOTS}];
uniform vec3 uNailAt[5];
uniform vec3 uNailAlong[5];
uniform vec3 uNailAcross[5];
uniform vec2 uNailSize[5];
uniform vec3 uLoad[5];
uniform vec3 uCuff;
uniform vec3 uNail;
uniform vec3 uInk;
vec3 painted(vec3 skin) {
  vec3 colour = skin;
  for (int i = 0; i < 5; i++) {
    vec3 off = vMeasured - uNailAt[i];
    vec3 up = cross(uNailAcross[i], uNailAlong[i]);
    float far = length(vec2(dot(off, uNailAcross[i]), dot(off, uNailAlong[i])) / uNailSize[i]);
    if (dot(off, up) > -4.5 && far < 1.12) colour = far > 0.9 ? mix(uInk, skin, 0.45) : uNail;
  }
  float hard = 0.0;
  for (int i = 0; i < ${MOST_SPOTS}; i++) {
    if (uSpots[i].w > 0.0) hard = max(hard, uHard[i] * (1.0 - smoothstep(0.55, 1.0, distance(vMeasured, uSpots[i].xyz) / uSpots[i].w)));
  }
  if (vMeasured.y < -46.0 && vMeasured.y > -58.0) colour = uCuff;
  // The steps in which load is shown everywhere.
  if (hard > 0.02) {
    float step = hard * 5.0;
    vec3 load = step < 1.0 ? uLoad[0] : step < 2.0 ? uLoad[1] : step < 3.0 ? uLoad[2] : step < 4.0 ? uLoad[3] : uLoad[4];
    colour = load;
  }
  return colour;
}
`;

/** Skin with its nails, and what is painted on it. */
export function skinMaterial(
  gradientMap: DataTexture,
  paint: SkinPaint & FadeUniforms,
  colours: HandColours,
  side: Hand,
  helps: boolean,
): MeshToonMaterial {
  const material = new MeshToonMaterial({ color: helps ? SKIN.helps : SKIN.works, gradientMap, transparent: true });
  const own = nails();
  const fixed = {
    uNailAt: { value: own.map(({ at }) => at) },
    uNailAlong: { value: own.map(({ along }) => along) },
    uNailAcross: { value: own.map(({ across }) => across) },
    uNailSize: { value: own.map(({ size }) => size) },
    uLoad: { value: colours.load.map((colour) => new Color(colour)) },
    uCuff: { value: new Color(colours.cuff[side]) },
    uNail: { value: new Color(NAIL) },
    uInk: { value: new Color(INK) },
  };
  material.onBeforeCompile = (shader: WebGLProgramParametersWithUniforms) => {
    Object.assign(shader.uniforms, fixed, paint);
    shader.vertexShader = shader.vertexShader.replace('void main() {', MEASURED_VERTEX);
    shader.fragmentShader = faded(shader.fragmentShader, true)
      .replace('void main() {', `${PAINT}\nvoid main() {`)
      .replace('#include <color_fragment>', '#include <color_fragment>\n  diffuseColor.rgb = painted(diffuseColor.rgb);');
  };
  return material;
}
