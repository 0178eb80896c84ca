-- What a computation can say before it is through.
alter table job add column first jsonb;
