-- Up Migration

-- What is eaten when on a trip, and how its rider wants to eat.
alter table trip add column menu jsonb not null default '[]', add column eating jsonb not null default '{}';

-- Down Migration

alter table trip drop column menu, drop column eating;
