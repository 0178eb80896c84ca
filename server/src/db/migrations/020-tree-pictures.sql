-- Photographs of trees: how they stand, and what is in reach. Encoded again, without their position.
create table tree_picture (
  id      uuid primary key,
  tree_id uuid not null references tree,
  day     date not null,
  who     text not null,
  bytes   bytea not null
);
create index on tree_picture (tree_id);
