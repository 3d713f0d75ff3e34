import { FirstRunPage } from '@/features/people/rooms/FirstRunPage';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Set up' };

export default FirstRunPage;
