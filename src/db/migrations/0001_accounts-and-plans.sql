-- Up Migration

-- Every row belongs to an account, from the first migration on; keys carry the account, so that a query that
-- forgets to scope itself cannot join across accounts either.
create table account (
  id text primary key,
  name text not null,
  is_demo boolean not null default false,
  units text not null default 'metric' check (units in ('metric', 'imperial')),
  created_at timestamptz not null default now()
);

-- Only a hash of the session's token is kept: who reads this table cannot sign in with it.
create table session (
  token_hash bytea primary key,
  account_id text not null references account (id) on delete cascade,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null
);
create index session_account on session (account_id);

-- Bikes, bags and things are owned once and used on many trips.
create table bike (
  account_id text not null references account (id) on delete cascade,
  id text not null,
  name text not null,
  mass_g double precision not null,
  mass_source text not null,
  greatest_total_g double precision,
  geometry jsonb not null,
  primary key (account_id, id)
);

create table bag (
  account_id text not null references account (id) on delete cascade,
  id text not null,
  name text not null,
  place text not null,
  side text not null,
  mass_g double precision not null,
  mass_source text not null,
  limit_g double precision,
  compartments jsonb not null,
  primary key (account_id, id)
);

create table thing (
  account_id text not null references account (id) on delete cascade,
  id text not null,
  name text not null,
  system text not null,
  quantity integer not null,
  mass_g double precision not null,
  mass_source text not null,
  volume_ml double precision not null,
  volume_source text not null,
  form jsonb not null,
  water_ml double precision not null,
  call text not null,
  dry text not null,
  in_dry_sack boolean not null,
  carry text not null,
  need text not null,
  provides text[] not null,
  primary key (account_id, id)
);

create table trip (
  account_id text not null references account (id) on delete cascade,
  id text not null,
  name text not null,
  start_date date,
  nights integer not null,
  sleeping text not null,
  night_minimum_c double precision not null,
  day_maximum_c double precision not null,
  rain text not null,
  filling text not null,
  rider_mass_g double precision not null,
  bike_id text,
  -- Counts every change to the plan, whichever tab or trip it came from; a change names the one it builds on.
  revision integer not null default 0,
  created_at timestamptz not null default now(),
  updated_at timestamptz not null default now(),
  primary key (account_id, id),
  foreign key (account_id, bike_id) references bike (account_id, id)
);

create table trip_bag (
  account_id text not null,
  trip_id text not null,
  bag_id text not null,
  position integer not null,
  primary key (account_id, trip_id, bag_id),
  foreign key (account_id, trip_id) references trip (account_id, id) on delete cascade,
  foreign key (account_id, bag_id) references bag (account_id, id)
);
create index trip_bag_bag on trip_bag (account_id, bag_id);

create table trip_thing (
  account_id text not null,
  trip_id text not null,
  thing_id text not null,
  position integer not null,
  primary key (account_id, trip_id, thing_id),
  foreign key (account_id, trip_id) references trip (account_id, id) on delete cascade,
  foreign key (account_id, thing_id) references thing (account_id, id)
);
create index trip_thing_thing on trip_thing (account_id, thing_id);

-- Where a thing is on one trip: in a compartment, or left at home (null). On the floor: no row.
create table load_entry (
  account_id text not null,
  trip_id text not null,
  thing_id text not null,
  compartment_id text,
  pinned boolean not null default false,
  primary key (account_id, trip_id, thing_id),
  foreign key (account_id, trip_id, thing_id) references trip_thing (account_id, trip_id, thing_id)
    on delete cascade deferrable initially deferred
);

-- The steps that can be undone or redone, in order.
create table plan_step (
  account_id text not null,
  trip_id text not null,
  sequence integer not null,
  state text not null check (state in ('done', 'undone')),
  change_id text not null,
  label text not null,
  edit jsonb not null,
  inverse jsonb not null,
  at timestamptz not null default now(),
  primary key (account_id, trip_id, sequence),
  foreign key (account_id, trip_id) references trip (account_id, id) on delete cascade
);

-- Every change taken, so that one sent twice by a browser that lost the answer is taken once.
create table plan_change (
  account_id text not null,
  trip_id text not null,
  change_id text not null,
  revision integer not null,
  label text not null,
  at timestamptz not null default now(),
  primary key (account_id, trip_id, change_id),
  foreign key (account_id, trip_id) references trip (account_id, id) on delete cascade
);
create index plan_change_revision on plan_change (account_id, trip_id, revision);

-- Down Migration
