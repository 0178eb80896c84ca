-- Whether a station's students are asked what they went by; which characters are offered is fixed as the quiz opens.
alter table station add column went_by boolean not null default false;
-- The character that half of its students, by lot, are told to look at first.
alter table station add column prompt text;
