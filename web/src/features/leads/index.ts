export { momentOf, useLeads } from './useLeads.ts';
export { inThrows } from './words.ts';
