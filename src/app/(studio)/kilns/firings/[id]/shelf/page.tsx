export { ShelfPage as default } from '@/features/frames/rooms/ShelfPage';
