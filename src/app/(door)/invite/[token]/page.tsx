import { InvitePage } from '@/features/people/rooms/InvitePage';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Invitation' };

export default InvitePage;
