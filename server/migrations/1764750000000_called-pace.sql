-- Up Migration

-- How hard a bunt of practice was called to be; null: not said.
alter table bunt_tries add column called_pace text;
