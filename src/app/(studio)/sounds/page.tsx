import { SoundsPage } from '@/features/sounds/rooms/SoundsPage';

export const metadata = { title: 'To type up' };

export default SoundsPage;
