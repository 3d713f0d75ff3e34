import { KilnSettingsPage } from '@/features/kilns/rooms/KilnSettingsPage';

export default KilnSettingsPage;
