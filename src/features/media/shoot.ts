/** Pictures out of a camera stream. */

const THUMB_PX = 320;

const blobOf = (canvas: HTMLCanvasElement, quality: number): Promise<Blob> =>
  new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob === null ? reject(new Error('no picture')) : resolve(blob)),
      'image/jpeg',
      quality,
    ),
  );

function drawn(source: CanvasImageSource, width: number, height: number): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  Object.assign(canvas, { width, height });
  canvas.getContext('2d')?.drawImage(source, 0, 0, width, height);
  return canvas;
}

/** A small picture of a larger one: its longer side has at most 320 pixels. */
export function smaller(width: number, height: number): [number, number] {
  const scale = Math.min(1, THUMB_PX / Math.max(width, height, 1));
  return [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
}

/** Named by its moment, so that pictures lie in the order of taking wherever they are saved. */
export const shotName = (at: Date): string =>
  `${at.toISOString().replace(/[-:]/g, '').replace('T', '-').slice(0, 15)}.jpg`;

/** What the camera sees now, whole and small. Errors: there is no picture yet. */
export async function shoot(video: HTMLVideoElement, at: Date): Promise<{ file: File; thumb: Blob }> {
  const { videoWidth, videoHeight } = video;
  if (videoWidth === 0) throw new Error('The camera shows nothing yet.');
  const whole = await blobOf(drawn(video, videoWidth, videoHeight), 0.92);
  const thumb = await blobOf(drawn(video, ...smaller(videoWidth, videoHeight)), 0.8);
  return { file: new File([whole], shotName(at), { type: 'image/jpeg' }), thumb };
}

/** A small one of a picture that was chosen; null where this browser cannot show it. */
export async function thumbOf(file: Blob): Promise<Blob | null> {
  try {
    const bitmap = await createImageBitmap(file);
    const thumb = await blobOf(drawn(bitmap, ...smaller(bitmap.width, bitmap.height)), 0.8);
    bitmap.close();
    return thumb;
  } catch {
    return null;
  }
}
