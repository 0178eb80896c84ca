-- Characters that students of a station read off the specimen besides naming the tree.
alter table station add column asks jsonb not null default '[]';
