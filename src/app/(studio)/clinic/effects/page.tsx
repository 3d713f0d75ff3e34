import { EffectsPage } from '@/features/clinic/rooms/EffectsPage';

export const metadata = { title: 'How to get it' };

export default EffectsPage;
