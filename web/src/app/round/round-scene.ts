import { bordersOf, boundsOf, isStrap, satOn, shaded, sliceOf, type Sitting, type Solid, type SolidLook, type SolidPart } from '@yardland/core/solid';
import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  CanvasTexture,
  Color,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  Group,
  HemisphereLight,
  LineBasicMaterial,
  LineSegments,
  type Material,
  Mesh,
  MeshBasicMaterial,
  MeshStandardMaterial,
  PCFShadowMap,
  PerspectiveCamera,
  Plane,
  PlaneGeometry,
  RepeatWrapping,
  Scene,
  ShadowMaterial,
  SRGBColorSpace,
  Vector3,
  WebGLRenderer,
} from 'three';
import type { ClothPicture } from './cloth-picture';
import { Pace } from './pace';
import type { Apart } from './round-parts';

/** What is shown: the parts, how their materials look, and how each comes away. */
export interface Shown {
  readonly solid: Solid;
  readonly apart: readonly Apart[];
  readonly looks: (material: string) => SolidLook;
  /** The picture of a cloth, and where each part lies on it. */
  readonly pictures: (material: string) => ClothPicture | null;
  readonly uvs: (part: SolidPart) => Float32Array | null;
  readonly sitting: Sitting | null;
}

/** How it is looked at. */
export interface Looked {
  readonly turnDeg: number;
  readonly aboveDeg: number;
  readonly nearness: number;
  readonly chalk: boolean;
  readonly cut: { readonly axis: 'x' | 'y'; readonly share: number } | null;
  readonly together: number;
}

const FIELD_DEG = 28;
/** Room left round the cushion, as a share of the picture. */
const ROOM = 1.14;
const CHALK = '#fbf8ee';
/** Seams that are not chalked show as a fine shadow. */
const SEAM = '#17140f';
const SEAM_OPACITY = 0.34;
/** A strap is drawn with those edges on which it turns by more than this. */
const STRAP_EDGE_DEG = 40;
/** Dots a point of a picture that stands still, where the screen has them. */
const STILL_RATIO = 2;

const smooth = (t: number): number => {
  const s = Math.max(0, Math.min(1, t));
  return s * s * (3 - 2 * s);
};

/** A cushion in the round on a canvas. Draws only when something has changed. */
export class RoundScene {
  readonly #renderer: WebGLRenderer;
  readonly #scene = new Scene();
  readonly #camera = new PerspectiveCamera(FIELD_DEG, 1, 10, 40_000);
  readonly #sun = new DirectionalLight('#fff4e0', 3.6);
  readonly #floor = new Mesh(new PlaneGeometry(1, 1), new ShadowMaterial({ opacity: 0.17 }));
  readonly #cushion = new Group();
  readonly #caps = new Group();
  readonly #plane = new Plane(new Vector3(0, -1, 0), 0);
  #shown: Shown | null = null;
  #parts: readonly SolidPart[] = [];
  #meshes: { readonly mesh: Mesh; readonly lines: LineSegments | null; readonly apart: Apart }[] = [];
  #size = 1;
  #looked: Looked | null = null;
  /** As it was drawn last. */
  #drawn: Looked | null = null;
  readonly #pace = new Pace();
  /** The frame for which a turned picture is drawn; null while none is. */
  #next: number | null = null;

  /** Throws where the browser has no WebGL. */
  constructor(canvas: HTMLCanvasElement) {
    // Kept after it is drawn, so that it can be taken away as a picture.
    const context = canvas.getContext('webgl2', { antialias: true, alpha: true, preserveDrawingBuffer: true, powerPreference: 'low-power' });
    if (!context) throw new Error('no WebGL');
    this.#renderer = new WebGLRenderer({ canvas, context });
    this.#renderer.outputColorSpace = SRGBColorSpace;
    this.#renderer.shadowMap.enabled = true;
    this.#renderer.shadowMap.type = PCFShadowMap;
    this.#renderer.shadowMap.autoUpdate = false;
    this.#renderer.localClippingEnabled = true;
    this.#camera.up.set(0, 0, 1);
    this.#sun.castShadow = true;
    this.#sun.shadow.mapSize.set(1024, 1024);
    this.#sun.shadow.radius = 6;
    this.#sun.shadow.bias = -0.002;
    this.#floor.receiveShadow = true;
    this.#scene.add(new HemisphereLight('#ffffff', '#9c907c', 1.2), new AmbientLight('#ffffff', 0.25), this.#sun, this.#sun.target);
    this.#scene.add(this.#floor, this.#cushion, this.#caps);
  }

