export * as framesOperations from './actions';
export { framedPhotos } from './framed';
export { pictureToFrame } from './queries';
export { whatIs, whatSchema } from './what';
export { measureAgain } from './again';
export * as cropOperations from './crop-actions';
export * as shelfOperations from './shelf-actions';
export { keepFor } from './keep-for';
export { measured } from './measure';
