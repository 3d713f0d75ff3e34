import { StorePage } from '@/features/store/rooms/StorePage';

export const metadata = { title: 'Store' };

export default StorePage;
