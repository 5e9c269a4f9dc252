-- Up Migration

-- Facts recorded while packing and on the way: only ever added. Their ids are made on the phone, so that a batch sent twice counts
-- once; a moment in the future, of a clock that is wrong, counts as the one when it arrived.
create table entry (
  account_id text not null,
  trip_id text not null,
  id text not null,
  at timestamptz not null,
  received_at timestamptz not null default now(),
  kind text not null,
  data jsonb not null,
  primary key (account_id, trip_id, id),
  foreign key (account_id, trip_id) references trip (account_id, id) on delete cascade
);

grant select, insert on entry to gorvin_rider;
alter table entry enable row level security;
create policy read_own on entry for select to gorvin_rider using (may_read(account_id));
create policy add_own on entry for insert to gorvin_rider with check (may_change(account_id));

create function tell_of_entry() returns trigger language plpgsql as
  $$
  begin
    perform pg_notify('trip', new.account_id || ' ' || new.trip_id || ' entries');
    return null;
  end
  $$;
-- Of equal notices in one transaction PostgreSQL sends one.
create trigger tell_of_entry after insert on entry for each row execute function tell_of_entry();

-- Down Migration
