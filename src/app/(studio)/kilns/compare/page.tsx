import { ComparePage } from '@/features/firings/rooms/ComparePage';

export const metadata = { title: 'Compare firings' };

export default ComparePage;
