import { UnregisteredPage } from '@/features/opening/rooms/UnregisteredPage';

export const metadata = { title: 'Things nobody registered' };

export default UnregisteredPage;
