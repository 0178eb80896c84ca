-- Walks and collecting lists count their changes: two people who plan do not write over each other unseen.
alter table walk add column version integer not null default 1;
alter table collecting add column version integer not null default 1;
