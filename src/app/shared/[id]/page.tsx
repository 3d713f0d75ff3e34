import { SharePage } from '@/features/chart/rooms/SharePage';

export const dynamic = 'force-dynamic';
export const metadata = {
  title: 'Shared chart',
  robots: { index: false },
  referrer: 'no-referrer' as const,
};

export default SharePage;
