import { PlanPage } from '@/features/firings/rooms/PlanPage';

export const metadata = { title: 'Plan a firing' };

export default PlanPage;
