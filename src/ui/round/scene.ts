import {
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  Color,
  DoubleSide,
  Mesh,
  MeshBasicMaterial,
  PerspectiveCamera,
  PlaneGeometry,
  Scene,
  ShaderMaterial,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Units } from '@/core/formats/display';
import type { RoundPicture } from '@/core/round/build';
import type { RoundFacts } from '@/core/round/facts';
import type { HeadSurface } from '@/core/round/head/surface';
import { KEY_LIGHT } from '@/core/round/light';
import type { RoundMesh } from '@/core/round/mesh';
import { HAIR_FRAGMENT, HAIR_VERTEX, SKIN_FRAGMENT, SKIN_VERTEX } from './hair-shader';
import { TOOL_TONE, type RoundTones } from './round-tones';
import { rulerPicture, RULER } from './ruler-picture';
import { scalpPicture } from './scalp-picture';
import { strandPicture } from './strand-picture';

/** A head on a canvas. It is drawn only when something moved. */
export interface RoundScene {
  /** Shows another state of the head. */
  readonly show: (picture: RoundPicture, facts: RoundFacts, inSet: boolean) => void;
  readonly turn: (azimuthRad: number, polarRad: number) => void;
  readonly nearer: (times: number) => void;
  readonly look: (from: RoundSide) => void;
  /** How it is turned: another scene can be turned alike. */
  readonly pose: () => RoundPose;
  readonly take: (pose: RoundPose) => void;
  /** What was drawn last, to be kept. */
  readonly canvas: HTMLCanvasElement;
  readonly dispose: () => void;
}

/** From where a head is looked at, and from how far. */
export interface RoundPose {
  readonly azimuth: number;
  readonly polar: number;
  readonly times: number;
}
export type RoundSide = 'front' | 'left' | 'right' | 'behind' | 'above';

const FOV_DEG = 24;
const REST_MS = 160;
/** Pixels drawn for one that is seen, along a side, where edges are not smoothed otherwise. */
const SMOOTH_RATIO = 1.6;
/** A frame that takes longer than this is drawn as a sketch while the head turns. */
const SLOW_MS = 100;
const SIDES: Readonly<Record<RoundSide, readonly [azimuth: number, polar: number]>> = {
  front: [-0.42, 1.42],
  left: [Math.PI / 2, 1.4],
  right: [-Math.PI / 2, 1.4],
  behind: [Math.PI, 1.35],
  above: [-0.3, 0.35],
};
/** Share of the length that has grown out since it was coloured. */
const REGROWN = 0.16;

/** Whether this browser draws without a graphics chip. */
function isSoftware(): boolean {
  const gl = document.createElement('canvas').getContext('webgl2');
  if (!gl) return false;
  const info = gl.getExtension('WEBGL_debug_renderer_info');
  const name = info ? String(gl.getParameter(info.UNMASKED_RENDERER_WEBGL)) : '';
  return /swiftshader|llvmpipe|software|basic render/i.test(name);
}

function hairGeometry({ positions, tangents, normals, shapes, lights, indices }: RoundMesh): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setAttribute('along', new BufferAttribute(tangents, 4, true));
  geometry.setAttribute('outward', new BufferAttribute(normals, 4, true));
  geometry.setAttribute('shape', new BufferAttribute(shapes, 4));
  geometry.setAttribute('lit', new BufferAttribute(lights, 4, true));
  geometry.setIndex(new BufferAttribute(indices, 1));
  return geometry;
}

function skinGeometry({ positions, normals, chart, indices }: HeadSurface): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(normals, 3));
  geometry.setAttribute('chart', new BufferAttribute(chart, 2));
  geometry.setAttribute(
    'lit',
    new BufferAttribute(new Uint8Array((positions.length / 3) * 2).fill(255), 2, true),
  );
  geometry.setIndex(new BufferAttribute(indices, 1));
  return geometry;
}

/**
 * Sets a scene up on a canvas.
 *
 * @throws where WebGL is not to be had
 */
