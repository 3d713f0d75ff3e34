import { KilnsPage } from '@/features/kilns/rooms/KilnsPage';

export const metadata = { title: 'Kilns' };

export default KilnsPage;
