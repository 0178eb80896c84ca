-- What takes long to work out and follows from its key alone: how fair a station is, the practice cards of a class and week. Any process
-- may have worked it out; what nobody has asked for in a season goes.
create table worked_out (
  key     text primary key,
  value   jsonb not null,
  used_at timestamptz not null default now()
);
