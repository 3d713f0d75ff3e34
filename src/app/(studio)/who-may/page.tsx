import { WhoMayPage } from '@/features/people/rooms/WhoMayPage';

export const metadata = { title: 'Who may' };

export default WhoMayPage;
