import { MergePage } from '@/features/merging/rooms/MergePage';

export const metadata = { title: 'On record twice' };

export default MergePage;
