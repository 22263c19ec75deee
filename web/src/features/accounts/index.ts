export { RequireAccount } from './RequireAccount.tsx';
export { useAccount, useSignOut } from './useAccount.ts';
