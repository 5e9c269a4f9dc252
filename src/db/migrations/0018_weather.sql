-- Up Migration

-- The weather day by day, as the plan file has it, which weather the trip is judged in, and what it may meet.
alter table trip
  add column weather jsonb,
  add column scenario text not null default 'expected',
  add column circumstances text[] not null default '{}';

-- Down Migration

alter table trip drop column weather, drop column scenario, drop column circumstances;
