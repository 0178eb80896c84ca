-- Where a station stands since it was moved during its quiz, in words; empty where it was not.
alter table station add column stands text not null default '';
