declare module 'exifr/dist/lite.esm.mjs' {
  export function parse(file: Blob, tags: string[]): Promise<Record<string, unknown> | undefined>;
}
