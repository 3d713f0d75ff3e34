/** Pictures of pieces: taking, dropping, sending, putting away. */
export { PictureDrop, sendPicture } from './components/PictureDrop';
export { PictureTaker } from './components/PictureTaker';
export { PiecePicture } from './components/PiecePicture';
