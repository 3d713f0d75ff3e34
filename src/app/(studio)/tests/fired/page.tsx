import { InHandPage } from '@/features/opening/rooms/InHandPage';

export const metadata = { title: 'A fired tile in hand' };

export default InHandPage;
