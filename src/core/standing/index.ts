export * from './sightings';
export * from './standing';
export * from './circumstances';
