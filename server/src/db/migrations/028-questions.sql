-- What a station asks in place of the name of its tree; nothing where it asks for the name.
alter table station add column question jsonb;
