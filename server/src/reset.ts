/**
 * For whoever runs the server, when nobody else can help a coach back in: `node reset.js <e-mail>`
 * prints a code with which that coach sets a new password, once, within a day.
 * OWNER_DATABASE_URL connects as the owner of the tables.
 */
import sql from 'sql-template-tag';
import { makePool } from './db/pool.ts';
import { maybeOne } from './db/query.ts';
import { hashCode, makeCode } from './http/codes.ts';

const email = process.argv[2]?.trim().toLowerCase() ?? '';
const owner = makePool(process.env['OWNER_DATABASE_URL'] ?? '');
const code = makeCode();
const made = await maybeOne(
  owner,
  sql`insert into password_resets (account_id, code_hash)
      select id, ${hashCode(code)} from accounts where email = ${email}
      on conflict on constraint password_resets__account_id
        do update set code_hash = excluded.code_hash, expires_at = excluded.expires_at
      returning account_id`,
);
await owner.end();
if (made === null) {
  process.stderr.write(`No account has the address "${email}".\n`);
  process.exitCode = 1;
} else process.stdout.write(`${code}\n`);
