import { DrillPage } from '@/features/clinic/rooms/DrillPage';

export const metadata = { title: 'The drill' };

export default DrillPage;
