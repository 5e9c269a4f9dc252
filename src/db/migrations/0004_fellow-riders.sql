-- Up Migration

-- Other riders of a trip, each with a bike and bags of their own. As one value: they belong to the trip, not to the
-- account's garage, and are always read and written whole.
alter table trip add column fellows jsonb not null default '[]';

-- Down Migration
