import { OpeningPage } from '@/features/opening/rooms/OpeningPage';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Opening' };

export default OpeningPage;
