-- Up Migration

-- What a trip decides about a thing belongs to that trip. So far it stood on the thing, which all trips share: each trip takes
-- the values as they are now.
alter table trip_thing
  add column quantity integer,
  add column water_ml double precision,
  add column call text,
  add column in_dry_sack boolean,
  add column carry text,
  add column need text,
  add column inside text;

update trip_thing
   set quantity = thing.quantity, water_ml = thing.water_ml, call = thing.call, in_dry_sack = thing.in_dry_sack,
       carry = thing.carry, need = thing.need, inside = thing.inside
  from thing
 where thing.account_id = trip_thing.account_id and thing.id = trip_thing.thing_id;

alter table trip_thing
  alter column quantity set not null,
  alter column water_ml set not null,
  alter column call set not null,
  alter column in_dry_sack set not null,
  alter column carry set not null,
  alter column need set not null;

alter table thing
  drop column quantity,
  drop column water_ml,
  drop column call,
  drop column in_dry_sack,
  drop column carry,
  drop column need,
  drop column inside;

-- Down Migration
