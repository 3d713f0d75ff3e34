import { ChartPage } from '@/features/chart/rooms/ChartPage';

export const metadata = { title: 'Chart' };

export default ChartPage;
