import { BenchPage } from '@/features/bench/rooms/BenchPage';

export const metadata = { title: 'Bench' };

export default BenchPage;
