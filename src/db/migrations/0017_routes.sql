-- Up Migration

-- The way that is ridden, as the plan file has it: its line coded as text, its places and days.
alter table trip add column route jsonb, add column rider_power_w double precision;

-- Down Migration

alter table trip drop column route, drop column rider_power_w;
