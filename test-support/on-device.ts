/**
 * A browser's memory for components under test: what every browser has, and their stand-in for one does not.
 */
import { indexedDB, IDBKeyRange } from 'fake-indexeddb';
import { deserialize, serialize } from 'node:v8';

Object.assign(globalThis, {
  indexedDB,
  IDBKeyRange,
  structuredClone: (value: unknown) => deserialize(serialize(value)) as unknown,
});
