import pg from 'pg';
import sql from 'sql-template-tag';
import { migrate } from './migrate.ts';
import { maybeOne, one } from './query.ts';

/** Who owns the tables, and who the application is: it owns nothing and cannot pass row-level security. */
const OWNER = 'bradyon_owner';
const APP = 'bradyon_app';

export interface Cluster {
  /** Superuser connection to the maintenance database. */
  adminUrl: string;
  ownerPassword: string;
  appPassword: string;
}

/** How to reach one database as its owner and as the application. */
export interface DatabaseUrls {
  owner: string;
  app: string;
}

/** Makes the roles and the database where they are missing, and brings the schema up to date. */
export async function prepareDatabase(
  cluster: Cluster,
  name: string,
  migrationsFolder: string,
): Promise<DatabaseUrls> {
  const urls = {
    owner: urlFor(cluster.adminUrl, name, OWNER, cluster.ownerPassword),
    app: urlFor(cluster.adminUrl, name, APP, cluster.appPassword),
  };
  await asAdmin(cluster.adminUrl, async (admin) => {
    await ensureRole(admin, OWNER, cluster.ownerPassword);
    await ensureRole(admin, APP, cluster.appPassword);
    const exists = await maybeOne(admin, sql`select 1 from pg_database where datname = ${name}`);
    if (!exists) {
      // Identifiers cannot be parameters; format() quotes them inside the database.
      await runMade(
        admin,
        sql`select format('create database %I owner %I', ${name}::text, ${OWNER}::text) as command`,
      );
      await runMade(
        admin,
        sql`select format('revoke all on database %I from public', ${name}::text) as command`,
      );
      await runMade(
        admin,
        sql`select format('grant connect on database %I to %I', ${name}::text, ${APP}::text) as command`,
      );
    }
  });
  await migrate(urls.owner, migrationsFolder);
  return urls;
}

/** Removes the database and everything in it. */
export async function dropDatabase(adminUrl: string, name: string): Promise<void> {
  await asAdmin(adminUrl, (admin) =>
    runMade(
      admin,
      sql`select format('drop database if exists %I with (force)', ${name}::text) as command`,
    ),
  );
}

async function ensureRole(admin: pg.Client, role: string, password: string): Promise<void> {
  const exists = await maybeOne(admin, sql`select 1 from pg_roles where rolname = ${role}`);
  const verb = exists ? 'alter' : 'create';
  await runMade(
    admin,
    sql`select format('%s role %I login nosuperuser nocreatedb nocreaterole nobypassrls password %L',
                      ${verb}::text, ${role}::text, ${password}::text) as command`,
  );
}

async function runMade(admin: pg.Client, query: ReturnType<typeof sql>): Promise<void> {
  const { command } = await one<{ command: string }>(admin, query);
  await admin.query(command);
}

async function asAdmin(adminUrl: string, work: (admin: pg.Client) => Promise<void>): Promise<void> {
  const admin = new pg.Client({ connectionString: adminUrl });
  await admin.connect();
  try {
    await work(admin);
  } finally {
    await admin.end();
  }
}

function urlFor(adminUrl: string, database: string, user: string, password: string): string {
  const url = new URL(adminUrl);
  url.username = user;
  url.password = password;
  url.pathname = `/${database}`;
  return url.toString();
}
