import { MakePage } from '@/features/tests/rooms/MakePage';

export const metadata = { title: 'Make tiles' };

export default MakePage;
