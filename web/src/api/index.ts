export { wallOffsetMs } from './clock.ts';
export { changeKept } from './changeKept.ts';
export { growingList, type GrowingList } from './growing.ts';
export { newId } from './ids.ts';
export type { Answer, Entry } from './outbox.ts';
export { LONGEST_WORK_MS, RefusedError, request } from './request.ts';
export { beginSession, currentAccount, endSession, lastAccount, session } from './session.ts';
export { currentOf } from './stale.ts';
export { defineTally } from './tally.ts';
export { hearTabs } from './tabs.ts';
export { useContractForm } from './useContractForm.ts';
export { forgetServerState, queryClient, ServerState } from './ServerState.tsx';
export {
  defineWrite,
  outbox,
  reassigned,
  startOutbox,
  teamOf,
  useOutbox,
  wordsOf,
} from './writes.ts';
