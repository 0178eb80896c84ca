-- What is done otherwise for a student, privately: senses that are not used, ways that are not gone, spelling that is not counted.
alter table student add column needs jsonb not null default '[]';
