-- Up Migration

-- When the trip set out: within a day of it this can be reversed.
alter table trip add column departed_at timestamptz;
update trip set departed_at = updated_at where departed is not null;
alter table trip add constraint departed_whole check ((departed is null) = (departed_at is null));

-- Down Migration

alter table trip drop constraint departed_whole, drop column departed_at;
