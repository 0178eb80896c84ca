-- What a station is fixed to is written before its quiz opens, one station at a time, so that a long quiz holds nobody up. It holds from the
-- moment the quiz is open, and only if all of its stations were fixed from the same ground, whose hash stands here.
alter table station add column fixed_from text;
