import type { Account } from '@bradyon/contract/accounts';
import type { AccountId } from '@bradyon/core/units';
import { createStore } from 'zustand/vanilla';
import { tellTabs } from './tabs.ts';

/** Who this tab works for. */
export type Session = Pick<Account, 'id' | 'name'>;

const KEY = 'bradyon-account';

/** null: nobody, or not known yet. */
export const session = createStore<{ account: Session | null }>(() => ({ account: null }));

/** This tab works for the account from here on; the other tabs are told when it is another one. */
export function beginSession(account: Session): void {
  const before = lastAccount();
  session.setState({ account: { id: account.id, name: account.name } });
  keep(account.id);
  if (before !== account.id) tellTabs({ type: 'session', accountId: account.id });
}

/** Nobody is signed in any more, in any tab. */
export function endSession(): void {
  session.setState({ account: null });
  keep(null);
  tellTabs({ type: 'session', accountId: null });
}

/** The account of this tab as long as no other tab has signed out or let another coach in, else null. */
export function currentAccount(): AccountId | null {
  const id = session.getState().account?.id ?? null;
  return id !== null && lastAccount() === id ? id : null;
}

/**
 * Whose data this device keeps. Local storage is one for all tabs and is read at once: a tab that
 * slept through a sign-out finds it here.
 */
export function lastAccount(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return session.getState().account?.id ?? null;
  }
}

function keep(id: AccountId | null): void {
  try {
    if (id === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, id);
  } catch {
    // A browser that keeps nothing has one tab's word for it.
  }
}
