/**
 * What a coating is sensitive to: how much of its spread goes with body, thickness, cone, air, place and
 * firing.
 */
export * from './sensitive';
