import type { Units } from '@/core/formats/display';
import {
  AmbientLight,
  BufferGeometry,
  CanvasTexture,
  CatmullRomCurve3,
  Color,
  CylinderGeometry,
  DirectionalLight,
  Float32BufferAttribute,
  Group,
  HemisphereLight,
  Mesh,
  MeshStandardMaterial,
  PerspectiveCamera,
  PlaneGeometry,
  Scene,
  SphereGeometry,
  SRGBColorSpace,
  TubeGeometry,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { curlPoints, hangingAxis, woundAbout, type Vec3 } from '@/core/curl/hung-curl';
import { chartAt, DRAWING, hairlinePath, type DrawnSection } from '@/core/parting/drawn-layout';
import { seededRng } from '@/core/random/rng';
import { RADIUS_CM_PER_CIRCUMFERENCE_CM, sphereVector } from '@/core/sphere/crown-chart';
import { cmFromInches } from '@/core/units/length';
import { hairTone, skinTone } from '@/ui/crown-map/tones';
import { ropeRadiusCm, seenCurls, type RoundSource, type ZoneCurl } from './seen-curls';

/** A head drawn in three dimensions; it draws only when something moved. */
export interface HeadScene {
  readonly showCurls: (shown: boolean) => void;
  readonly turn: (azimuthRad: number, polarRad: number) => void;
  readonly look: (from: 'above' | 'behind') => void;
  readonly dispose: () => void;
}

export interface HeadSceneOptions {
  readonly source: RoundSource;
  readonly sections: readonly DrawnSection[];
  readonly partPath: string | null;
  readonly skin: string;
  readonly hair: string;
  readonly units: Units;
}

/** The skull against the sphere that the scalp is charted on: narrower than long (for the eye; assumed). */
const SKULL: Vec3 = [0.84, 1.0, 0.95];
/** More curls than this only blur into each other. */
const MOST_CURLS = 260;
const TEXTURE = 2048;
/** Chart radius that the texture covers, in R. */
const CHART_REACH = 2;
const AXIS_STEPS = 48;
const TUBE_SIDES = 6;
const FOV_DEG = 30;
/** Width over height of view that head and ruler want. */
const LEAST_ASPECT = 1.35;
const GROUND = '#f6ecd9';

/** Head to scene, where y is up and the face looks along z: the client's right is then at −x. */
const toScene = ([x, y, z]: Vec3) => new Vector3(-x, z, y);

/** The sections as a picture in chart coordinates, to be laid over the skull. */
function scalpPicture({ sections, partPath, hair, skin }: HeadSceneOptions): CanvasTexture {
  const canvas = document.createElement('canvas');
  canvas.width = TEXTURE;
  canvas.height = TEXTURE;
  const pen = canvas.getContext('2d')!;
  const unit = TEXTURE / (2 * CHART_REACH * 100);
  pen.fillStyle = skinTone(skin).fill;
  pen.fillRect(0, 0, TEXTURE, TEXTURE);
  pen.setTransform(unit, 0, 0, unit, TEXTURE / 2 - DRAWING.poleX * unit, TEXTURE / 2 - DRAWING.poleY * unit);
  const ink = hairTone(hair).stroke;
  for (const { path } of sections) {
    const outline = new Path2D(path);
    pen.fillStyle = '#efdcb8';
    pen.fill(outline);
    pen.strokeStyle = ink;
    pen.lineWidth = 1.4;
    pen.stroke(outline);
  }
  pen.lineWidth = 2;
  pen.stroke(new Path2D(hairlinePath()));
  if (partPath) {
    pen.lineWidth = 4;
    pen.stroke(new Path2D(partPath));
  }
  pen.fillStyle = '#2b1a14';
  pen.textAlign = 'center';
  pen.textBaseline = 'middle';
  for (const { number, x, y, clearRadius } of sections) {
    pen.font = `700 ${Math.max(5, Math.min(15, clearRadius * 0.9))}px sans-serif`;
    pen.fillText(String(number), x, y);
  }
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  texture.anisotropy = 4;
  return texture;
}

/** The skull: a sphere drawn out to a head, each point carrying its place on the chart. */
function skullGeometry(radiusCm: number): BufferGeometry {
  const geometry = new BufferGeometry();
  const positions: number[] = [];
  const places: number[] = [];
  const index: number[] = [];
  const [rings, spokes] = [64, 96];
  const reach = Math.PI * 0.62;
  for (let i = 0; i <= rings; i++) {
    const r = 2 * Math.sin(((i / rings) * reach) / 2);
    for (let j = 0; j <= spokes; j++) {
      const azimuth = (j / spokes) * 2 * Math.PI;
      const chart = { x: r * Math.sin(azimuth), y: r * Math.cos(azimuth) };
      const [x, y, z] = sphereVector(chart);
      positions.push(...toScene([x * SKULL[0] * radiusCm, y * SKULL[1] * radiusCm, z * SKULL[2] * radiusCm]));
      places.push(0.5 + chart.x / (2 * CHART_REACH), 0.5 + chart.y / (2 * CHART_REACH));
    }
  }
  for (let i = 0; i < rings; i++) {
    for (let j = 0; j < spokes; j++) {
      const a = i * (spokes + 1) + j;
      const b = a + spokes + 1;
      index.push(a, a + 1, b, b, a + 1, b + 1);
    }
  }
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  geometry.setAttribute('uv', new Float32BufferAttribute(places, 2));
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  return geometry;
}

/** Face, neck, ears and nose: only as much as tells where the front is. */
function figure(radiusCm: number, skin: MeshStandardMaterial): Group {
  const group = new Group();
  const part = (geometry: BufferGeometry, at: Vec3, size: Vec3, tilt = 0) => {
    const mesh = new Mesh(geometry, skin);
    mesh.position.copy(toScene([at[0] * radiusCm, at[1] * radiusCm, at[2] * radiusCm]));
    mesh.scale.set(size[0] * radiusCm, size[2] * radiusCm, size[1] * radiusCm);
    mesh.rotation.x = tilt;
    group.add(mesh);
  };
  const ball = new SphereGeometry(1, 40, 28);
  part(ball, [0, 0.3, -0.55], [0.66, 0.62, 0.82], 0.12);
  part(ball, [0, 0.98, -0.42], [0.1, 0.14, 0.18], -0.25);
  for (const side of [-1, 1]) part(ball, [side * 0.82, -0.1, -0.28], [0.09, 0.17, 0.25]);
  part(new CylinderGeometry(0.46, 0.56, 1.5, 36), [0, -0.12, -1.5], [1, 1, 1], -0.1);
  return group;
}

/** A ruler that stands beside the head, its zero at the crown. */
function ruler(heightCm: number, units: Units): Mesh {
  const widthCm = 2.6;
  const pxPerCm = 46;
  const canvas = document.createElement('canvas');
  canvas.width = widthCm * pxPerCm;
  canvas.height = heightCm * pxPerCm;
  const pen = canvas.getContext('2d')!;
  pen.fillStyle = '#fffaf0';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.strokeStyle = '#2b1a14';
  pen.fillStyle = '#2b1a14';
  pen.lineWidth = 3;
  pen.strokeRect(1, 1, canvas.width - 2, canvas.height - 2);
  pen.font = '700 30px sans-serif';
  pen.textBaseline = 'middle';
  const stepCm = units.length === 'cm' ? 1 : cmFromInches(1);
  pen.fillText(units.length === 'cm' ? 'cm' : 'in', 12, 24);
  for (let i = 1; i * stepCm < heightCm; i++) {
    const y = i * stepCm * pxPerCm;
    const isLong = units.length === 'in' || i % 5 === 0;
    pen.beginPath();
    pen.moveTo(0, y);
    pen.lineTo(isLong ? 46 : 24, y);
    pen.stroke();
    if (isLong) pen.fillText(String(i), 54, y);
  }
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  return new Mesh(
    new PlaneGeometry(widthCm, heightCm),
    new MeshStandardMaterial({ map: texture, roughness: 1, side: 2 }),
  );
}

/** Moves a point that lies in the skull to its surface. */
const outsideSkull = (radiusCm: number) => {
  const axes = SKULL.map((share) => share * radiusCm) as unknown as Vec3;
  return (at: Vec3): Vec3 => {
    const inside = Math.hypot(at[0] / axes[0], at[1] / axes[1], at[2] / axes[2]);
    return inside >= 1 || inside === 0 ? at : [at[0] / inside, at[1] / inside, at[2] / inside];
  };
};

/** Every curl at its true diameter and visible length, one or more from each section. */
function curlGroup(
  { source, sections, hair }: HeadSceneOptions,
  radiusCm: number,
  curls: readonly ZoneCurl[],
): Group {
  const group = new Group();
  const tone = new Color(hairTone(hair).stroke);
  const material = new MeshStandardMaterial({
    color: tone.lerp(new Color('#8a6a52'), 0.16),
    roughness: 0.55,
  });
  const pieces = Math.max(
    1,
    Math.min(source.separations, Math.floor(MOST_CURLS / Math.max(1, sections.length))),
  );
  const outside = outsideSkull(radiusCm);
  for (const section of sections) {
    const curl = curls.find(({ zone }) => zone === section.zone);
    if (!curl) continue;
    const chance = seededRng(section.number, 1);
    for (let piece = 0; piece < pieces; piece++) {
      const off =
        pieces === 1 ? 0 : (section.clearRadius * 0.55 * (piece - (pieces - 1) / 2) * 2) / (pieces - 1);
      const [x, y, z] = sphereVector(
        chartAt(section.x + off, section.y + (chance() - 0.5) * section.clearRadius * 0.5),
      );
      const rootAt: Vec3 = [x * SKULL[0] * radiusCm, y * SKULL[1] * radiusCm, z * SKULL[2] * radiusCm];
      const normal: Vec3 = [x / SKULL[0], y / SKULL[1], z / SKULL[2]];
      const length = Math.hypot(...normal);
      const axis = hangingAxis(
        rootAt,
        [normal[0] / length, normal[1] / length, normal[2] / length],
        curl.visibleCm,
        AXIS_STEPS,
        outside,
      );
      const points = woundAbout(curlPoints(curl, chance() * 2 * Math.PI), axis, curl.visibleCm).map(toScene);
      const line = new CatmullRomCurve3(points);
      group.add(
        new Mesh(
          new TubeGeometry(line, Math.min(360, points.length * 2), ropeRadiusCm(curl, pieces), TUBE_SIDES),
          material,
        ),
      );
    }
  }
  return group;
}

/** Height of view, degrees: on a narrow screen as wide that head and ruler stay in it. */
const fovFor = (aspect: number) =>
  (2 * Math.atan(Math.tan((FOV_DEG * Math.PI) / 360) * Math.max(1, LEAST_ASPECT / aspect)) * 180) / Math.PI;

/** Builds the scene on a canvas. Throws where WebGL is not to be had. */
export function makeHeadScene(canvas: HTMLCanvasElement, options: HeadSceneOptions): HeadScene {
  const renderer = new WebGLRenderer({ canvas, antialias: true, preserveDrawingBuffer: true });
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
  const radiusCm = RADIUS_CM_PER_CIRCUMFERENCE_CM * options.source.circumferenceCm;
  const scene = new Scene();
  scene.background = new Color(GROUND);
  const curls = seenCurls(options.source);
  const longestCm = Math.max(12, ...curls.map(({ visibleCm }) => visibleCm));

  const skin = new MeshStandardMaterial({ color: skinTone(options.skin).fill, roughness: 0.8 });
  const scalp = new MeshStandardMaterial({ map: scalpPicture(options), roughness: 0.9 });
  scene.add(new Mesh(skullGeometry(radiusCm), scalp), figure(radiusCm, skin));
  const hanging = curlGroup(options, radiusCm, curls);
  scene.add(hanging);
  const rulerCm = Math.ceil(longestCm + SKULL[2] * radiusCm * 0.6);
  const stick = ruler(rulerCm, options.units);
  scene.add(stick, new AmbientLight('#ffffff', 0.75), new HemisphereLight('#fff7e8', '#8a6a52', 1.1));
  const sun = new DirectionalLight('#ffffff', 1.6);
  scene.add(sun);

  const camera = new PerspectiveCamera(FOV_DEG, 1, 1, 400);
  const controls = new OrbitControls(camera, canvas);
  controls.target.set(0, -longestCm * 0.25, 0);
  controls.enablePan = false;
  controls.minDistance = radiusCm * 2.4;
  controls.maxDistance = radiusCm * 9;
  controls.maxPolarAngle = Math.PI * 0.72;
  const farCm = radiusCm * 5.2 + longestCm * 0.9;

  const draw = () => {
    const { clientWidth: width, clientHeight: height } = canvas;
    if (width === 0 || height === 0) return;
    renderer.setSize(width, height, false);
    camera.aspect = width / height;
    camera.fov = fovFor(camera.aspect);
    camera.updateProjectionMatrix();
    sun.position.copy(camera.position).add(new Vector3(10, 24, 0));
    // The ruler stays at the left of the head, facing whoever looks.
    const right = new Vector3().setFromMatrixColumn(camera.matrix, 0).setY(0).normalize();
    stick.position.copy(right.multiplyScalar(-(radiusCm * 1.05 + Math.min(6, longestCm * 0.2) + 3)));
    stick.position.y = SKULL[2] * radiusCm - rulerCm / 2;
    stick.rotation.y = Math.atan2(camera.position.x, camera.position.z);
    renderer.render(scene, camera);
  };
  const place = (azimuth: number, polar: number) => {
    const sin = Math.sin(polar);
    camera.position
      .set(sin * Math.sin(azimuth), Math.cos(polar), sin * Math.cos(azimuth))
      .multiplyScalar(farCm)
      .add(controls.target);
    controls.update();
    draw();
  };
  const resized = new ResizeObserver(draw);
  resized.observe(canvas);
  controls.addEventListener('change', draw);
  place(Math.PI * 0.18, Math.PI * 0.36);

  return {
    showCurls: (shown) => {
      hanging.visible = shown;
      draw();
    },
    turn: (azimuth, polar) =>
      place(
        controls.getAzimuthalAngle() + azimuth,
        Math.min(controls.maxPolarAngle, Math.max(0.05, controls.getPolarAngle() + polar)),
      ),
    look: (from) => (from === 'above' ? place(Math.PI, 0.05) : place(Math.PI, Math.PI * 0.42)),
    dispose: () => {
      resized.disconnect();
      controls.dispose();
      scene.traverse((object) => {
        if (!(object instanceof Mesh)) return;
        (object.geometry as BufferGeometry).dispose();
        const material = object.material as MeshStandardMaterial;
        material.map?.dispose();
        material.dispose();
      });
      renderer.dispose();
    },
  };
}
