'use client';
/** When a picture was taken, by the camera's clock; null where its file does not say. */
export async function takenAt(file: Blob): Promise<number | null> {
  try {
    const { parse } = await import('exifr/dist/lite.esm.mjs');
    const said = await parse(file, ['DateTimeOriginal', 'CreateDate']);
    const at = said?.DateTimeOriginal ?? said?.CreateDate;
    return at instanceof Date && !Number.isNaN(at.getTime()) ? at.getTime() : null;
  } catch {
    return null;
  }
}
