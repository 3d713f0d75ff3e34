export { DoubtsPage as default } from '@/features/opening/rooms/DoubtsPage';
