import { StockPage } from '@/features/questions/rooms/StockPage';

export const metadata = { title: 'Tile stock' };

export default StockPage;
