-- Up Migration

-- An account with a passphrase is entered by its name, whatever its capitals; one without is open to whoever uses this machine.
alter table account
  add column login text unique,
  add column passphrase text,
  add constraint login_with_passphrase check ((login is null) = (passphrase is null));

-- Signing in that failed: how often is looked up by account and by address, and old rows are deleted.
create table failed_sign_in (
  key text not null,
  at timestamptz not null default now()
);
create index failed_sign_in_key on failed_sign_in (key, at);

-- Down Migration