export function makeRoundScene(
  canvas: HTMLCanvasElement,
  surface: HeadSurface,
  tones: RoundTones,
  units: Units,
  hear: { readonly turned?: (pose: RoundPose) => void; readonly lost?: () => void } = {},
): RoundScene {
  let sketches = isSoftware();
  // Without a chip every sample costs time, moving or not: edges are smoothed by drawing larger once it rests.
  const restRatio = sketches
    ? Math.max(SMOOTH_RATIO, window.devicePixelRatio)
    : Math.min(2, window.devicePixelRatio);
  const renderer = new WebGLRenderer({
    canvas,
    antialias: !sketches,
    alpha: true,
    preserveDrawingBuffer: true,
  });
  renderer.setClearColor(0x000000, 0);
  const scene = new Scene();
  const color = (css: string) => new Color(css);
  const shared = { keyFrom: { value: new Vector3() } };
  const hairMaterial = new ShaderMaterial({
    vertexShader: HAIR_VERTEX,
    fragmentShader: HAIR_FRAGMENT,
    side: DoubleSide,
    uniforms: {
      ...shared,
      strands: { value: strandPicture() },
      rootTone: { value: color(tones.root) },
      lengthTone: { value: color(tones.length) },
      regrownShare: { value: tones.root === tones.length ? -1 : REGROWN },
      toolTone: { value: color(TOOL_TONE) },
      pixelCm: { value: 0.001 },
      widen: { value: 1 },
      isSketch: { value: 0 },
    },
  });
  const skinMaterial = new ShaderMaterial({
    vertexShader: SKIN_VERTEX,
    fragmentShader: SKIN_FRAGMENT,
    uniforms: {
      ...shared,
      scalp: { value: null as CanvasTexture | null },
      skin: { value: color(tones.skin) },
    },
  });
  const head = new Mesh(skinGeometry(surface), skinMaterial);
  const hair = new Mesh(new BufferGeometry(), hairMaterial);
  const sample = new Mesh(new BufferGeometry(), hairMaterial);
  hair.frustumCulled = false;
  sample.frustumCulled = false;
  const ruler = new Mesh(
    new PlaneGeometry(1, 1),
    new MeshBasicMaterial({ map: null, transparent: true, side: DoubleSide }),
  );
  scene.add(head, hair, sample, ruler);

  let shown: RoundPicture | null = null;
  let lowest = -16;
  const camera = new PerspectiveCamera(FOV_DEG, 1, 5, 400);
  const controls = new OrbitControls(camera, canvas);
  controls.enablePan = false;
  controls.rotateSpeed = 0.8;
  controls.minPolarAngle = 0.15;
  controls.maxPolarAngle = 2.1;

  const usualFar = () => {
    const tall = 11 - lowest + 4;
    const half = Math.tan((FOV_DEG * Math.PI) / 360);
    const wide = Math.max(37, (shown?.measures?.widthCm ?? 30) + 16);
    return Math.max(tall / 2 / half, wide / 2 / half / Math.max(0.4, camera.aspect)) + 8;
  };
  const place = ({ azimuth, polar, times }: RoundPose) => {
    // How far away it all fits hangs on the shape that the canvas has by now.
    if (canvas.clientHeight > 0) camera.aspect = canvas.clientWidth / canvas.clientHeight;
    const far = usualFar() * times;
    const sin = Math.sin(polar);
    controls.target.set(0, (10 + lowest) / 2, 0);
    camera.position
      .set(sin * Math.sin(azimuth), Math.cos(polar), sin * Math.cos(azimuth))
      .multiplyScalar(far)
      .add(controls.target);
    controls.minDistance = usualFar() * 0.35;
    controls.maxDistance = usualFar() * 1.6;
    controls.update();
  };
  const pose = (): RoundPose => ({
    azimuth: controls.getAzimuthalAngle(),
    polar: controls.getPolarAngle(),
    times: controls.getDistance() / usualFar(),
  });

  let rest: ReturnType<typeof setTimeout> | undefined;
  let frame: number | undefined;
  let isMoving = false;
  let isHeld = false;
  const draw = () => {
    const { clientWidth: width, clientHeight: height } = canvas;
    if (width === 0 || height === 0) return;
    const isSketch = isMoving && sketches;
    renderer.setPixelRatio(isSketch ? 0.5 : restRatio);
    renderer.setSize(width, height, false);
    camera.aspect = width / height;
    camera.updateProjectionMatrix();
    camera.updateMatrixWorld();
    const pixels = height * renderer.getPixelRatio();
    hairMaterial.uniforms.pixelCm!.value = (2 * Math.tan((FOV_DEG * Math.PI) / 360)) / pixels;
    hairMaterial.uniforms.widen!.value = isSketch ? 3 : 1;
    hairMaterial.uniforms.isSketch!.value = isSketch ? 1 : 0;
    // The light hangs in the room, a little carried along with whoever looks.
    shared.keyFrom.value.set(...KEY_LIGHT).transformDirection(camera.matrixWorldInverse);
    if (shown) {
      const { third, frizz } = shown.hair.tierEnds;
      const from = isSketch ? frizz : 0;
      hair.geometry.setDrawRange(from, (isSketch ? shown.hair.sketchEnd : isMoving ? third : frizz) - from);
    }
    const right = new Vector3().setFromMatrixColumn(camera.matrixWorld, 0).setY(0).normalize();
    const beside =
      (shown?.measures ? Math.max(17, shown.measures.widthCm / 2 + 6.5) : 15) * (shown?.scale ?? 1);
    const facing = Math.atan2(camera.position.x, camera.position.z);
    ruler.position.copy(right.clone().multiplyScalar(-beside)).setY(9 - RULER.lengthCm(lowest) / 2);
    ruler.rotation.y = facing;
    sample.position.copy(right.clone().multiplyScalar(-beside + 2.8)).setY(9 - 0.6);
    sample.rotation.y = facing;
    const began = performance.now();
    renderer.render(scene, camera);
    if (isMoving && !sketches) {
      renderer.getContext().finish();
      sketches = performance.now() - began > SLOW_MS;
    }
  };
  /** Draws what moved with the next frame of the screen, and in full once nothing moves and nothing holds it. */
  const drawMoving = () => {
    isMoving = true;
    clearTimeout(rest);
    frame ??= requestAnimationFrame(() => {
      frame = undefined;
      draw();
      clearTimeout(rest);
      rest = setTimeout(atRest, REST_MS);
    });
  };
  const atRest = () => {
    if (isHeld) return;
    isMoving = false;
    draw();
  };
  const moved = () => {
    drawMoving();
    hear.turned?.(pose());
  };
  controls.addEventListener('change', moved);
  controls.addEventListener('start', () => {
    isHeld = true;
  });
  controls.addEventListener('end', () => {
    isHeld = false;
    clearTimeout(rest);
    rest = setTimeout(atRest, REST_MS);
  });
  const resized = new ResizeObserver(() => {
    place(pose());
    draw();
  });
  resized.observe(canvas);
  const lost = (event: Event) => {
    event.preventDefault();
    hear.lost?.();
  };
  canvas.addEventListener('webglcontextlost', lost);
  place({ azimuth: SIDES.front[0], polar: SIDES.front[1], times: 1 });

  return {
    canvas,
    pose,
    take: (wanted) => {
      controls.removeEventListener('change', moved);
      place(wanted);
      controls.addEventListener('change', moved);
      drawMoving();
    },
    show: (picture, facts, inSet) => {
      const now = shown ? pose() : { azimuth: SIDES.front[0], polar: SIDES.front[1], times: 1 };
      shown = picture;
      hair.geometry.dispose();
      hair.geometry = hairGeometry(picture.hair);
      sample.geometry.dispose();
      sample.geometry = picture.sample ? hairGeometry(picture.sample) : new BufferGeometry();
      head.scale.setScalar(picture.scale);
      head.geometry.setAttribute('lit', new BufferAttribute(picture.headLight, 2, true));
      const old = skinMaterial.uniforms.scalp!.value as CanvasTexture | null;
      old?.dispose();
      skinMaterial.uniforms.scalp!.value = scalpPicture(facts, {
        hair: tones.root,
        skin: tones.skin,
        inSet,
      });
      lowest = Math.min(-15, picture.lowestCm);
      ruler.geometry.dispose();
      ruler.geometry = new PlaneGeometry(RULER.widthCm, RULER.lengthCm(lowest));
      ruler.material.map?.dispose();
      ruler.material.map = rulerPicture(RULER.lengthCm(lowest), units);
      ruler.material.needsUpdate = true;
      place(now);
      draw();
    },
    turn: (azimuth, polar) => {
      const now = pose();
      place({
        azimuth: now.azimuth + azimuth,
        polar: Math.min(2.1, Math.max(0.15, now.polar + polar)),
        times: now.times,
      });
    },
    nearer: (times) => {
      const now = pose();
      place({ ...now, times: Math.min(1.6, Math.max(0.35, now.times * times)) });
    },
    look: (from) => {
      const [azimuth, polar] = SIDES[from];
      place({ azimuth, polar, times: pose().times });
    },
    dispose: () => {
      clearTimeout(rest);
      if (frame !== undefined) cancelAnimationFrame(frame);
      resized.disconnect();
      canvas.removeEventListener('webglcontextlost', lost);
      controls.dispose();
      for (const mesh of [head, hair, sample, ruler]) mesh.geometry.dispose();
      for (const texture of [skinMaterial.uniforms.scalp!.value as CanvasTexture | null, ruler.material.map])
        texture?.dispose();
      hairMaterial.dispose();
      skinMaterial.dispose();
      renderer.dispose();
    },
  };
}
