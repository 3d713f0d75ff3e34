import pino from 'pino';

export const log = pino({ level: process.env.JITEN_LOG ?? 'info', base: null });
