-- Up Migration

-- Who may do what is decided here, by two functions, and enforced by the database itself: the server works as this role, which
-- sees the rows of the account it was told of (src/db/access.ts), and nothing without one. Sharing a trip with companions
-- means changing these two functions.
do $$
begin
  create role gorvin_rider nologin;
exception
  -- Another database of this server has it already, or is making it at this moment.
  when duplicate_object or unique_violation then null;
end
$$;
grant gorvin_rider to current_user;

create function may_read(owner text) returns boolean language sql stable as
  $$ select owner = current_setting('gorvin.account', true) $$;
create function may_change(owner text) returns boolean language sql stable as
  $$ select owner = current_setting('gorvin.account', true) $$;

-- Says which account a change is for, and waits until no other change of that account is under way.
create function act_for(account_id text) returns void language plpgsql as
  $$
  begin
    perform set_config('gorvin.account', account_id, true);
    perform from account where id = account_id for no key update;
  end
  $$;

grant usage on schema public to gorvin_rider;
grant select, update (units) on account to gorvin_rider;
alter table account enable row level security;
create policy read_account on account for select to gorvin_rider using (may_read(id));
create policy change_account on account for update to gorvin_rider using (may_change(id));

do $$
declare
  owned text;
begin
  foreach owned in array array['bike', 'bag', 'thing', 'trip', 'trip_bag', 'trip_thing', 'load_entry', 'plan_step',
                               'plan_change', 'setup', 'setup_bag']
  loop
    execute format('grant select, insert, update, delete on %I to gorvin_rider', owned);
    execute format('alter table %I enable row level security', owned);
    execute format('create policy read_own on %I for select to gorvin_rider using (may_read(account_id))', owned);
    execute format('create policy change_own on %I to gorvin_rider using (may_change(account_id))', owned);
  end loop;
end
$$;

-- Ids that a step of the history names. A bag taken off a trip may be changed on another; the first is told, since its undo
-- puts the bag back.
alter table plan_step
  add column names jsonb
    generated always as (jsonb_path_query_array(edit, '$.**.id') || jsonb_path_query_array(inverse, '$.**.id')) stored,
  -- Of both as JSON: the oldest are forgotten by size too.
  add column bytes integer not null default 0;
update plan_step set bytes = length(edit::text) + length(inverse::text);

-- Down Migration
