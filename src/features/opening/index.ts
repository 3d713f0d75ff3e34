export { PictureDrop, sendPicture } from './components/PictureDrop';
