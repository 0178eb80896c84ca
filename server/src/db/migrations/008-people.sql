-- People who teach here come and go; who has left can no longer sign in, and what they did keeps their name.

alter table account add column left_at timestamptz;

-- A session ends with the password that opened it.
create index session_by_account on session (account_id);
