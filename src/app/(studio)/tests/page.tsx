import { TestsPage } from '@/features/tests/rooms/TestsPage';

export const metadata = { title: 'Tests' };

export default TestsPage;
