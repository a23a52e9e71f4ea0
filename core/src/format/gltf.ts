import { shaded } from '../form/solid/normals';
import type { Solid } from '../form/solid/solid';

/** How a material looks: its colour as red, green and blue from 0 to 1, and a picture that repeats, where it has one. */
export interface GltfLook {
  readonly name: string;
  readonly colour: readonly [number, number, number];
  readonly picture?: { readonly dataUri: string; readonly acrossMm: number; readonly alongMm: number };
}

const FLOAT = 5126;
const UNSIGNED_INT = 5125;
const ARRAY_BUFFER = 34962;
const ELEMENT_ARRAY_BUFFER = 34963;
const REPEAT = 10497;
const LINEAR = 9729;
const LINEAR_MIPMAP = 9987;

const DIGITS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/';

/** Bytes as base64 text (RFC 4648): the core has neither a browser's nor Node's own. */
export function base64(bytes: Uint8Array): string {
  const parts: string[] = [];
  for (let i = 0; i < bytes.length; i += 3) {
    const [a, b, c] = [bytes[i] as number, bytes[i + 1], bytes[i + 2]];
    const word = (a << 16) | ((b ?? 0) << 8) | (c ?? 0);
    const digit = (shift: number): string => DIGITS[(word >> shift) & 63] as string;
    parts.push(digit(18), digit(12), b === undefined ? '=' : digit(6), c === undefined ? '=' : digit(0));
  }
  return parts.join('');
}

interface Accessor {
  readonly bufferView: number;
  readonly componentType: number;
  readonly count: number;
  readonly type: 'SCALAR' | 'VEC2' | 'VEC3';
  readonly min?: number[];
  readonly max?: number[];
}

/** Data of all parts, one after the other, each in a view of its own. */
class Buffers {
  private readonly chunks: Uint8Array[] = [];
  private length = 0;
  readonly views: { readonly buffer: 0; readonly byteOffset: number; readonly byteLength: number; readonly target: number }[] = [];
  readonly accessors: Accessor[] = [];

  add(values: Float32Array | Uint32Array, type: Accessor['type'], bounds = false): number {
    const bytes = new Uint8Array(values.buffer, values.byteOffset, values.byteLength);
    this.views.push({
      buffer: 0,
      byteOffset: this.length,
      byteLength: bytes.length,
      target: values instanceof Uint32Array ? ELEMENT_ARRAY_BUFFER : ARRAY_BUFFER,
    });
    this.chunks.push(bytes);
    this.length += bytes.length;
    const size = { SCALAR: 1, VEC2: 2, VEC3: 3 }[type];
    const of = (pick: (a: number, b: number) => number, from: number): number[] => {
      const found = new Array<number>(size).fill(from);
      values.forEach((value, i) => (found[i % size] = pick(found[i % size] as number, value)));
      return found;
    };
    return (
      this.accessors.push({
        bufferView: this.views.length - 1,
        componentType: values instanceof Uint32Array ? UNSIGNED_INT : FLOAT,
        count: values.length / size,
        type,
        ...(bounds ? { min: of(Math.min, Infinity), max: of(Math.max, -Infinity) } : {}),
      }) - 1
    );
  }

  uri(): { readonly byteLength: number; readonly uri: string } {
    const all = new Uint8Array(this.length);
    let at = 0;
    for (const chunk of this.chunks) {
      all.set(chunk, at);
      at += chunk.length;
    }
    return { byteLength: this.length, uri: `data:application/octet-stream;base64,${base64(all)}` };
  }
}

/** Millimetres with z up as metres with y up, as glTF has them. */
function upright(values: Float32Array, scale: number): Float32Array {
  const out = new Float32Array(values.length);
  for (let i = 0; i < values.length; i += 3) out.set([(values[i] as number) * scale, (values[i + 2] as number) * scale, -(values[i + 1] as number) * scale], i);
  return out;
}

/**
 * A cushion in the round as a glTF 2.0 file: a node for each part, named by it, its cloth's colour and picture as its material. `look` says how a material is seen;
 * cloth lies by its places on the piece, divided by the picture's repeat.
 */
export function gltfText({ parts }: Solid, name: string, look: (material: string) => GltfLook): string {
  const buffers = new Buffers();
  const names = [...new Set(parts.map(({ material }) => material))];
  const looks = names.map(look);
  const pictured = looks.flatMap(({ picture }) => (picture ? [picture] : []));
  const textureOf = ({ picture }: GltfLook): number => (picture ? pictured.indexOf(picture) : -1);
  const meshes = parts.map((part) => {
    const { positions, normals, uvs, triangles } = shaded(part);
    const material = names.indexOf(part.material);
    const picture = looks[material]?.picture;
    const repeats = uvs.map((mm, i) => (i % 2 ? 1 - mm / (picture?.alongMm ?? 1000) : mm / (picture?.acrossMm ?? 1000)));
    const attributes = {
      POSITION: buffers.add(upright(positions, 0.001), 'VEC3', true),
      NORMAL: buffers.add(upright(normals, 1), 'VEC3'),
      TEXCOORD_0: buffers.add(repeats, 'VEC2'),
    };
    return { name: part.id, primitives: [{ attributes, indices: buffers.add(triangles, 'SCALAR'), material }], extras: { piece: part.piece, kind: part.kind } };
  });
  const document = {
    asset: { version: '2.0', generator: 'Yardland' },
    scene: 0,
    scenes: [{ name, nodes: meshes.map((_, i) => i) }],
    nodes: meshes.map((mesh, i) => ({ name: mesh.name, mesh: i })),
    meshes,
    materials: looks.map((one) => ({
      name: one.name,
      doubleSided: true,
      pbrMetallicRoughness: {
        baseColorFactor: [...(one.picture ? [1, 1, 1] : one.colour), 1],
        metallicFactor: 0,
        roughnessFactor: 0.9,
        ...(one.picture ? { baseColorTexture: { index: textureOf(one) } } : {}),
      },
    })),
    ...(pictured.length
      ? {
          textures: pictured.map((_, source) => ({ source, sampler: 0 })),
          images: pictured.map(({ dataUri }) => ({ uri: dataUri })),
          samplers: [{ wrapS: REPEAT, wrapT: REPEAT, magFilter: LINEAR, minFilter: LINEAR_MIPMAP }],
        }
      : {}),
    accessors: buffers.accessors,
    bufferViews: buffers.views,
    buffers: [buffers.uri()],
  };
  return `${JSON.stringify(document)}\n`;
}
