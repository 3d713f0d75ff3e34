'use client';
import { FaultPage } from '@/features/shell';

export default FaultPage;
