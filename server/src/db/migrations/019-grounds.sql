-- Grounds where trees stand, with their map.
create table grounds (
  id        uuid primary key,
  name      text not null,
  latitude  double precision not null,
  longitude double precision not null,
  elevation double precision not null,
  features  jsonb not null default '{"type":"FeatureCollection","features":[]}',
  version   integer not null default 1
);

-- Trees with a tag. One that is taken off the list stays, for what was seen and cut of it; its tag is free again.
create table tree (
  id         uuid primary key,
  grounds_id uuid not null references grounds,
  tag_key    text not null,
  facts      jsonb not null,
  version    integer not null,
  gone       boolean not null default false
);
create unique index on tree (grounds_id, tag_key) where not gone;

-- What was seen on a tree on a day.
create table tree_observation (
  id      uuid primary key,
  tree_id uuid not null references tree,
  day     date not null,
  part    text not null,
  there   boolean not null,
  note    text not null,
  who     text not null
);
create index on tree_observation (tree_id);

-- What was measured on a tree, with its working.
create table tree_measurement (
  id      uuid primary key,
  tree_id uuid not null references tree,
  day     date not null,
  kind    text not null,
  value   double precision not null,
  error   double precision not null,
  parts   jsonb not null,
  working jsonb not null,
  who     text not null,
  at      timestamptz not null
);
create index on tree_measurement (tree_id);

-- Walks and collecting lists of a course, as they were planned.
create table walk (
  id        uuid primary key,
  course_id uuid not null references course,
  body      jsonb not null,
  at        timestamptz not null
);
create index on walk (course_id);

create table collecting (
  id        uuid primary key,
  course_id uuid not null references course,
  body      jsonb not null,
  at        timestamptz not null
);
create index on collecting (course_id);

-- Pieces that were cut, and how each came to be what it is.
create table item (
  id            uuid primary key,
  collecting_id uuid not null references collecting on delete cascade,
  body          jsonb not null,
  trace         jsonb not null default '[]'
);
create index on item (collecting_id);
