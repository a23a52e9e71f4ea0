/** A picture decoded, brought to a size that is fine enough. */
export interface OpenPicture {
  /** An object URL of the file: whoever opened it lets it go. */
  readonly address: string;
  readonly rgba: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** Half a millimetre a pixel on a large sheet. */
const MOST_PX = 2000;

export const NOT_A_PICTURE = 'This is not a picture that can be read: take a JPEG, PNG or WebP.';

/** Decodes a picture, upright; null where it is none. */
export async function openPicture(file: Blob): Promise<OpenPicture | null> {
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) return null;
  const scale = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) return null;
  pen.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return { address: URL.createObjectURL(file), rgba: pen.getImageData(0, 0, width, height).data, width, height };
}
