import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startApi, type Api } from './api.ts';

let api: Api;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.stop());

/** Unique over all teams on purpose: asked before it is known whose they are (docs/scale.md). */
const ASKED_BEFORE_THE_TEAM = [
  'invites__code_hash',
  'gate_devices__token_hash',
  'drill_passes__code_hash',
  'game_passes__code_hash',
];

const TEAM_TABLES = `
  select table_name from information_schema.columns
  where table_schema = 'public' and column_name = 'team_id'`;

describe('the tables of a team', () => {
  it('have keys that begin with the team, so that they can be spread by it', async () => {
    const { rows } = await api.owner.query<{ name: string; first: string }>(
      `select i.indexrelid::regclass::text as name, a.attname as first
       from pg_index i
       join pg_attribute a on a.attrelid = i.indrelid and a.attnum = i.indkey[0]
       where i.indisunique and i.indrelid::regclass::text in (${TEAM_TABLES})`,
    );
    expect(rows.length).toBeGreaterThan(15);
    const others = rows.filter(({ first }) => first !== 'team_id').map(({ name }) => name);
    expect(others.toSorted()).toEqual(ASKED_BEFORE_THE_TEAM.toSorted());
  });

  it('refer to each other within one team only', async () => {
    const { rows } = await api.owner.query<{ name: string; columns: string[]; other: string }>(
      `select c.conname as name, c.confrelid::regclass::text as other,
              array(select a.attname::text from unnest(c.conkey) k
                    join pg_attribute a on a.attrelid = c.conrelid and a.attnum = k) as columns
       from pg_constraint c
       where c.contype = 'f' and c.conrelid::regclass::text in (${TEAM_TABLES})
         and c.confrelid::regclass::text in (${TEAM_TABLES})`,
    );
    expect(rows.length).toBeGreaterThan(6);
    expect(rows.filter(({ columns }) => columns[0] !== 'team_id')).toEqual([]);
  });

  it('show the application the team in scope alone, so that no query joins two', async () => {
    const { rows } = await api.owner.query<{ name: string; secured: boolean; rule: string | null }>(
      `select c.relname as name, c.relrowsecurity as secured,
              (select string_agg(p.qual, ' ') from pg_policies p where p.tablename = c.relname) as rule
       from pg_class c where c.relkind = 'r' and c.relname in (${TEAM_TABLES})`,
    );
    expect(rows.length).toBeGreaterThan(12);
    expect(rows.filter(({ secured, rule }) => !secured || !rule?.includes('app_team()'))).toEqual(
      [],
    );
  });

  it('are named, row by row, by the team in whatever runs as their owner', async () => {
    const { rows } = await api.owner.query<{ name: string; source: string }>(
      `select proname as name, prosrc as source from pg_proc
       where prosecdef and pronamespace = 'public'::regnamespace`,
    );
    expect(rows.length).toBeGreaterThan(8);
    for (const { name, source } of rows) {
      for (const statement of source.split(';')) {
        const table =
          /(?:from|update|into)\s+(readings|people|opponents|gate_runs|test_dives|batting_\w+|together\w*)\b/.exec(
            statement,
          );
        if (table) expect(statement, `${name}: ${table[1] ?? ''}`).toMatch(/team_id|app_team/);
      }
    }
  });
});
