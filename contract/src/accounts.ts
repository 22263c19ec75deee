import type { AccountId } from '@bradyon/core/units';
import { codeRule } from './codes.ts';
import { contract, email, flag, id, required, text } from './rule.ts';

/** Who is signed in. */
export interface Account {
  id: AccountId;
  name: string;
  email: string;
  /** The demo's own account, which everybody shares. */
  demo: boolean;
}

export interface SignUp {
  id: AccountId;
  name: string;
  email: string;
  password: string;
}

/** A new password in place of the one that is known. */
export interface PasswordChange {
  current: string;
  password: string;
}

/** A new password with the code that the owner of the team handed over. */
export interface PasswordReset {
  email: string;
  code: string;
  password: string;
}

/** Says again who it is, before something is gone for good. */
export interface Confirmation {
  password: string;
}

export interface SignIn {
  email: string;
  password: string;
}

/** What the sign-in page has to know before anyone is signed in. */
export interface Welcome {
  /** The demo is loaded, so it can be offered. */
  demo: boolean;
}

const newPassword = text('Choose a password of 10 to 200 characters.', { min: 10, max: 200 });
const ownPassword = text('Enter your password.', { max: 200 });
const accountName = text('Enter your name, up to 80 letters.', { max: 80 });

export const accountContract = contract<Account>({
  id: required(id<AccountId>()),
  name: required(accountName),
  email: required(email('Enter an email address.')),
  demo: required(flag('true or false')),
});

export const signUpContract = contract<SignUp>({
  id: required(id<AccountId>()),
  name: required(accountName),
  email: required(email('Enter your email address, like coach@example.org.')),
  password: required(newPassword),
});

export const signInContract = contract<SignIn>({
  email: required(email('Enter the email address you signed up with.')),
  password: required(ownPassword),
});

export const passwordChangeContract = contract<PasswordChange>({
  current: required(ownPassword),
  password: required(newPassword),
});

export const passwordResetContract = contract<PasswordReset>({
  email: required(email('Enter the email address you signed up with.')),
  code: required(codeRule('Enter the code your team owner gave you.')),
  password: required(newPassword),
});

export const confirmationContract = contract<Confirmation>({ password: required(ownPassword) });

export const welcomeContract = contract<Welcome>({ demo: required(flag('true or false')) });
