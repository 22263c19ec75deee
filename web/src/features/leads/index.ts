export { spreadOfEstimate, useLeads } from './useLeads.ts';
export { inThrows } from './words.ts';
