-- Up Migration

-- Open tabs are told when a trip they show is counted up or deleted, whichever server it was changed through.
create function tell_of_trip() returns trigger language plpgsql as
  $$
  begin
    if tg_op = 'DELETE' then
      perform pg_notify('trip', old.account_id || ' ' || old.id || ' gone');
    elsif new.revision <> old.revision then
      perform pg_notify('trip', new.account_id || ' ' || new.id || ' ' || new.revision);
    end if;
    return null;
  end
  $$;
create trigger tell_of_trip after update or delete on trip for each row execute function tell_of_trip();

-- Down Migration
