/** Pictures of pieces: taking, dropping, sending, putting away. */
export { PictureDrop, sendPicture } from './components/PictureDrop';
export { PictureTaker } from './components/PictureTaker';
export { PiecePicture } from './components/PiecePicture';
export { Camera } from './components/Camera';
export { labelInPicture } from './labels';
export { thumbOf } from './shoot';
