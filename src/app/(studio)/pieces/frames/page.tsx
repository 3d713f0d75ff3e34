export { FramePage as default } from '@/features/frames/rooms/FramePage';
