export { RequireAccount } from './RequireAccount.tsx';
export { SignOutDialog } from './SignOutDialog.tsx';
export { sessionRanOut, useAccount, watchAccount } from './useAccount.ts';
export { useEntered } from './useEntered.ts';
