-- Up Migration

-- What the inventory keeps of a thing beside its measures: its condition, what is due, what is still to be bought, and what a kit holds.
alter table thing
  add column condition text not null default 'fine',
  add column due_on date,
  add column note text not null default '',
  add column to_get boolean not null default false,
  add column price double precision,
  add column contents jsonb not null default '[]';

-- Down Migration

alter table thing
  drop column condition, drop column due_on, drop column note, drop column to_get, drop column price, drop column contents;