  /** Shows another cushion, or the same one changed. */
  show(shown: Shown): void {
    this.#clear(this.#cushion);
    this.#shown = shown;
    this.#parts = shown.sitting ? satOn(shown.solid.parts, shown.sitting) : shown.solid.parts;
    const { low, high } = boundsOf(this.#parts);
    this.#size = Math.hypot(high.x - low.x, high.y - low.y, high.z - low.z);
    this.#cushion.position.set(-(low.x + high.x) / 2, -(low.y + high.y) / 2, 0);
    this.#caps.position.copy(this.#cushion.position);
    this.#meshes = this.#parts.map((part, i) => this.#meshOf(part, shown.apart[i] ?? { x: 0, y: 0, z: 0, turn: 0 }));
    this.#floor.scale.set(this.#size * 6, this.#size * 6, 1);
    const reach = this.#size;
    // From the left, from above and a little from the front.
    this.#sun.position.set(-reach * 1.35, -reach * 0.45, reach * 0.75);
    Object.assign(this.#sun.shadow.camera, { left: -reach, right: reach, top: reach, bottom: -reach, near: reach * 0.2, far: reach * 4 });
    this.#sun.shadow.camera.updateProjectionMatrix();
    this.#renderer.shadowMap.needsUpdate = true;
    this.#drawn = null;
    if (this.#looked) this.look(this.#looked);
  }

  /** Looks at it otherwise. `turning`: more of the kind will follow at once, and what has come until the next frame is drawn in it. */
  look(looked: Looked, turning = false): void {
    const before = this.#drawn;
    this.#looked = looked;
    if (turning) {
      this.#next ??= requestAnimationFrame((now) => {
        this.#next = null;
        if (this.#looked) this.#draw(this.#looked, before, this.#pace.at(now));
      });
      return;
    }
    if (this.#next !== null) cancelAnimationFrame(this.#next);
    this.#next = null;
    this.#draw(looked, before, STILL_RATIO);
  }

  #draw(looked: Looked, before: Looked | null, ratio: number): void {
    this.#drawn = looked;
    const { low, high } = boundsOf(this.#parts);
    const middle = (high.z - low.z) / 2;
    const apart = 1 - looked.together;
    if (before?.together !== looked.together || before.cut?.axis !== looked.cut?.axis || before.cut?.share !== looked.cut?.share)
      this.#renderer.shadowMap.needsUpdate = true;
    const turns = 1 + Math.max(0, ...this.#meshes.map((one) => one.apart.turn));
    let lowest = 0;
    for (const { mesh, lines, apart: way } of this.#meshes) {
      // The first of the order of work is put in place first: each moves in its own part of the way.
      const left = smooth((1 - looked.together) * (turns + 1) - (turns - 1 - way.turn));
      const by = left * this.#size * 0.42;
      mesh.position.set(way.x * by, way.y * by, way.z * by);
      lines?.position.copy(mesh.position);
      if (lines) {
        const line = lines.material as LineBasicMaterial;
        line.color.set(looked.chalk ? CHALK : SEAM);
        line.opacity = looked.chalk ? 1 : SEAM_OPACITY;
      }
      lowest = Math.min(lowest, mesh.position.z);
    }
    this.#cushion.position.z = -lowest;
    this.#caps.position.z = -lowest;
    this.#cutOpen(looked.cut, low, high);
    const [turn, above] = [(looked.turnDeg * Math.PI) / 180, (looked.aboveDeg * Math.PI) / 180];
    const target = new Vector3(0, 0, middle + (apart > 0 ? this.#size * 0.16 * apart : 0));
    const toEye = new Vector3(Math.sin(turn) * Math.cos(above), -Math.cos(turn) * Math.cos(above), Math.sin(above));
    const half = new Vector3((high.x - low.x) / 2, (high.y - low.y) / 2, middle).add(new Vector3(0.28, 0.28, 0.36).multiplyScalar(apart * this.#size));
    this.#camera.position.copy(target).addScaledVector(toEye, (this.#farEnough(toEye, half) * ROOM) / looked.nearness);
    this.#camera.lookAt(target);
    // From underneath the floor would hide it.
    this.#floor.visible = looked.aboveDeg > 2;
    this.#ratio(ratio);
    this.#renderer.render(this.#scene, this.#camera);
  }

  /** As large as its canvas is shown, points. */
  resize(width: number, height: number): void {
    if (width < 2 || height < 2) return;
    this.#camera.aspect = width / height;
    this.#camera.updateProjectionMatrix();
    this.#renderer.setSize(width, height, false);
    if (this.#looked) this.look(this.#looked);
  }

  /** How many triangles are drawn, and how often it has been drawn. */
  get counted(): { readonly triangles: number; readonly frames: number } {
    const { render } = this.#renderer.info;
    return { triangles: render.triangles, frames: render.frame };
  }

  dispose(): void {
    if (this.#next !== null) cancelAnimationFrame(this.#next);
    this.#clear(this.#cushion);
    this.#clear(this.#caps);
    this.#floor.geometry.dispose();
    this.#floor.material.dispose();
    this.#sun.shadow.map?.dispose();
    this.#renderer.dispose();
  }

  /** How far off the eye stands so that a box of this half size about the middle just fills the picture. */
  #farEnough(toEye: Vector3, half: Vector3): number {
    const right = new Vector3().crossVectors(this.#camera.up, toEye).normalize();
    const up = new Vector3().crossVectors(toEye, right);
    const tall = Math.tan((FIELD_DEG * Math.PI) / 360);
    let far = 0;
    for (const x of [-1, 1])
      for (const y of [-1, 1])
        for (const z of [-1, 1]) {
          const corner = new Vector3(half.x * x, half.y * y, half.z * z);
          const nearer = corner.dot(toEye);
          far = Math.max(far, nearer + Math.abs(corner.dot(up)) / tall, nearer + Math.abs(corner.dot(right)) / (tall * this.#camera.aspect));
        }
    return far;
  }

  #ratio(ratio: number): void {
    const wanted = Math.min(ratio, globalThis.devicePixelRatio || 1);
    if (this.#renderer.getPixelRatio() !== wanted) this.#renderer.setPixelRatio(wanted);
  }

  #meshOf(part: SolidPart, apart: Apart): { readonly mesh: Mesh; readonly lines: LineSegments | null; readonly apart: Apart } {
    const { positions, normals, triangles, uvs } = shaded(part);
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(positions, 3));
    geometry.setAttribute('normal', new BufferAttribute(normals, 3));
    geometry.setAttribute('uv', new BufferAttribute(this.#shown?.uvs({ ...part, uvs: Float64Array.from(uvs) }) ?? uvs, 2));
    geometry.setIndex(new BufferAttribute(triangles, 1));
    const mesh = new Mesh(geometry, this.#materialOf(part));
    mesh.name = part.id;
    mesh.castShadow = part.kind !== 'stitch';
    mesh.receiveShadow = part.kind !== 'stitch';
    this.#cushion.add(mesh);
    const borders = this.#bordersOf(part, geometry);
    if (!borders) return { mesh, lines: null, apart };
    const lines = new LineSegments(borders, new LineBasicMaterial({ transparent: true, polygonOffset: true, polygonOffsetFactor: -2, clippingPlanes: [] }));
    this.#cushion.add(lines);
    return { mesh, lines, apart };
  }

  /** A seam round each piece of the cover, and the edges of a strap; null where nothing is drawn. */
  #bordersOf(part: SolidPart, geometry: BufferGeometry): BufferGeometry | null {
    if (isStrap(part)) return new EdgesGeometry(geometry, STRAP_EDGE_DEG);
    const borders = part.kind === 'cover' ? bordersOf(part) : new Float32Array();
    return borders.length ? new BufferGeometry().setAttribute('position', new BufferAttribute(borders, 3)) : null;
  }

  #materialOf({ kind, material }: SolidPart): Material {
    const { tint } = this.#shown?.looks(material) ?? { tint: '#888888' };
    const picture = kind === 'cover' || kind === 'cord' ? (this.#shown?.pictures(material) ?? null) : null;
    const made = new MeshStandardMaterial({
      color: picture ? '#ffffff' : tint,
      roughness: kind === 'stitch' || kind === 'cord' ? 0.5 : 0.9,
      metalness: 0,
      side: DoubleSide,
    });
    if (picture) {
      const texture = new CanvasTexture(picture.canvas);
      texture.colorSpace = SRGBColorSpace;
      texture.wrapS = texture.wrapT = RepeatWrapping;
      texture.anisotropy = 4;
      made.map = texture;
    }
    return made;
  }

  /** Everything on the near side of the cut is left away, and what the cut meets is filled: wrap, then each layer in its own colour. */
  #cutOpen(cut: Looked['cut'], low: { x: number; y: number; z: number }, high: { x: number; y: number; z: number }): void {
    this.#clear(this.#caps);
    const planes = cut ? [this.#plane] : [];
    for (const { mesh, lines } of this.#meshes) {
      const core = (this.#parts.find(({ id }) => id === mesh.name)?.kind ?? '') === 'core';
      (mesh.material as Material).clippingPlanes = planes;
      mesh.visible = !core || cut !== null || (this.#looked?.together ?? 1) < 1;
      if (lines) (lines.material as Material).clippingPlanes = planes;
    }
    if (!cut) return;
    const at = low[cut.axis] + (high[cut.axis] - low[cut.axis]) * cut.share;
    // What lies in front of a cut across, and to the right of one from front to back, is taken away.
    const normal = cut.axis === 'y' ? new Vector3(0, 1, 0) : new Vector3(-1, 0, 0);
    const onPlane = new Vector3(cut.axis === 'x' ? at : 0, cut.axis === 'y' ? at : 0, 0).add(this.#cushion.position);
    this.#plane.setFromNormalAndCoplanarPoint(normal, onPlane);
    const layers = this.#parts.filter(({ kind }) => kind === 'core');
    const skin = this.#parts.filter(({ kind }) => kind === 'cover' || kind === 'board');
    const wrapped = layers.length > 0;
    this.#cap(sliceOf(skin, { axis: cut.axis, at }), wrapped ? '#f5f1e7' : '#e3d6ae', 0, normal);
    layers.forEach((layer, i) => this.#cap(sliceOf([layer], { axis: cut.axis, at }), i % 2 ? '#cdbb86' : '#e0cf9a', 0.6 + 0.2 * i, normal));
  }

  #cap(corners: Float32Array, colour: string, nearerMm: number, normal: Vector3): void {
    if (!corners.length) return;
    const geometry = new BufferGeometry().setAttribute('position', new BufferAttribute(corners, 3));
    const cap = new Mesh(geometry, new MeshBasicMaterial({ color: new Color(colour), side: DoubleSide }));
    cap.position.copy(normal).multiplyScalar(-nearerMm);
    this.#caps.add(cap);
  }

  #clear(group: Group): void {
    for (const child of [...group.children]) {
      group.remove(child);
      if (!(child instanceof Mesh || child instanceof LineSegments)) continue;
      child.geometry.dispose();
      const material = child.material as Material & { map?: { dispose(): void } | null };
      material.map?.dispose();
      material.dispose();
    }
  }
}
