/** Looks: who saw what of a piece, when, and what follows from several of them. */
export * from './looks';
export * from './points';
export * from './refire-record';
export * from './refired';
export * from './second';
export * from './voices';
export * from './words';
