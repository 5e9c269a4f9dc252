-- Up Migration

-- What trips taught, as its rider took it over: drinking and pace of the rider, and the tail moment from which a bag sways.
alter table trip
  add column rider_drink_l_per_h double precision,
  add column rider_pace_share double precision;
alter table bag add column sways_from_kg_m double precision;

-- Down Migration

alter table trip drop column rider_drink_l_per_h, drop column rider_pace_share;
alter table bag drop column sways_from_kg_m;
