import { KilnPage } from '@/features/kilns/rooms/KilnPage';

export default KilnPage;
