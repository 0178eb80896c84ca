-- A second factor of those who teach: the secret that their telephone shares, since when it is asked for, and the last step that opened.
alter table account add column second_secret text;
alter table account add column second_since timestamptz;
alter table account add column second_step bigint;

-- Codes that open once each where the telephone is lost.
create table recovery_code (
  account_id uuid not null references account on delete cascade,
  hash       text not null,
  primary key (account_id, hash)
);

-- A link by which someone chooses a password; only a hash of what stands in it is kept.
create table invitation (
  token_hash text primary key,
  account_id uuid not null references account on delete cascade,
  expires_at timestamptz not null
);

-- Who an account is at an institution that vouches for it.
create table vouched (
  issuer     text not null,
  subject    text not null,
  account_id uuid not null references account on delete cascade,
  primary key (issuer, subject)
);

-- Failed sign-ins of ten minutes, by a hash of address and whom they were aimed at, where several processes count them together.
create table failed_sign_in (
  key   text primary key,
  hits  integer not null,
  until timestamptz not null
);
