export * as exchangeOperations from './actions';
export { MAX_FILE_BYTES } from './table';
export { planImport, type ImportPlan } from './plan';
export { writeImport } from './write';
export { importOptions, type Imported } from './contracts';
export { documentJsonSchema } from './document';
export { csvZipBytes, jsonBytes } from './download';
export { bringWhole, wholeBytes, type Brought } from './whole';
export { matchPictures, type PictureMatch } from './pictures';
