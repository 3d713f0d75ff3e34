import { BucketPage } from '@/features/store/rooms/BucketPage';

export default BucketPage;
