import { PaperPage } from '@/features/opening/rooms/PaperPage';

export const metadata = { title: 'The load on paper' };

export default PaperPage;
