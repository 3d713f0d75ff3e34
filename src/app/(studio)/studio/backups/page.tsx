import { BackupsPage } from '@/features/house/rooms/BackupsPage';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Backups' };

export default BackupsPage;
