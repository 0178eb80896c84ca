-- What a sort comes to as readings, worked out once as it is kept. Null where it was kept before that.
alter table sort add column readings jsonb;
