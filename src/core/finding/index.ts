export * from './read';
