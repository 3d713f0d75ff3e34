import { DevicePage } from '@/features/device/rooms/DevicePage';

export const metadata = { title: 'On this device' };

export default DevicePage;
