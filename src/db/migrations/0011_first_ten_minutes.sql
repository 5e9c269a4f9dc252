-- Up Migration

-- The type and size of a bike whose average figures stand in for those that are not known.
alter table bike add column assumed jsonb;
-- How a trip cooks: decides what its list has.
alter table trip add column cooking text not null default 'stove';
