-- Up Migration

-- What a thing does to what lies beside it, or suffers from it. What is stored already has none until the rider says so.
alter table thing add column traits text[] not null default '{}';

-- Down Migration
