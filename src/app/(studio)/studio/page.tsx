import { StudioPage } from '@/features/people/rooms/StudioPage';

export const metadata = { title: 'Studio' };

export default StudioPage;
