export { useSupposedTimes, type WhatIfTime } from './supposed.ts';
export { WhatIf } from './WhatIf.tsx';
