-- Work that takes long and that any process may do: opening a quiz, an import, a report on confusions, fitting a schedule. Whoever asks waits
-- for the row; whoever takes it up beats while it works, and where the beat stops another takes it up.
create table job (
  id       uuid primary key,
  kind     text not null,
  -- What is asked for, in words of its kind: the same is not done twice at a time.
  key      text not null,
  input    jsonb not null,
  state    text not null default 'waiting' check (state in ('waiting', 'working', 'done', 'failed')),
  -- How far it is, from 0 to 1, and what is being done.
  share    real not null default 0,
  doing    text not null default 'waiting for its turn',
  -- How often it was taken up, the process that has it, and when that was last alive.
  tries    integer not null default 0,
  worker   uuid,
  beat_at  timestamptz,
  -- What came of it: a result, or a problem {status, message, details, code}.
  result   jsonb,
  problem  jsonb,
  asked_at timestamptz not null default clock_timestamp(),
  ended_at timestamptz
);
create unique index job_under_way on job (kind, key) where state in ('waiting', 'working');
create index job_to_take on job (asked_at) where state in ('waiting', 'working');
