export * from './elements';
export * from './oxides';
export * from './analyse';
export * from './expansion';
export * from './field';
export * from './hazards';
export * from './minerals';
export * from './target';
