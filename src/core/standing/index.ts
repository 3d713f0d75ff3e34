export * from './sightings';
export * from './standing';
