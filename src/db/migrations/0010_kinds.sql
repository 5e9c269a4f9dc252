-- Up Migration

-- The kind that a thing's estimates come from.
alter table thing add column kind text;
