-- Up Migration

-- More of what trips teach: eating, gas and charge against what is calculated, and how far a bag sags.
alter table trip
  add column rider_eat_share double precision,
  add column rider_fuel_share double precision,
  add column rider_charge_share double precision;
alter table bag add column sag_mm_per_kg double precision;

-- What the rider does not want new plans to take over: names of rates, and of limits with their bag's id.
alter table account add column rejected text[] not null default '{}';
grant update (rejected) on account to gorvin_rider;

-- Down Migration

alter table account drop column rejected;
alter table bag drop column sag_mm_per_kg;
alter table trip
  drop column rider_eat_share,
  drop column rider_fuel_share,
  drop column rider_charge_share;
