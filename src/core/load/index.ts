export * from './shelf';
export * from './pack';
export * from './checks';
export { insideWords } from './checks-made-for';
export * from './queue';
