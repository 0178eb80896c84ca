-- What a quiz that is a contest goes by, and who competes for which team in which division; nothing where it is none.
alter table quiz add column contest jsonb;
