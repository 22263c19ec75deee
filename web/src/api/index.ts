export { newId } from './ids.ts';
export { useOutbox, useSend, type OutboxItem } from './outbox.ts';
export { RefusedError, request } from './request.ts';
export { useContractForm } from './useContractForm.ts';
export { forgetServerState, queryClient, ServerState } from './ServerState.tsx';
