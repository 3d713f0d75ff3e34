import { ResetPage } from '@/features/people/rooms/ResetPage';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'New password' };

export default ResetPage;
