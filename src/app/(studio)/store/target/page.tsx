import { TargetPage } from '@/features/store/rooms/TargetPage';

export const metadata = { title: 'Target to recipe' };

export default TargetPage;
