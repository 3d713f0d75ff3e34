import { BucketLabelPage } from '@/features/store/rooms/BucketLabelPage';

export const metadata = { title: 'Label' };

export default BucketLabelPage;
