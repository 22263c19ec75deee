export { LeadSeen } from './LeadSeen.tsx';
export { useDives } from './useDives.ts';
export { spreadOfEstimate, useLeads } from './useLeads.ts';
export { inThrows } from './words.ts';
