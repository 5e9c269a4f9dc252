-- Up Migration

-- A bike is known by a geometry table, a tape, or both; its build and wheel readings decide what rubs and how it
-- balances. Missing fields of these JSON columns take the schema's defaults when they are read.
alter table bike
  add column tape jsonb,
  add column build jsonb not null default '{}',
  add column readings jsonb;

alter table bag
  add column along_mm double precision not null default 0,
  add column stand_off_mm double precision not null default 25,
  add column braced boolean not null default false,
  add column closure text not null default 'roll-top',
  add column opening text not null default 'top',
  add column attachment text not null default 'straps';

alter table thing add column view text not null default 'none';

alter table trip
  add column surface text not null default 'gravel',
  add column rider_knee_gap_mm double precision,
  add column rider_inseam_mm double precision,
  add column rider_shoe_mm double precision;

-- A set-up keeps a bike with its bags under a name, whichever trips use them.
create table setup (
  account_id text not null references account (id) on delete cascade,
  id text not null,
  name text not null,
  bike_id text not null,
  created_at timestamptz not null default now(),
  primary key (account_id, id),
  foreign key (account_id, bike_id) references bike (account_id, id)
);
create index setup_bike on setup (account_id, bike_id);

create table setup_bag (
  account_id text not null,
  setup_id text not null,
  bag_id text not null,
  position integer not null,
  primary key (account_id, setup_id, bag_id),
  foreign key (account_id, setup_id) references setup (account_id, id) on delete cascade,
  foreign key (account_id, bag_id) references bag (account_id, id)
);
create index setup_bag_bag on setup_bag (account_id, bag_id);

-- Down Migration
