/** Tests of body and use on a fired piece: what is done, what they find, and what they can never say. */
export * from './kinds';
export * from './standing';
