-- Up Migration

-- How a soft thing is put in, what stiffens its bag, and what is packed inside what. `inside` names another thing of
-- the account; on a trip without that thing it means nothing, so it is no foreign key.
alter table thing
  add column packing text not null default 'stuffed',
  add column stiffener boolean not null default false,
  add column hollow jsonb,
  add column inside text;

-- What the rider asks of the loader besides pins: forbidden places and pairs.
alter table trip add column wishes jsonb not null default '[]';

-- Down Migration
