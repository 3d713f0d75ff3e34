export { planImport, type ImportPlan } from './plan';
export { writeImport, type Imported } from './write';
export { importOptions } from './schema';
export { documentJsonSchema, documentSchema, exportDocument, exportLines } from './document';
export { matchPictures, type PictureMatch } from './pictures';
