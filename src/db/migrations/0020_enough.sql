-- Up Migration

-- What things are for and the figures that judgements of "enough" read, whether the rider sleeps cold, and needs that were dismissed.
alter table thing add column purposes jsonb, add column specs jsonb not null default '{}';
alter table trip
  add column rider_cold_sleeper boolean not null default false,
  add column dismissed text[] not null default '{}';

-- Down Migration

alter table thing drop column purposes, drop column specs;
alter table trip drop column rider_cold_sleeper, drop column dismissed;
