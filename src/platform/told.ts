/**
 * Headers by which the front tells the application what it knows; whatever comes in under these names is
 * dropped.
 */
export const PEER = 'x-jiten-peer';
export const TLS = 'x-jiten-tls';
export const NONCE = 'x-jiten-nonce';
