-- Up Migration

-- The plan as a trip set out with it: later changes to what is owned do not alter a trip that has departed.
alter table trip add column departed jsonb;

-- Down Migration

alter table trip drop column departed;
